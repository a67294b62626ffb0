<!-- @component Marks that wait for the pages to be told by them. -->
<script lang="ts">
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import { useNoted } from './noted-marks.svelte';

  const noted = useNoted()!;
  const book = useBook();
  const names = $derived(noted.marks.map((mark) => mark.label).join(', '));
</script>

{#if noted.problem}<Problem problem={noted.problem} onclose={() => noted.clear()} />{/if}
{#if noted.marks.length}
  <div
    class="border-base-content my-1 flex flex-wrap items-center gap-x-3 rounded border-2 px-3 py-1 print:hidden"
    data-noted
  >
    <p class="grow basis-72 leading-snug" role="status">
      <strong>{noted.marks.length === 1 ? 'One mark' : `${noted.marks.length} marks`} noted</strong
      >, not in the pages yet: {names}.
      {#if noted.others}With them go {noted.others === 1
          ? 'another edit'
          : `${noted.others} other edits`} of
        <a class="link" href="/circuits/{book.book!.circuitId}">the circuit's draft</a>.{/if}
      {#if book.changes > 0}Keep or discard the draft, then the pages can be told by them.{/if}
    </p>
    <button class="btn btn-ghost" disabled={noted.busy} onclick={() => noted.takeBack()}
      >Take the last back</button
    >
    <button
      class="btn btn-primary"
      disabled={noted.busy || noted.saving || book.changes > 0}
      onclick={() => noted.take()}>{noted.busy ? 'Computing …' : 'Tell the pages by them'}</button
    >
  </div>
{/if}
