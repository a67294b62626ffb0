<!-- @component Notes that hang on points: danger first; what can hurt travels with them. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { PagePoint, PointNote } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import { NOTE_KINDS, POINTS, pointsOf, SEVERITIES } from './annotations';
  import Line from './Line.svelte';
  import { usePage } from './page-context';

  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const notes = $derived(p.pointNotes ?? []);
  const own = $derived(
    book.history?.now.ownValues.find((o) => o.corner === p.corner)?.pointNotes ??
      ([] as PointNote[]),
  );
  let point = $state<PagePoint>('exit');
  let kind = $state<PointNote['kind']>('danger');
  let severity = $state(3);
  let text = $state('');

  const put = (all: PointNote[]) =>
    book.setOwn(p.corner, 'pointNotes', all.length ? all : undefined);
  function add() {
    if (!text.trim()) return;
    put([...own, { point, kind, severity, text: text.trim() }]);
    text = '';
  }
  const same = (a: PointNote, b: PointNote) =>
    a.point === b.point && a.kind === b.kind && a.text === b.text && a.severity === b.severity;
  const refused = $derived(book.problem?.field?.includes('pointNotes') ? book.problem : undefined);
</script>

<Line letter="N" shape="plain" title="Notes" screenOnly={!notes.length}>
  <ul data-point-notes>
    {#each notes as note, i (i)}
      <li class="flex items-center gap-2">
        <span class="grow"
          >{#if note.kind === 'danger'}<strong class="text-warning"
              ><span aria-hidden="true">▲</span> Danger</strong
            >{:else}<strong class="first-letter:uppercase inline-block"
              >{NOTE_KINDS[note.kind]}</strong
            >{/if}
          at the point <em>{POINTS[note.point]}</em>, {SEVERITIES[note.severity]}: {note.text}</span
        >
        <button
          class="btn btn-ghost w-11 px-0 print:hidden"
          aria-label="Note {i + 1}: take it out"
          title="take it out"
          onclick={() => put(own.filter((each) => !same(each, note)))}><X size={18} /></button
        >
      </li>
    {:else}<li>None at the points.</li>{/each}
  </ul>
  <details data-add-note class="print:hidden">
    <summary class="link min-h-11 content-center decoration-dotted">Note something</summary>
    {#if refused}<Problem problem={refused} onclose={book.clear} />{/if}
    <div class="flex flex-wrap items-center gap-2">
      <select class="select h-11 w-36 px-2 text-base" aria-label="Kind of note" bind:value={kind}>
        {#each Object.entries(NOTE_KINDS) as [value, words] (value)}<option {value}>{words}</option
          >{/each}
      </select>
      <select class="select h-11 w-40 px-2 text-base" aria-label="At the point" bind:value={point}>
        {#each pointsOf(p) as each (each)}<option value={each}>{POINTS[each]}</option>{/each}
      </select>
      <select
        class="select h-11 w-32 px-2 text-base"
        aria-label="How much it matters"
        bind:value={severity}
      >
        {#each Object.entries(SEVERITIES) as [value, words] (value)}<option value={Number(value)}
            >{words}</option
          >{/each}
      </select>
      <input
        class="input h-11 min-w-48 grow"
        maxlength="500"
        aria-label="Text of the note"
        placeholder="wall close to the line at the exit"
        bind:value={text}
        onkeydown={(e) => e.key === 'Enter' && add()}
      />
      <button class="btn" disabled={!text.trim()} onclick={add}>Note it</button>
    </div>
    <p class="text-neutral text-sm">
      Dangers, and what is to be minded or feared, go along to the brief, the card, the call-outs,
      the last ten minutes and the run-through.
    </p>
  </details>
</Line>
