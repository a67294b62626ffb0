<script lang="ts">
  import { untrack } from 'svelte';
  import { lapCalls } from '../api/lap-calls';
  import { Working } from '../api/working.svelte';
  import type { Along, DrivenLap } from '../api/laps';
  import type { CornerPage, Trace } from '../api/types';
  import { spread } from '../strip/labels';
  import { windowOf } from '../strip/window';
  import Problem from '../ui/Problem.svelte';
  import { lapTime, lengthIn, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { behind, indexAt, knotsBeside, laneFor, pathOf, yIn } from './along';

  interface Props {
    session: string;
    page: CornerPage;
    trace: Trace;
    laps: DrivenLap[];
    best: DrivenLap | undefined;
  }
  const { session, page, trace, laps, best }: Props = $props();
  const WIDTH = 500;
  const RIGHT = 44;

  let first = $state<string>();
  let second = $state('page');
  const chosen = $derived(laps.some((l) => l.id === first) ? first! : (best?.id ?? 'page'));
  const other = $derived(second === 'page' || laps.some((l) => l.id === second) ? second : 'page');
  const stretch = $derived.by(() => {
    const { from, length } = windowOf(page, trace);
    return [from, Math.min(trace.length_m, from + length)] as const;
  });
  let pair = $state.raw<[Along, Along]>();
  const working = new Working();
  /** Index under the pointer. */
  let at = $state<number>();

  $effect(() => {
    const [from, to] = stretch;
    const [a, b] = [chosen, other];
    void untrack(() =>
      working.run(async () => {
        const answer = await Promise.all([
          lapCalls.along(session, a, from, to),
          lapCalls.along(session, b, from, to),
        ]);
        if (a === chosen && b === other) pair = answer;
      }),
    );
  });

  const name = (id: string) =>
    id === 'page' ? 'the page' : `lap ${laps.find((l) => l.id === id)?.number}`;
  const x = $derived((i: number) =>
    pair ? (i / Math.max(1, pair[0].time_s.length - 1)) * (WIDTH - RIGHT) : 0,
  );
  const lost = $derived(pair ? behind(...pair) : []);
  const lanes = $derived(
    pair && {
      speed: laneFor(18, 150, [pair[0].speed_mps, pair[1].speed_mps], 5),
      brake: { top: 176, bottom: 226, low: 0, high: 100 },
      throttle: { top: 248, bottom: 298, low: 0, high: 100 },
      time: laneFor(322, 372, [lost], 0.1),
      wheel: laneFor(396, 446, [pair[0].steer_deg, pair[1].steer_deg, [0]], 20),
    },
  );
  /** A wheel that neither lap tells has no lane. */
  const steered = $derived(!!pair?.some((lap) => lap.steer_deg.some((v) => v !== null)));
  const bottom = $derived(steered ? 446 : 372);
  const places = $derived(
    pair
      ? [
          ['B', page.brake.at_m],
          ['T', page.turnIn.at_m],
          ['A', page.apexes[0].at_m],
          ['D', page.throttle.first_m],
        ].flatMap(([letter, station]) =>
          station === undefined || station === null
            ? []
            : [{ letter: letter as string, x: x(indexAt(pair![0], station as number)) }],
        )
      : [],
  );
  /** Letters that fall together move apart. */
  const points = $derived.by(() => {
    const labels = spread(
      places.map((p) => ({ wanted: p.x, height: 12 })),
      0,
      WIDTH,
    );
    return places.map((p, i) => ({ ...p, label: labels[i] }));
  });
  /** What is written on the page, knot by knot, beside this lap. */
  const written = $derived(
    pair && other === 'page'
      ? knotsBeside({ presses: page.presses ?? [], phases: page.phases ?? [] }, pair[0])
      : [],
  );
  const shown = $derived(pair ? (at ?? pair[0].time_s.length - 1) : 0);

  const speedText = (v: number | null) =>
    v === null ? '–' : String(Math.round(speedIn(v, preferences.speed)));
  const degText = (v: number | null) =>
    v === null ? '–' : `${Math.round(Math.abs(v))}° ${v >= 0 ? 'left' : 'right'}`;
  const pctText = (v: number | null) => (v === null ? '–' : `${Math.round(v)} %`);
  function signed(v: number | null): string {
    if (v === null) return '–';
    const rounded = Math.abs(v).toFixed(2);
    return v >= 0 ? `+${rounded} s behind` : `−${rounded} s ahead`;
  }
  function point(event: PointerEvent) {
    const box = (event.currentTarget as SVGElement).getBoundingClientRect();
    const share = ((event.clientX - box.left) / box.width) * (WIDTH / (WIDTH - RIGHT));
    at = pair ? Math.round(Math.max(0, Math.min(1, share)) * (pair[0].time_s.length - 1)) : 0;
  }
  function step(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!by || !pair) return;
    event.preventDefault();
    event.stopPropagation();
    at = Math.max(0, Math.min(pair[0].time_s.length - 1, shown + by));
  }
