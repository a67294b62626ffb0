<script lang="ts">
  import type { GivesWay, Phase, Press } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { knotsOf, moved, ownWork, without, type WorkKnot } from '../strip/knots';
  import { between, onLap } from '../strip/lap-axis';
  import X from '@lucide/svelte/icons/x';
  import Amount from '../ui/Amount.svelte';
  import Problem from '../ui/Problem.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import Line from './Line.svelte';
  import { usePage } from './page-context';
  import { workWords } from './work-words';

  /** What both feet do, knot by knot: in words, and to be written as the driver has it. */
  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const trace = $derived(book.view!.trace);
  const work = $derived({ presses: p.presses ?? [], phases: p.phases ?? [] });
  const apex = $derived(p.apexes[0].at_m);
  const own = (list: 'presses' | 'phases') => (p.sources[list] ?? 'model') !== 'model';
  const draft = $derived(book.history?.now.ownValues.find((o) => o.corner === p.corner));
  const words = $derived(
    workWords(work, (station) => {
      const metres = between(trace, apex, station);
      return `${preferences.lengthText(Math.abs(metres))} ${metres < 0 ? 'before' : 'past'}`;
    }),
  );

  function put(list: 'presses' | 'phases', value: unknown[]) {
    book.setOwnAll(p.corner, ownWork(list, value));
  }
  const wrapped = (station: number) => onLap(trace, station);
  const along = (station: number) => lengthIn(between(trace, apex, station), preferences.length);
  function place(knot: WorkKnot, shown: number) {
    put(
      knot.list,
      moved(work, knot, wrapped(apex + lengthFrom(shown, preferences.length)), knot.pct),
    );
  }

  const middle = (a: number, b: number) => wrapped(a + between(trace, a, b) / 2);
  function addKnot(entry: number) {
    put(
      'presses',
      work.presses.map((press, i) => {
        if (i !== entry) return press;
        const knots = press.knots;
        const last = knots.at(-1) ?? { at_m: press.on_m, pct: press.peak_pct };
        const knot = { at_m: middle(last.at_m, press.off_m), pct: Math.round(last.pct / 2) };
        return { ...press, knots: [...knots, knot] };
      }),
    );
  }
  /** A dab before the corner, or the only press where there was none. */
  function addPress() {
    const first = work.presses[0];
    const on = wrapped((first?.on_m ?? p.turnIn.at_m) - 60);
    const dab: Press = { on_m: on, peak_pct: 20, knots: [], off_m: wrapped(on + 40) };
    put('presses', [dab, ...work.presses]);
  }
  function addPhase(kind: 'lift' | 'hold' | 'step') {
    const off = work.presses.at(-1)?.off_m;
    const flat = work.phases.find((phase) => phase.kind === 'flat')?.at_m;
    if (kind === 'lift') {
      const lift: Phase = {
        kind,
        at_m: wrapped(p.turnIn.at_m - 20),
        to_pct: 50,
        until_m: p.turnIn.at_m,
      };
      const back: Phase = {
        kind: 'flat',
        at_m: middle(p.turnIn.at_m, p.exit.trackOut_m),
        to_pct: 100,
      };
      put('phases', flat === undefined ? [lift, back] : [lift, ...work.phases]);
      return;
    }
    const first = work.phases.findIndex((phase) => phase.kind === 'first');
    if (kind === 'hold') {
      const to = first < 0 ? p.exit.trackOut_m : work.phases[first].at_m;
      const from = off ?? p.turnIn.at_m;
      const hold: Phase = { kind, at_m: wrapped(from + 1), to_pct: 15, until_m: wrapped(to - 1) };
      put('phases', [hold, ...work.phases.filter((phase) => phase.kind !== 'hold')]);
      return;
    }
    const at = flat === undefined ? work.phases.length : work.phases.length - 1;
    const before = work.phases[at - 1];
    const step: Phase = {
      kind,
      at_m: middle(before.until_m ?? before.at_m, flat ?? p.exit.trackOut_m),
      to_pct: Math.round((before.to_pct + 100) / 2),
    };
    put('phases', [...work.phases.slice(0, at), step, ...work.phases.slice(at)]);
  }
  /** What was refused of a list: said beside it, and what was typed is gone from its field. */
  const refused = (list: 'presses' | 'phases') =>
    book.problem?.field?.includes(`${list}/`) ? book.problem : undefined;
  const GIVES_WAY: Record<GivesWay, string> = {
    'brake-point': 'the brake point: the apex speed stays',
    pressure: 'the pressure: the brake point stays',
    nothing: 'nothing: show what comes of it',
  };
  const kinds = [
    { list: 'presses' as const, letter: 'P', title: 'Brake', none: 'not pressed' },
    { list: 'phases' as const, letter: 'P', title: 'Throttle', none: 'stays flat' },
  ];
