<!-- @component The road that comes towards the driver. Only its place changes from frame to frame. -->
<script lang="ts">
  import type { Help } from '../api/runs';
  import type { CornerPage, Trace } from '../api/types';
  import { valueAt } from '../strip/lap-axis';
  import Patterns from '../strip/Patterns.svelte';
  import { piecesAt, pieceFrame, PX_PER_M, widest, WIDTH_PX } from './run-road';
  import RunPiece from './RunPiece.svelte';

  interface Props {
    trace: Trace;
    pages: CornerPage[];
    help: Exclude<Help, 'dark'>;
    /** Height of the window [px]. */
    height: number;
    /** Whether a second car is shown. */
    two?: boolean;
  }
  const { trace, pages, help, height, two = false }: Props = $props();
  const CAR_PX = 96;
  const half_m = $derived(widest(trace));
  const nose = $derived(height - CAR_PX);
  const shape = $derived(
    `M-9 ${nose + 34} V${nose + 9} Q0 ${nose - 6} 9 ${nose + 9} V${nose + 34} Z`,
  );
  const across = $derived(pieceFrame(trace, 0, half_m).across);
  let pieces = $state.raw<number[]>([]);
  let road: HTMLElement;
  let car: SVGElement;
  let other = $state<SVGElement>();
  /** What there is for the window across; a narrow screen sees it smaller, not less of it. */
  let room_px = $state(WIDTH_PX);

  /** Where a lap is along and across the road; left is positive. */
  interface Placed {
    station: number;
    offset_m: number;
  }

  /**
   * Puts the car at a station; called once a frame.
   *
   * @param driven where a driven lap is across the road, in the place of the page’s line
   * @param beside a second one, drawn as an outline
   */
  export function show(station: number, driven?: number, beside?: Placed) {
    const next = piecesAt(trace, station, CAR_PX / PX_PER_M, height / PX_PER_M);
    if (next[0] !== pieces[0] || next.at(-1) !== pieces.at(-1)) pieces = next;
    road.style.transform = `translate3d(0, ${station * PX_PER_M - CAR_PX}px, 0)`;
    if (help === 'plates') {
      const own = driven ?? valueAt(trace, trace.offset_m, station);
      car.style.transform = `translateX(${across(own)}px)`;
    }
    if (other && beside) {
      const ahead = (beside.station - station) * PX_PER_M;
      other.style.transform = `translate(${across(beside.offset_m)}px, ${-ahead}px)`;
    }
  }
</script>

<div bind:clientWidth={room_px}>
  <div
    class="border-base-300 relative overflow-hidden rounded border-2"
    style:height="{height}px"
    style:width="{WIDTH_PX}px"
    style:zoom={Math.min(1, room_px / (WIDTH_PX + 4))}
    role="img"
    aria-label="The road as it comes"
  >
    <svg width="0" height="0" class="absolute" aria-hidden="true">
      <Patterns />
    </svg>
    <div class="absolute bottom-0 left-0 will-change-transform" bind:this={road}>
      {#each pieces as piece (piece)}
        <RunPiece {trace} {pages} {piece} {half_m} {help} />
      {/each}
    </div>
    <svg class="absolute inset-0" width={WIDTH_PX} {height} aria-hidden="true">
      <line
        x1="120"
        x2={WIDTH_PX - 120}
        y1={height - CAR_PX}
        y2={height - CAR_PX}
        stroke="var(--ink)"
        stroke-width="2"
      />
      <path d="M112 {height - CAR_PX - 7} l12 7 l-12 7 Z" fill="var(--ink)" />
      <path d="M{WIDTH_PX - 112} {height - CAR_PX - 7} l-12 7 l12 7 Z" fill="var(--ink)" />
      {#if two}
        <g bind:this={other} data-other-car>
          <path d={shape} fill="none" stroke="var(--color-info)" stroke-width="3" />
        </g>
      {/if}
      <g bind:this={car}>
        {#if help === 'plates'}<path d={shape} fill="var(--ink)" />{/if}
      </g>
    </svg>
  </div>
</div>
