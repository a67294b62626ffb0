<script lang="ts">
  import { useBook } from './book-state.svelte';

  const book = useBook();
  const newer = $derived(book.book!.newestLayoutVersion > book.book!.layoutVersion);
  let moving = $state(false);

  async function move() {
    moving = true;
    await book.moveToNewestLayout();
    moving = false;
  }
</script>

{#if newer}
  <div
    class="border-base-content my-1 flex flex-wrap items-center gap-x-3 rounded border-2 px-3 py-1"
    data-layout-news
  >
    <p class="grow basis-72">
      <strong>Layout version {book.book!.newestLayoutVersion}</strong> of the circuit is newer than
      the version {book.book!.layoutVersion} that this book is made for.
    </p>
    <a class="btn btn-ghost" href="/circuits/{book.book!.newestCircuitId}">See what changed</a>
    <button class="btn" onclick={move} disabled={moving || book.changes > 0}>
      {moving ? 'Moving …' : 'Move the book to it'}
    </button>
  </div>
{:else if book.checks.length}
  <p class="pb-1">
    <span class="text-warning font-semibold"
      ><span aria-hidden="true">▲</span> To be checked on track:</span
    >
    {#each [...new Set(book.checks.map((c) => c.corner))] as corner, i (corner)}{i ? ', ' : ''}<a
        class="link"
        href="/books/{book.id}/corner/{corner}">corner {corner}</a
      >{/each}
  </p>
{/if}
