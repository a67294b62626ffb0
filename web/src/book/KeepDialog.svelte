<script lang="ts">
  import Dialog from '../ui/Dialog.svelte';
  import { useBook } from './book-state.svelte';

  interface Props {
    /** Words that were begun before, when it was closed in between. */
    reason: string;
    onclose: () => void;
  }
  let { reason = $bindable(), onclose }: Props = $props();
  const book = useBook();

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (await book.keep(reason)) reason = '';
    onclose();
  }
</script>

<Dialog title="Keep as revision {(book.newest?.number ?? 0) + 1}" {onclose}>
  <form onsubmit={keep} class="grid gap-3">
    {#if !book.isNewest}
      <p>
        You started from revision {book.base!.revision.number}, and revision {book.newest!.number} is
        newer. Open the newest one to keep changes.
      </p>
    {/if}
    <label class="grid gap-1">
      <span>Why? Next time you will want to know.</span>
      <input
        class="input h-12 w-full"
        bind:value={reason}
        required
        maxlength="500"
        placeholder="what was tried or seen on track"
        {@attach (input: HTMLInputElement) => input.focus()}
      />
    </label>
    <div class="flex justify-end gap-2">
      <button type="button" class="btn" onclick={onclose}>Back</button>
      <button class="btn btn-primary" disabled={!reason.trim() || !book.isNewest}>Keep</button>
    </div>
  </form>
</Dialog>
