<!-- @component Where to be between the points, and whether the lap goes through. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Direction, Gate, GateKind } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { between, onLap, valueAt } from '../strip/lap-axis';
  import NumberInput from '../ui/NumberInput.svelte';
  import Problem from '../ui/Problem.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { GATE_KINDS } from './annotations';
  import Line from './Line.svelte';
  import { usePage } from './page-context';

  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const trace = $derived(book.view!.trace);
  const gates = $derived(p.gates ?? []);
  const own = $derived(
    book.history?.now.ownValues.find((o) => o.corner === p.corner)?.gates ?? ([] as Gate[]),
  );
  const apex = $derived(p.apexes[0].at_m);
  function where(station: number): string {
    const metres = between(trace, apex, station);
    return `${preferences.lengthText(Math.abs(metres))} ${metres < 0 ? 'before' : 'past'} the apex`;
  }
  function off(gate: (typeof gates)[number]): string {
    if (gate.kept) return 'the lap goes through';
    if (gate.kind === 'straight' && gate.offset_m === undefined) {
      return `the car still turns with ${gate.across_g.toFixed(1)} g there`;
    }
    const metres = gate.lap_m - gate.offset_m!;
    return `the lap is ${preferences.acrossText(Math.abs(metres))} farther ${
      metres > 0 ? 'left' : 'right'
    }`;
  }

  let kind = $state<GateKind>('here');
  let place_m = $state(-30);
  let side = $state<Direction>('left');
  let fromLine_m = $state(2);
  /** Offset of a place that is told from a white line. */
  function offset(station: number): number {
    const line = side === 'left' ? trace.left_m : trace.right_m;
    const edge = valueAt(trace, line, station);
    return Math.round(100 * (side === 'left' ? edge - fromLine_m : fromLine_m - edge)) / 100;
  }
  function put(all: Gate[]) {
    book.setOwn(p.corner, 'gates', all.length ? all : undefined);
  }
  function add() {
    const at_m = Math.round(10 * onLap(trace, apex + place_m)) / 10;
    const gate: Gate =
      kind === 'straight' ? { at_m, kind } : { at_m, kind, offset_m: offset(at_m) };
    put([...own, gate].sort((a, b) => between(trace, b.at_m, a.at_m)));
  }
  const refused = $derived(book.problem?.field?.includes('gates/') ? book.problem : undefined);
</script>

<Line letter="I" shape="plain" title="Gates" fields={['gates']} screenOnly={!gates.length}>
  <ul data-gates>
    {#each gates as gate, i (i)}
      <li class="flex items-center gap-2">
        <span class="grow"
          >{where(gate.at_m)}: <strong>{gate.place}</strong>;
          <span class={gate.kept ? '' : 'text-warning font-semibold'}
            >{#if !gate.kept}<span aria-hidden="true">▲</span>{/if}
            {off(gate)}</span
          >.</span
        >
        <button
          class="btn btn-ghost w-11 px-0 print:hidden"
          aria-label="Gate {i + 1}: take it out"
          title="take it out"
          onclick={() => put(own.filter((_, k) => k !== i))}><X size={18} /></button
        >
      </li>
    {:else}<li>None: where to be between the points.</li>{/each}
  </ul>
  <details data-add-gate class="print:hidden">
    <summary class="link min-h-11 content-center decoration-dotted">Set a gate</summary>
    {#if refused}<Problem problem={refused} onclose={book.clear} />{/if}
    <div class="flex flex-wrap items-center gap-x-4">
      <select class="select h-11 w-44 px-2 text-base" aria-label="What counts" bind:value={kind}>
        {#each Object.entries(GATE_KINDS) as [value, words] (value)}<option {value}>{words}</option
          >{/each}
      </select>
      <NumberInput
        label="Past the apex"
        unit={preferences.length}
        decimals={0}
        value={lengthIn(place_m, preferences.length)}
        min={-900}
        max={900}
        onchange={(v) => (place_m = lengthFrom(v!, preferences.length))}
      />
      {#if kind !== 'straight'}
        <NumberInput
          label="Car's middle"
          unit={preferences.length}
          value={lengthIn(fromLine_m, preferences.length)}
          min={-10}
          max={40}
          onchange={(v) => (fromLine_m = lengthFrom(v!, preferences.length))}
        />
        <label class="flex min-h-11 items-center gap-2"
          >from the
          <select class="select h-11 w-24 px-2 text-base" aria-label="Which line" bind:value={side}>
            <option value="left">left</option>
            <option value="right">right</option>
          </select> line</label
        >
      {/if}
      <button class="btn" onclick={add}>Set it</button>
    </div>
  </details>
</Line>
