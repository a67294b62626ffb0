<!-- @component A book on the shelf: its lap, its newest revision, and what can be done with it. -->
<script lang="ts">
  import type { BookView } from '../api/types';
  import { lapTime } from '../units/format';
  import ThingMenu from './ThingMenu.svelte';

  interface Props {
    book: BookView;
    run: (work: () => Promise<unknown>) => Promise<boolean>;
    onaway: () => void;
  }
  const { book, run, onaway }: Props = $props();
  const newest = $derived(book.revisions[book.revisions.length - 1]);
  const day = (iso: string) => new Date(iso).toLocaleDateString('en-GB', { dateStyle: 'medium' });
</script>

<li
  class="rounded-box border-base-300 bg-base-200 hover:border-base-content flex items-start border-2 border-l-8"
>
  <a href="/books/{book.id}" class="block min-w-0 grow p-4">
    <span class="figures block text-2xl font-bold">{book.name}</span>
    <span class="text-neutral block">
      {book.circuit}{book.layout ? `, ${book.layout}` : ''} · {book.car}
    </span>
    <span class="mt-3 flex flex-wrap items-baseline gap-x-3">
      <span class="figures text-3xl font-semibold">{lapTime(newest.time_s)}</span>
      <span>revision {newest.number}, {day(newest.createdAt)}</span>
    </span>
    <span class="text-neutral block truncate">{newest.reason}</span>
  </a>
  <ThingMenu kind="book" id={book.id} name={book.name} edition={book.edition} {run} {onaway} />
</li>
