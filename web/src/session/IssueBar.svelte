<script lang="ts">
  import type { KeptSession } from '../api/sessions';

  import { useBook } from '../book/book-state.svelte';

  interface Props {
    kept: KeptSession;
    parent: number;
    /** How many pages change and how many values of them are not decided yet. */
    changed: number;
    open: number;
    busy: boolean;
    onaccept: () => void;
    onissue: (reason: string) => void;
  }
  const { kept, parent, changed, open, busy, onaccept, onissue }: Props = $props();
  const book = useBook();
  let reason = $state('');
</script>

<div
  class={[
    'bg-base-200 border-base-content fixed inset-x-0 z-10 border-t-2 px-4 py-2 print:hidden',
    // A draft of the book has its own bar below.
    book.changes > 0 ? 'bottom-16' : 'bottom-0',
  ]}
>
  {#if kept.session.revision === parent}
    <p class="figures flex min-h-11 items-center gap-3 text-lg" data-issued>
      <strong>Revision {parent} is issued for this session.</strong>
      <a class="link" href="/books/{kept.bookId}/sessions/{kept.id}/brief">Read the brief</a>
    </p>
  {:else}
    <form
      class="flex flex-wrap items-center gap-3"
      onsubmit={(e) => {
        e.preventDefault();
        onissue(reason);
      }}
    >
      <p class="figures grow text-lg">
        {changed}
        {changed === 1 ? 'page changes' : 'pages change'}; {open === 0
          ? 'all is decided'
          : `${open} ${open === 1 ? 'value is' : 'values are'} not decided`}
      </p>
      {#if open > 0}
        <button type="button" class="btn" disabled={busy} onclick={onaccept}
          >Accept all that is left</button
        >
      {/if}
      <input
        class="input h-11 w-72 px-2"
        aria-label="Reason of the revision"
        placeholder="reason; else the session's name"
        maxlength="300"
        bind:value={reason}
      />
      <button class="btn btn-primary" disabled={busy}>Issue revision {parent + 1}</button>
    </form>
  {/if}
</div>
