<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    onclose: () => void;
    children: Snippet;
  }
  const { title, onclose, children }: Props = $props();

  function open(dialog: HTMLDialogElement) {
    dialog.showModal();
  }
</script>

<dialog class="modal" aria-label={title} {@attach open} {onclose}>
  <div class="modal-box max-w-xl">
    <h2 class="mb-3 text-2xl font-bold">{title}</h2>
    {@render children()}
  </div>
</dialog>