</script>

<div data-along>
  <div class="figures flex items-center gap-2 pb-1">
    <select
      class="select h-11 w-44 border-2 text-base"
      aria-label="This lap"
      value={chosen}
      onchange={(e) => (first = e.currentTarget.value)}
    >
      {#each laps as lap (lap.id)}
        <option value={lap.id}
          >lap {lap.number} · {lapTime(lap.time_s!)}{lap === best ? ' best' : ''}</option
        >
      {/each}
    </select>
    beside
    <select
      class="select h-11 w-44 border-2 border-dashed text-base"
      aria-label="The other lap"
      value={other}
      onchange={(e) => (second = e.currentTarget.value)}
    >
      <option value="page">the page, by the model</option>
      {#each laps as lap (lap.id)}
        <option value={lap.id}>lap {lap.number} · {lapTime(lap.time_s!)}</option>
      {/each}
    </select>
  </div>
  {#if working.problem}<Problem problem={working.problem} />{/if}
  {#if pair && lanes}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
    <svg
      viewBox="0 0 {WIDTH} {bottom + 8}"
      class="block w-full touch-none"
      role="img"
      tabindex="0"
      aria-label="Speed, brake, throttle and time along corner {page.corner}: {name(
        chosen,
      )} drawn out, {name(other)} dashed. At {Math.round(
        lengthIn(pair[0].from_m + shown * pair[0].step_m, preferences.length),
      )} {preferences.length}: {speedText(pair[0].speed_mps[shown])} against {speedText(
        pair[1].speed_mps[shown],
      )} {preferences.speed}, {signed(lost[shown])}{steered
        ? `, wheel ${degText(pair[0].steer_deg[shown])}`
        : ''}"
      onpointermove={point}
      onpointerleave={() => (at = undefined)}
      onkeydown={step}
    >
      {#each points as p (p.letter)}
        <line x1={p.x} x2={p.x} y1="14" y2={bottom + 2} class="place" />
        <text x={p.label} y="11" text-anchor="middle" font-size="13" font-weight="700"
          >{p.letter}</text
        >
      {/each}
      {#each [['speed', lanes.speed, 'speed_mps'], ['brake', lanes.brake, 'brake_pct'], ['throttle', lanes.throttle, 'throttle_pct']] as const as [what, lane, column] (what)}
        <line x1="0" x2={WIDTH - RIGHT} y1={lane.bottom} y2={lane.bottom} class="base" />
        <text
          x="2"
          y={what === 'speed' ? lane.bottom - 6 : lane.top - 5}
          font-size="13"
          class="what">{what}{what === 'speed' ? `, ${preferences.speed}` : ', %'}</text
        >
        <path d={pathOf(pair[1][column], x, lane)} class="other" />
        <path d={pathOf(pair[0][column], x, lane)} class="this" />
        <text x={WIDTH - RIGHT + 4} y={(lane.top + lane.bottom) / 2 - 2} font-size="15"
          >{what === 'speed'
            ? speedText(pair[0][column][shown])
            : pctText(pair[0][column][shown])}</text
        >
        <text
          x={WIDTH - RIGHT + 4}
          y={(lane.top + lane.bottom) / 2 + 14}
          font-size="13"
          class="what"
          >{what === 'speed'
            ? speedText(pair[1][column][shown])
            : pctText(pair[1][column][shown])}</text
        >
      {/each}
      <line
        x1="0"
        x2={WIDTH - RIGHT}
        y1={yIn(lanes.time, 0)}
        y2={yIn(lanes.time, 0)}
        class="base"
      />
      <text x="2" y={lanes.time.top - 6} font-size="13" class="what"
        >time, up is behind the dashed one</text
      >
      <path d={pathOf(lost, x, lanes.time)} class="this" />
      <text x={WIDTH - RIGHT + 4} y={(lanes.time.top + lanes.time.bottom) / 2 + 4} font-size="15"
        >{lost[shown] === null
          ? '–'
          : `${lost[shown]! >= 0 ? '+' : '−'}${Math.abs(lost[shown]!).toFixed(2)}`}</text
      >
      {#if steered}
        <line
          x1="0"
          x2={WIDTH - RIGHT}
          y1={yIn(lanes.wheel, 0)}
          y2={yIn(lanes.wheel, 0)}
          class="base"
        />
        <text x="2" y={lanes.wheel.top - 5} font-size="13" class="what">wheel, up is left</text>
        <path d={pathOf(pair[1].steer_deg, x, lanes.wheel)} class="other" />
        <path d={pathOf(pair[0].steer_deg, x, lanes.wheel)} class="this" />
        {#each [0, 1] as k (k)}
          <text
            x={WIDTH - RIGHT + 4}
            y={(lanes.wheel.top + lanes.wheel.bottom) / 2 - 2 + 16 * k}
            font-size={k ? 13 : 15}
            class={k ? 'what' : ''}
            >{pair[k].steer_deg[shown] == null
              ? '–'
              : `${Math.round(pair[k].steer_deg[shown]!)}°`}</text
          >
        {/each}
      {/if}
      {#each written as knot (`${knot.list} ${knot.name} ${knot.station}`)}
        <circle
          cx={x(indexAt(pair[0], knot.station))}
          cy={yIn(knot.list === 'presses' ? lanes.brake : lanes.throttle, knot.written)}
          r="3.5"
          class="knot"
        />
      {/each}
      {#if at !== undefined}<line
          x1={x(at)}
          x2={x(at)}
          y1="14"
          y2={bottom + 2}
          class="cursor"
        />{/if}
    </svg>
    <p class="text-neutral text-sm leading-snug">
      Drawn out: {name(chosen)}; dashed: {name(other)}. From the bottom of the strip to its top;
      letters are the page's plates. Over the whole stretch {name(chosen)} is
      <strong>{signed(lost.at(-1) ?? null)}</strong>.
    </p>
    {#if written.length}
      <details data-knots-beside>
        <summary class="link min-h-11 content-center decoration-dotted"
          >The page's pedals, knot by knot</summary
        >
        <table class="figures w-full text-base">
          <thead>
            <tr class="border-base-content border-b-2 text-left text-sm">
              <th scope="col">knot</th>
              <th scope="col">page</th>
              <th scope="col">{name(chosen)}</th>
              <th scope="col">more or less</th>
            </tr>
          </thead>
          <tbody>
            {#each written as knot (`${knot.list} ${knot.name} ${knot.station}`)}
              {@const more = Math.round(knot.driven) - Math.round(knot.written)}
              <tr class="border-base-300 h-11 border-b">
                <td>{knot.name}</td>
                <td>{pctText(knot.written)}</td>
                <td>{pctText(knot.driven)}</td>
                <td>{more === 0 ? 'the same' : `${more > 0 ? '+' : '−'}${Math.abs(more)}`}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </details>
    {/if}
  {:else if !working.problem}<p role="status">Laying the laps beside each other …</p>{/if}
</div>

<style>
  .place {
    stroke: var(--color-base-300);
    stroke-width: 1.5;
  }
  .base {
    stroke: var(--color-neutral);
    stroke-width: 1;
  }
  .what {
    fill: var(--color-neutral);
  }
  .this {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .other {
    fill: none;
    stroke: var(--color-info);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  .knot {
    fill: var(--color-base-100);
    stroke: var(--color-info);
    stroke-width: 2;
  }
  .cursor {
    stroke: var(--ink);
    stroke-width: 1;
    stroke-dasharray: 2 3;
  }
</style>
