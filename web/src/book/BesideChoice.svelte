<script lang="ts">
  import { api } from '../api/client';
  import type { BookView } from '../api/types';
  import { navigate } from '../router';
  import { useBook } from './book-state.svelte';

  /** Book that it is laid beside now; empty to choose one. */
  const { other = '' }: { other?: string } = $props();
  const book = useBook();
  let others = $state.raw<BookView[]>([]);
  $effect(() => {
    const place = book.book!.newestCircuitId;
    api.books().then(
      (all) => (others = all.filter((b) => b.newestCircuitId === place && b.id !== book.id)),
      () => (others = []),
    );
  });
</script>

{#if others.length}
  <label class="figures flex flex-wrap items-center gap-2 text-lg">
    beside another book
    <select
      class="select h-11 w-72 max-w-full"
      value={other}
      onchange={(e) =>
        e.currentTarget.value &&
        navigate('/books/:id/beside/:other', {
          params: { id: book.id, other: e.currentTarget.value },
        })}
      data-beside
    >
      <option value="">choose a book of this circuit</option>
      {#each others as o (o.id)}<option value={o.id}>{o.name}</option>{/each}
    </select>
  </label>
{/if}
