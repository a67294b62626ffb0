<!-- @component Two laps along the road: one lane a channel, one place that is looked at. -->
<script lang="ts">
  import type { LapPair } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { laneFor, yIn } from '../laps/along';
  import { cornerNumber } from '../ui/corner-name';
  import { lengthIn, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { drawn, heldAt, valueAt, type Part } from './pair';

  interface Props {
    pair: LapPair;
    pages: CornerPage[];
    part: Part;
    at: number;
    /** Called with the station under pointer, finger or keys. */
    onat: (station: number) => void;
    /** What the two are called. */
    names: [string, string];
    svg?: SVGSVGElement;
  }
  let { pair, pages, part, at, onat, names, svg = $bindable() }: Props = $props();
  const RIGHT = 58;
  const TOP = 20;
  /** Space between two lanes, for the name of the lower one. */
  const GAP = 17;
  let room = $state(600);
  const width = $derived(Math.max(200, room - RIGHT));

  type Column =
    'speed_mps' | 'brake_pct' | 'throttle_pct' | 'steer_deg' | 'gear' | 'rpm' | 'offset_m';
  interface Shown {
    name: string;
    column: Column;
    height: number;
    range?: [number, number];
    /** Least that is seen of it, where its range follows what is driven. */
    least?: number;
    text: (value: number) => string;
    held?: boolean;
  }
  const sideText = (v: number) => `${Math.abs(v).toFixed(1)} ${v >= 0 ? 'left' : 'right'}`;
  const ALL: Shown[] = $derived([
    {
      name: `speed, ${preferences.speed}`,
      column: 'speed_mps',
      height: 110,
      least: 5,
      text: (v) => String(Math.round(speedIn(v, preferences.speed))),
    },
    { name: 'brake, %', column: 'brake_pct', height: 44, range: [0, 100], text: pct },
    { name: 'throttle, %', column: 'throttle_pct', height: 44, range: [0, 100], text: pct },
    {
      name: 'wheel, up is left',
      column: 'steer_deg',
      height: 44,
      least: 20,
      text: (v) => `${Math.round(v)}°`,
    },
    { name: 'gear', column: 'gear', height: 34, range: [0, 7], text: String, held: true },
    {
      name: 'engine, 1/min',
      column: 'rpm',
      height: 34,
      least: 1000,
      text: (v) => String(Math.round(v)),
    },
    { name: 'line, up is left', column: 'offset_m', height: 50, least: 4, text: sideText },
  ]);
  function pct(v: number) {
    return `${Math.round(v)} %`;
  }
  /** A channel that neither lap has gets no lane. */
  const lanes = $derived.by(() => {
    let top = TOP + 62 + GAP;
    return ALL.filter((lane) => both(lane.column).some((c) => c.some((v) => v !== null))).map(
      (lane) => {
        const bottom = top + lane.height;
        const columns = both(lane.column);
        const scale = lane.range
          ? { top, bottom, low: lane.range[0], high: lane.range[1] }
          : laneFor(top, bottom, columns, lane.least!);
        top = bottom + GAP;
        return { ...lane, scale };
      },
    );
  });
  const both = (column: Column) => [pair.first.along[column], pair.second.along[column]];
  const step = $derived(pair.first.along.step_m);
  /** Its range follows the part that is looked at. */
  const gap = $derived.by(() => {
    const seen = pair.behind_s.slice(Math.floor(part.from / step), Math.ceil(part.to / step) + 1);
    return laneFor(TOP, TOP + 62, [seen], 0.1);
  });
  const bottom = $derived((lanes.at(-1)?.scale.bottom ?? gap.bottom) + 8);
  const x = (station: number) => ((station - part.from) / (part.to - part.from)) * width;
  const paths = $derived({
    gap: drawn(pair.behind_s, step, part, width, (v) => yIn(gap, v)),
    lanes: lanes.map((lane) =>
      both(lane.column).map((c) => drawn(c, step, part, width, (v) => yIn(lane.scale, v))),
    ),
  });
  const corners = $derived(
    pages.filter((p) => p.lowest.at_m >= part.from && p.lowest.at_m <= part.to),
  );
  /** Of very many corners every second number has room. */
  const numbered = $derived(
    corners.filter((_, i) => i % Math.ceil((corners.length * 20) / width) === 0),
  );

  const behind = $derived(valueAt(pair.first.along, pair.behind_s, at));
  const gapText = $derived(
    behind === undefined ? '–' : `${behind >= 0 ? '+' : '−'}${Math.abs(behind).toFixed(2)}`,
  );
  const told = (lane: Shown, which: 0 | 1) => {
    const along = which ? pair.second.along : pair.first.along;
    const value = (lane.held ? heldAt : valueAt)(along, along[lane.column], at);
    return value === undefined ? '–' : lane.text(value);
  };
  const place = $derived(`${Math.round(lengthIn(at, preferences.length))} ${preferences.length}`);

  function point(event: PointerEvent) {
    if (event.pointerType !== 'mouse' && event.type === 'pointermove' && !event.buttons) return;
    const box = svg!.getBoundingClientRect();
    const share = (event.clientX - box.left) / width;
    onat(part.from + Math.max(0, Math.min(1, share)) * (part.to - part.from));
  }
  function step_(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -25, PageDown: 25 }[event.key];
    if (!by || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    onat(at + by * step);
  }
</script>

<div bind:clientWidth={room} class="min-w-0" data-lap-traces>
  <svg
    bind:this={svg}
    width={room}
    height={bottom}
    class="block touch-pan-y select-none"
    role="slider"
    tabindex="0"
    aria-label="Place on the lap"
    aria-valuemin={Math.round(part.from)}
    aria-valuemax={Math.round(part.to)}
    aria-valuenow={Math.round(at)}
    aria-valuetext="{place}: {names[0]} {behind === undefined
      ? 'not beside'
      : `${Math.abs(behind).toFixed(2)} s ${behind >= 0 ? 'behind' : 'ahead of'}`} {names[1]}"
    onpointerdown={point}
    onpointermove={point}
    onkeydown={step_}
  >
    {#each pair.apart as stretch (stretch.from_m)}
      {#if stretch.to_m > part.from && stretch.from_m < part.to}
        <rect
          x={x(Math.max(part.from, stretch.from_m))}
          y={TOP - 4}
          width={Math.max(
            1,
            x(Math.min(part.to, stretch.to_m)) - x(Math.max(part.from, stretch.from_m)),
          )}
          height={bottom - TOP}
          class="apart"
        />
      {/if}
    {/each}
    {#each corners as page (page.corner)}
      <line
        x1={x(page.lowest.at_m)}
        x2={x(page.lowest.at_m)}
        y1={TOP - 4}
        y2={bottom - 4}
        class="corner"
      />
    {/each}
    {#each numbered as page (page.corner)}
      <text x={x(page.lowest.at_m)} y="12" text-anchor="middle" font-size="13" font-weight="700"
        >{cornerNumber(page)}</text
      >
    {/each}
    {#if gap.low <= 0 && gap.high >= 0}
      <line x1="0" x2={width} y1={yIn(gap, 0)} y2={yIn(gap, 0)} class="base" />
    {/if}
    <path d={paths.gap} class="gap" />
    <text x="2" y={TOP + 6} font-size="13" class="what">seconds, up is behind the dashed one</text>
    <text x={width + 5} y={(gap.top + gap.bottom) / 2 + 5} font-size="16" font-weight="700"
      >{gapText}</text
    >
    {#each lanes as lane, i (lane.column)}
      <line x1="0" x2={width} y1={lane.scale.bottom} y2={lane.scale.bottom} class="base" />
      <path d={paths.lanes[i][1]} class="other" />
      <path d={paths.lanes[i][0]} class="this" />
      <text x="2" y={lane.scale.top - 3} font-size="13" class="what">{lane.name}</text>
      <text x={width + 5} y={(lane.scale.top + lane.scale.bottom) / 2 - 1} font-size="14"
        >{told(lane, 0)}</text
      >
      <text
        x={width + 5}
        y={(lane.scale.top + lane.scale.bottom) / 2 + 14}
        font-size="13"
        class="what">{told(lane, 1)}</text
      >
    {/each}
    <g style:transform="translateX({x(at)}px)">
      <line x1="0" x2="0" y1={TOP - 4} y2={bottom - 4} class="cursor" />
      <path d="M-6 {TOP - 8} h12 l-6 8 Z" fill="var(--ink)" />
    </g>
  </svg>
</div>

<style>
  .corner {
    stroke: var(--color-base-300);
    stroke-width: 1.5;
  }
  .apart {
    fill: var(--color-base-300);
    opacity: 0.6;
  }
  .base {
    stroke: var(--color-neutral);
    stroke-width: 1;
  }
  text {
    fill: var(--ink);
  }
  .what {
    fill: var(--color-neutral);
  }
  .this,
  .gap {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .gap {
    stroke-width: 2.5;
  }
  .other {
    fill: none;
    stroke: var(--color-info);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }
  .cursor {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
</style>
