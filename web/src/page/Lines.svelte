<script lang="ts">
  import type { KerbUse, MarkReference, OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { cost } from '../book/stakes';
  import { between, valueAt } from '../strip/lap-axis';
  import Amount from '../ui/Amount.svelte';
  import { lengthFrom, lengthIn, speedFrom, speedIn } from '../units/format';
  import { cautionWords } from './words';
  import { useNoted } from './noted-marks.svelte';
  import { preferences } from '../units/preferences.svelte';
  import Line from './Line.svelte';
  import MarkChoice from './MarkChoice.svelte';
  import { usePage } from './page-context';
  import OwnPoints from './OwnPoints.svelte';
  import Place from './Place.svelte';
  import { ownGear } from './work-words';
  import {
    BRAKE_STYLE,
    carLengths,
    edgeWords,
    gearsBetween,
    KERB_USE,
    markWords,
    ruleWords,
    turnsInFirst,
  } from './words';

  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const trace = $derived(book.view!.trace);
  const apex = $derived(p.apexes[0]);
  const noted = useNoted();
  const speed = $derived((mps: number) => preferences.speedText(mps));
  const length = $derived((m: number) => preferences.lengthText(m));
  const across = $derived((m: number) => preferences.acrossText(m));
  /** A difference in speed, given in km/h as the stakes are worked out. */
  const slower = (kmh: number) =>
    `${Number(speedIn(kmh / 3.6, preferences.speed).toFixed(1))} ${preferences.speed}`;
  const own = (field: OwnField) => (p.sources[field] ?? 'model') !== 'model';
  const set = (field: OwnField, value: number) => book.setOwn(p.corner, field, value);

  /** Way from the car's middle to the white line of a side. */
  function toEdge(station: number, offset: number, side: 'left' | 'right'): number {
    return side === 'left'
      ? valueAt(trace, trace.left_m, station) - offset
      : valueAt(trace, trace.right_m, station) + offset;
  }
  /** The apex offset that leaves so much to the inside line. */
  function setApex(fromLine: number) {
    const edge = toEdge(apex.at_m, 0, p.direction);
    const inward = p.direction === 'left' ? 1 : -1;
    set('apexes.offset_m', Math.round(100 * inward * (edge - fromLine)) / 100);
  }
  const outside = $derived(p.direction === 'left' ? 'right' : 'left');
  const downshifts = $derived(
    p.gears.downshifts_m.map((d) => length(between(trace, p.brake.at_m ?? d, d))).join(', '),
  );
  /** Whether it is a mark that stands somewhere, and not a count of time. */
  const standing = (mark: MarkReference | undefined) => mark !== undefined && !mark.weak;
  const lengths = (mark: MarkReference) => carLengths(mark.offset_m, trace.carLength_m ?? 0);
  const turnInFirst = $derived(turnsInFirst(p, (from, to) => between(trace, from, to)));
  const throttleDrops = $derived(p.throttle.first_m !== undefined);
</script>

{#snippet cautions(mark: MarkReference | undefined)}
  {#if mark?.cautions?.length}
    <span class="text-warning font-semibold"
      ><span aria-hidden="true">▲</span> {cautionWords(mark)}.</span
    >
  {/if}
{/snippet}
{#snippet kerb(field: 'kerbs.apex' | 'kerbs.exit', use: KerbUse, label: string)}
  <select
    class={[
      'select h-11 w-[7.2rem] px-2 text-base font-semibold',
      own(field) && 'border-base-content border-2',
    ]}
    aria-label={label}
    value={use}
    onchange={(e) => book.setOwn(p.corner, field, e.currentTarget.value)}
  >
    {#each Object.entries(KERB_USE) as [value, words] (value)}<option {value}>{words}</option
      >{/each}
  </select>
{/snippet}
{#snippet brakeAndGears()}
  <Line
    letter="B"
    shape="square"
    title="Brake"
    fields={['brake.at_m', 'brake.initial_pct', 'brake.mark', 'brake.words']}
    tagged="brake.target"
    slip={{
      words: `${length(5)} early`,
      seconds: p.lift ? p.stakes?.lift5mEarly_s : p.stakes?.brake5mEarly_s,
    }}
  >
    {#if p.brake.at_m !== undefined}
      {#if p.brake.target?.own}<strong>{p.brake.target.own}</strong>:{/if}
      <Place
        field="brake.at_m"
        at={p.brake.at_m}
        by={standing(p.brake.target) && p.brake.at_m - p.brake.target!.offset_m}
        thing={standing(p.brake.target) ? p.brake.target!.thing : undefined}
        label="Brake point"
      />{#if p.brake.target?.weak && !p.brake.target.own}, <em>{p.brake.target.text}</em>{/if};
      <Amount
        value={p.brake.initial_pct ?? 0}
        label="First brake pressure"
        unit="%"
        min={1}
        max={100}
        own={own('brake.initial_pct')}
        onchange={(v) => set('brake.initial_pct', v)}
      />
      {BRAKE_STYLE[p.brake.style]}.
    {:else if p.lift}
      lift to <strong>{Math.round(p.lift.to_pct)} %</strong>{p.lift.target
        ? `, ${markWords(p.lift.target, length)}`
        : `, ${length(Math.abs(between(trace, apex.at_m, p.lift.at_m)))} before the apex`}{p.lift
        .back_m === undefined
        ? ''
        : `; flat again ${length(Math.abs(between(trace, apex.at_m, p.lift.back_m)))} ${
            between(trace, apex.at_m, p.lift.back_m) < 0 ? 'before' : 'past'
          } the apex`}{p.stakes?.lift10pctDeeper_s === undefined
        ? ''
        : `; 10 % deeper costs ${cost(p.stakes.lift10pctDeeper_s)}`}.
    {:else}
      {BRAKE_STYLE[p.brake.style]}.
    {/if}
    {#snippet more()}
      {#if p.brake.at_m !== undefined}
        From {speed(p.approach.speed_mps)}.
        {#if p.brake.safe}First time out: <strong>{markWords(p.brake.safe, length)}</strong>.{/if}
        {#if standing(p.brake.target) && lengths(p.brake.target!)}The point is {lengths(
            p.brake.target!,
          )} off it.{/if}
        {#if !p.brake.target || p.brake.target.weak}No mark is seen in time: look for one on the
          <a class="link" href="/circuits/{book.book!.circuitId}/walk">walk</a>.{/if}
        {#if noted}
          <button
            class="link mr-3 min-h-11 decoration-dotted"
            data-note
            onclick={() => (noted.asked = { station: p.brake.at_m!, side: 'LEFT' })}
            >note a mark</button
          >
        {/if}
        {@render cautions(p.brake.target)}
        <MarkChoice place="brake.at_m" target={p.brake.target} choices={p.brake.choices} />
      {/if}
    {/snippet}
  </Line>
  <Line letter="G" shape="plain" title="Gears" fields={['gears.corner']}>
    {p.gears.approach === p.gears.corner ? 'stay in' : `${p.gears.approach} to`}
    <Amount
      value={p.gears.corner}
      label="Gear in the corner"
      min={1}
      max={12}
      own={own('gears.corner')}
      onchange={(v) => book.setOwnAll(p.corner, ownGear('gears.corner', v))}
    />{gearsBetween(p.gears) ? `, by way of ${gearsBetween(p.gears)}` : ''}.
    {#snippet more()}
      {#if p.gears.downshifts_m.length > 0 && p.brake.at_m !== undefined}
        Down {downshifts} past the brake point.
      {/if}
    {/snippet}
  </Line>
{/snippet}
{#snippet turnIn()}
  <Line
    letter="T"
    shape="diamond"
    title="Turn in"
    fields={['turnIn.at_m', 'turnIn.mark', 'turnIn.words', 'trailBrake.atTurnIn_pct']}
    tagged="turnIn.target"
  >
    {#if p.turnIn.target?.own}<strong>{p.turnIn.target.own}</strong>:{/if}
    <Place
      field="turnIn.at_m"
      at={p.turnIn.at_m}
      by={standing(p.turnIn.target) && p.turnIn.at_m - p.turnIn.target!.offset_m}
      thing={standing(p.turnIn.target) ? p.turnIn.target!.thing : undefined}
      label="Turn-in point"
    />{#if p.turnIn.target?.weak && !p.turnIn.target.own}, <em>{p.turnIn.target.text}</em>{/if}; {speed(
      p.turnIn.speed_mps,
    )}{#if p.trailBrake && p.trailBrake.atTurnIn_pct >= 1},
      <Amount
        value={p.trailBrake.atTurnIn_pct}
        label="Pressure at the turn-in"
        unit="%"
        min={0}
        max={100}
        own={own('trailBrake.atTurnIn_pct')}
        onchange={(v) => set('trailBrake.atTurnIn_pct', v)}
      /> still on{/if}.
    <MarkChoice place="turnIn.at_m" target={p.turnIn.target} choices={p.turnIn.choices} />
    {#snippet more()}{@render cautions(p.turnIn.target)}{/snippet}
  </Line>
{/snippet}
<ol aria-label="The corner in the order it is driven">
  {#if turnInFirst}{@render turnIn()}{/if}
  {@render brakeAndGears()}
  {#if !turnInFirst}{@render turnIn()}{/if}
  <OwnPoints />
  {#if p.trailBrake}
    <Line letter="R" shape="frame" title="Release" fields={['trailBrake.release_m']}>
      off
      <Place
        field="trailBrake.release_m"
        at={p.trailBrake.release_m}
        by={apex.at_m}
        thing="the apex"
        label="Brake release"
      />{p.trailBrake.half_pct >= 1
        ? `; ${Math.round(p.trailBrake.half_pct)} % half-way, ${Math.round(p.trailBrake.nearApex_pct)} % near it.`
        : '.'}
    </Line>
  {/if}
  <Line
    letter="A"
    shape="ring"
    title={p.apexes.length > 1 ? 'Apexes' : 'Apex'}
    fields={['apexes.speed_mps', 'apexes.offset_m']}
    slip={{ words: `${slower(2)} slower`, seconds: p.stakes?.apex2kmhSlower_s }}
  >
    {apex.kind},
    <Amount
      value={lengthIn(toEdge(apex.at_m, apex.offset_m, p.direction), preferences.length)}
      label="Apex, from the inside line"
      unit={preferences.length}
      min={-2}
      max={60}
      step={0.1}
      own={own('apexes.offset_m')}
      onchange={(v) => setApex(lengthFrom(v, preferences.length))}
    />{#each p.apexes.slice(1) as a, i (i)}, then {a.kind}, {across(
        toEdge(a.at_m, a.offset_m, p.direction),
      )}{/each} from the {p.direction} line;
    <Amount
      value={speedIn(p.lowest.speed_mps, preferences.speed)}
      label="Lowest speed"
      unit={preferences.speed}
      min={5}
      max={500}
      own={own('apexes.speed_mps')}
      onchange={(v) => set('apexes.speed_mps', speedFrom(v, preferences.speed))}
    />.
  </Line>
  <Line
    letter="K"
    shape="plain"
    title="Kerbs"
    fields={['kerbs.apex', 'kerbs.exit']}
    slip={{ words: `${across(0.5)} off it`, seconds: p.stakes?.apexHalfMetreOff_s }}
  >
    apex {@render kerb('kerbs.apex', p.kerbs.apex, 'Kerb at the apex')} exit {@render kerb(
      'kerbs.exit',
      p.kerbs.exit,
      'Kerb at the exit',
    )}
    {#snippet more()}
      {#if p.limits}
        {p.kerbs.entry === 'none' ? '' : `Entry: ${KERB_USE[p.kerbs.entry]}. `}Rule: {ruleWords(
          p.limits.rule,
        )}. Apex: {edgeWords(p.limits.apex, across)}. Exit: {edgeWords(p.limits.exit, across)}{p
          .limits.entry.kerb
          ? `. Entry: ${edgeWords(p.limits.entry, across)}`
          : ''}.
      {/if}
    {/snippet}
  </Line>
  {#if throttleDrops}
    <Line
      letter="D"
      shape="triangle"
      title="Drive"
      fields={['throttle.first_m', 'throttle.full_m']}
      slip={{ words: `${length(10)} late`, seconds: p.stakes?.throttle10mLate_s }}
    >
      <Place
        field="throttle.first_m"
        at={p.throttle.first_m!}
        by={apex.at_m}
        thing="the apex"
        label="First throttle"
      />, {Math.round(p.throttle.first_pct ?? 0)} %{#if p.throttle.full_m !== undefined}; flat
        <Place
          field="throttle.full_m"
          at={p.throttle.full_m}
          by={apex.at_m}
          thing="it."
          label="Full throttle"
        />
      {:else}.{/if}
    </Line>
  {/if}
  {#await import('./AsDriven.svelte') then { default: AsDriven }}<AsDriven />{/await}
  <Line
    letter="E"
    shape="plain"
    title="Exit"
    slip={{ words: `${slower(1)} slower`, seconds: p.stakes?.exit1kmhSlower_s }}
  >
    {across(toEdge(p.exit.trackOut_m, p.exit.offset_m, outside))} from the {outside} line,
    <strong>{speed(p.exit.speed_mps)}</strong>.
    {#snippet more()}Metres from a line are those of the car's middle.{/snippet}
  </Line>
  {#await import('./Annotated.svelte') then { default: Annotated }}<Annotated />{/await}
</ol>
