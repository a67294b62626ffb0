<script lang="ts">
  import Redo from '@lucide/svelte/icons/redo-2';
  import Undo from '@lucide/svelte/icons/undo-2';
  import { gainOver, lapTime } from '../units/format';
  import { me } from '../people/me.svelte';
  import { useBook } from './book-state.svelte';

  interface Props {
    /** Whether the question for the reason is open. */
    keeping: boolean;
  }
  let { keeping = $bindable() }: Props = $props();

  const book = useBook();
  let reason = $state('');
  const cost = $derived(
    (book.view?.revision.lap.time_s ?? 0) - (book.base?.revision.lap.time_s ?? 0),
  );
  const notMade = $derived(
    book.view?.revision.pages.filter((p) => p.driven && !p.driven.made).map((p) => p.corner) ?? [],
  );
  const shown = $derived(book.changes > 0 || (book.history?.future.length ?? 0) > 0);
</script>

{#if shown}
  <aside
    aria-label="Draft"
    class="border-base-content bg-base-100 desk:inset-x-auto desk:bottom-3 desk:left-4 desk:flex-nowrap desk:items-end desk:rounded-box desk:border-2 fixed inset-x-0 bottom-[calc(3rem+env(safe-area-inset-bottom))] z-20 flex flex-wrap items-center gap-x-2 border-t-2 px-2 py-1 shadow-lg"
  >
    <!-- The words change while the buttons are reached for: these stay where they are. -->
    <span
      class="figures desk:order-last desk:w-auto desk:min-w-0 desk:px-2 desk:py-2 w-full text-lg"
      aria-live="polite"
    >
      {#if book.changes === 0}
        no changes
      {:else}
        draft, {book.changes}
        {book.changes === 1 ? 'change' : 'changes'} ·
        {#if book.computing}computing …{:else}
          <strong>{lapTime(book.view!.revision.lap.time_s)}</strong>, {gainOver(
            cost,
            `revision ${book.base!.revision.number}`,
          )}{notMade.length ? ' · ' : ''}{#if notMade.length}
            <span class="text-error font-semibold"
              >{notMade.length === 1 ? 'corner' : 'corners'}
              {notMade.join(', ')} not made as written</span
            >
          {/if}
        {/if}
      {/if}
    </span>
    <button
      class="btn btn-ghost shrink-0 px-3"
      onclick={() => book.undo()}
      disabled={book.history!.past.length === 0}
      ><Undo size={18} /> <span class="max-sm:sr-only">Undo</span></button
    >
    <button
      class="btn btn-ghost shrink-0 px-3"
      onclick={() => book.redo()}
      disabled={book.history!.future.length === 0}
      ><Redo size={18} /> <span class="max-sm:sr-only">Redo</span></button
    >
    <button
      class="btn btn-ghost shrink-0"
      onclick={() => book.discard()}
      disabled={book.changes === 0}
    >
      Discard
    </button>
    <button
      class="btn btn-primary shrink-0"
      onclick={() => (keeping = true)}
      disabled={book.changes === 0 || !me.edits}
      title={me.edits ? undefined : 'Only the driver keeps revisions'}
    >
      Keep as revision {(book.newest?.number ?? 0) + 1}
    </button>
  </aside>
{/if}
{#if keeping}
  {#await import('./KeepDialog.svelte') then { default: KeepDialog }}
    <KeepDialog bind:reason onclose={() => (keeping = false)} />
  {/await}
{/if}
{#if book.theirs}
  {#await import('./Settle.svelte') then { default: Settle }}<Settle />{/await}
{/if}
