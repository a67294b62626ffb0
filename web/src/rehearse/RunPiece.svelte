<!-- @component A piece of the road that comes, drawn once and then only moved. -->
<script lang="ts">
  import type { Help } from '../api/runs';
  import type { CornerPage, Trace } from '../api/types';
  import { provideFrame } from '../strip/frame';
  import { valueAt } from '../strip/lap-axis';
  import Marks from '../strip/Marks.svelte';
  import { pointStation, travels } from '../page/annotations';
  import { platesOf } from '../strip/plates';
  import PlateShape from '../strip/PlateShape.svelte';
  import { place } from '../strip/window';
  import { pieceFrame } from './run-road';
  import RunSurface from './RunSurface.svelte';

  interface Props {
    trace: Trace;
    pages: CornerPage[];
    piece: number;
    /** Half the width that holds the road anywhere [m]. */
    half_m: number;
    help: Help;
  }
  const { trace, pages, piece, half_m, help }: Props = $props();
  const frame = $derived(pieceFrame(trace, piece, half_m));
  provideFrame(() => frame);
  const plates = $derived(
    pages.flatMap(platesOf).flatMap((plate) => {
      const d = place(frame.window, trace, plate.station);
      if (d === undefined || d === frame.window.length) return [];
      const x = frame.across(valueAt(trace, trace.offset_m, plate.station));
      return [{ plate, x, y: frame.along(d) }];
    }),
  );
  /** Longer than this a warning is not read in passing. */
  const LONGEST = 38;
  const warnings = $derived(
    pages.flatMap((page) =>
      (page.pointNotes ?? []).filter(travels).flatMap((note) => {
        const station = pointStation(page, note.point);
        const d = station === undefined ? undefined : place(frame.window, trace, station);
        if (d === undefined || d === frame.window.length) return [];
        const { text } = note;
        const words = text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text;
        return [{ words, danger: note.kind === 'danger', y: frame.along(d) }];
      }),
    ),
  );
  /** The line is drawn across the road where the lap begins. */
  const start = $derived(place(frame.window, trace, 0));
</script>

<svg
  width={frame.width}
  height={frame.height}
  viewBox="0 0 {frame.width} {frame.height}"
  class="absolute overflow-visible"
  style:bottom="{piece * frame.height}px"
  aria-hidden="true"
>
  <RunSurface {trace} {piece} {half_m} line={help === 'plates'} />
  {#if start !== undefined}
    <line
      x1={frame.across(trace.left_m[0])}
      x2={frame.across(-trace.right_m[0])}
      y1={frame.along(start)}
      y2={frame.along(start)}
      stroke="var(--ink)"
      stroke-width="6"
      stroke-dasharray="8 8"
    />
  {/if}
  {#if help === 'plates' || help === 'marks'}<Marks />{/if}
  {#if help === 'plates'}
    {#each plates as { plate, x, y } (plate.name + plate.station)}
      <g transform="translate({x} {y})"><PlateShape letter={plate.letter} shape={plate.shape} /></g>
    {/each}
  {/if}
  {#each warnings as warning, i (i)}
    <text
      x={frame.across(0)}
      y={warning.y}
      text-anchor="middle"
      class="figures"
      font-size="17"
      font-weight={warning.danger ? 700 : 500}
      fill="var(--ink)"
      stroke="var(--color-base-100)"
      stroke-width="5"
      paint-order="stroke"
      data-warning>▲ {warning.words}</text
    >
  {/each}
</svg>
