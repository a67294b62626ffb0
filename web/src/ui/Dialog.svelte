<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    /** It is there as long as it is not taken away: by Escape, by a press beside it, or by what it asks. */
    onclose: () => void;
    /** For what needs room: a table, a picture beside words. */
    wide?: boolean;
    children: Snippet;
  }
  const { title, onclose, wide = false, children }: Props = $props();
</script>

<Dialog.Root open onOpenChange={(open) => !open && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/40" />
    <Dialog.Content
      class={[
        'bg-base-100 rounded-box border-base-content fixed top-1/2 left-1/2 z-50 max-h-[calc(100vh-2rem)] w-[calc(100vw-2rem)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border-2 p-6',
        wide ? 'max-w-4xl' : 'max-w-xl',
      ]}
    >
      <Dialog.Title level={2}>
        {#snippet child({ props })}<h2 {...props} class="mb-3 text-2xl font-bold">
            {title}
          </h2>{/snippet}
      </Dialog.Title>
      {@render children()}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
