<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    /** What goes on, for who does not see the bar. */
    label: string;
    /** Share that is done, 0 to 1; without one it is not known. */
    share?: number;
    oncancel: () => void;
    /** What goes on, in words beside the bar. */
    children?: Snippet;
  }
  const { label, share, oncancel, children }: Props = $props();
</script>

<span class="flex items-center gap-2" role="status">
  {@render children?.()}
  <progress class="progress w-32 grow" value={share || undefined} max="1" aria-label={label}
  ></progress>
  <button type="button" class="btn px-3" onclick={oncancel}>Cancel</button>
</span>