</script>

{#each kinds as { list, letter, title, none } (list)}
  <Line
    {letter}
    shape="plain"
    screenOnly={!own(list)}
    title="{title}, as pressed"
    fields={list === 'presses' ? ['presses', 'brake.givesWay'] : ['phases']}
  >
    <span data-work={list}>{words[list] || none}.</span>
    <details data-own-work={list} class="print:hidden">
      <summary class="link min-h-11 content-center decoration-dotted"
        >Write it as you drive it</summary
      >
      {#if refused(list)}<Problem problem={refused(list)!} onclose={book.clear} />{/if}
      {#key book.problem}
        <ul>
          {#each knotsOf(work).filter((knot) => knot.list === list) as knot (`${knot.entry} ${knot.part}`)}
            <li class="flex flex-wrap items-baseline gap-x-2">
              <span class="w-28 sm:w-40">{knot.name}</span>
              <Amount
                value={along(knot.station)}
                label="{knot.name}, past the apex"
                unit={preferences.length}
                min={-900}
                max={900}
                own={own(list)}
                onchange={(v) => place(knot, v)}
              />
              {#if knot.amount}
                <Amount
                  value={knot.pct}
                  label="{knot.name}, how much"
                  unit="%"
                  min={knot.part === 'on' ? 1 : 0}
                  max={100}
                  own={own(list)}
                  onchange={(v) => put(list, moved(work, knot, knot.station, v))}
                />
              {/if}
              <button
                class="btn btn-ghost w-11 self-center px-0"
                aria-label="{knot.name}: take it out"
                title="take it out"
                onclick={() => put(list, without(work, knot))}><X size={18} /></button
              >
            </li>
          {/each}
        </ul>
      {/key}
      {#if list === 'presses'}
        {#each work.presses as press, i (press.on_m)}
          <button class="btn btn-ghost font-normal" onclick={() => addKnot(i)}>+ pressure</button>
        {/each}
        <button class="btn btn-ghost font-normal" onclick={addPress}
          >+ press{work.presses.length ? ' before it' : ''}</button
        >
        {#if own('presses') && work.presses.length}
          <label class="flex flex-wrap items-center gap-2">
            What gives way
            <select
              data-gives-way
              class="select h-11 w-72 px-2 text-base"
              value={draft?.['brake.givesWay'] ?? 'brake-point'}
              onchange={(e) =>
                book.setOwn(p.corner, 'brake.givesWay', e.currentTarget.value as GivesWay)}
            >
              {#each Object.entries(GIVES_WAY) as [value, said] (value)}<option {value}
                  >{said}</option
                >{/each}
            </select>
          </label>
        {/if}
      {:else}
        <button class="btn btn-ghost font-normal" onclick={() => addPhase('lift')}>+ lift</button>
        <button class="btn btn-ghost font-normal" onclick={() => addPhase('hold')}
          >+ held throttle</button
        >
        {#if work.phases.length}
          <button class="btn btn-ghost font-normal" onclick={() => addPhase('step')}>+ step</button>
        {/if}
      {/if}
      <p class="text-neutral text-sm">
        Places are past the apex, before it with a minus. Between two knots the pedal goes straight.
      </p>
    </details>
  </Line>
{/each}
