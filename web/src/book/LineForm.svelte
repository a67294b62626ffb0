<script lang="ts">
  import { leaveJob } from '../api/jobs';
  import type { LineChoice } from '../api/types';
  import { useBook } from './book-state.svelte';
  import FileButton from '../ui/FileButton.svelte';
  import LongWork from '../ui/LongWork.svelte';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { tracedWords } from './own-line';
  import { useOwnLine } from './own-line.svelte';

  const book = useBook();
  const own = useOwnLine();
  const line = $derived(book.history!.now.line);
  const schooled = $derived(
    book.history!.now.ownValues.filter((own) => own.line !== undefined).map((own) => own.corner),
  );

  async function choose(select: HTMLSelectElement) {
    const line = select.value as LineChoice;
    await book.setLine(line, line === 'own' ? own.offsets_m : undefined);
    // A search that was stopped leaves the line as it was.
    select.value = book.history!.now.line;
  }
</script>

<div class="pt-2 text-[0.95rem]">
  <label class="flex items-center justify-between gap-2">
    <span class="figures text-xl font-semibold">Line</span>
    <select
      class="select h-11 w-52"
      value={line}
      disabled={book.searching !== undefined}
      onchange={(e) => choose(e.currentTarget)}
      data-line-choice
    >
      <option value="fastest">fastest: least time</option>
      <option value="smooth">smooth: bends least</option>
      <option value="own" disabled={!own.offsets_m}>my own: as recorded</option>
      <option value="centreline">centreline, as a check</option>
    </select>
  </label>
  {#if book.searching}
    <LongWork
      label="Searching the line"
      share={book.searching.progress}
      oncancel={() => leaveJob(book.searching!.id)}
    />
  {/if}
  <FileButton
    look="btn-sm mt-1 h-11 w-full"
    accept=".gpx,.csv,.txt,application/gpx+xml,text/csv"
    data-own-line
    onfile={(file) => own.ofFile(file)}
    >{line === 'own' ? 'Another line of my own' : 'My own line'} from a file</FileButton
  >
  {#if own.problem}<Problem problem={own.problem} onclose={own.clear} />{/if}
  {#if own.traced && line === 'own'}
    <p class="text-neutral pt-1" data-traced>{tracedWords(own.traced, preferences.writer)}</p>
  {/if}
  {#if line === 'smooth'}
    <p class="text-neutral pt-1" data-other-line>
      The fastest line is mostly one to two per cent quicker: choose it to see what it gives here,
      as a draft.
    </p>
  {/if}
  {#if schooled.length}
    <p class="text-neutral pt-1">Driven in a way of its own: corner {schooled.join(', ')}.</p>
  {/if}
  {#if book.history!.now.setup}
    <p class="text-neutral pt-1">
      Set up by <a class="link" href="/books/{book.id}/car">{book.history!.now.setup.name}</a>.
    </p>
  {/if}
</div>
