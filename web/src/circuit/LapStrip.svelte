<script lang="ts">
  import { frameOf, provideFrame } from '../strip/frame';
  import { ahead } from '../strip/lap-axis';
  import MarkGlyph from '../strip/MarkGlyph.svelte';
  import { captions, marksInWindow } from '../strip/marks';
  import Road from '../strip/Road.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import { dragged, pointIn, type Grip } from './dragging';
  import { atHand, holds, SHOWN_M, stationTicks, windowAround, type Hold } from './lap-strip';
  import type { CircuitEdits } from './types';

  interface Props {
    width?: number;
    height?: number;
  }
  const { width = 440, height = 700 }: Props = $props();

  const circuit = useCircuit();
  const trace = $derived(circuit.trace!);
  let svg = $state<SVGSVGElement>();
  let centre = $state(circuit.cursor);
  let drag: { hold: Hold; grip: Grip; from: number; start: CircuitEdits } | undefined;
  // The click that ends a hold comes to the whole strip, since that has captured the pointer.
  let held = false;

  const short = (d: number) =>
    trace.closed ? d - trace.length_m * Math.round(d / trace.length_m) : d;
  // The road comes along once the place looked at leaves the middle; while dragging it stands still.
  $effect(() => {
    if (!circuit.dragged && Math.abs(short(circuit.cursor - centre)) > 0.36 * SHOWN_M) {
      centre = circuit.cursor;
    }
  });

  const bucket = $derived(Math.round(centre / 200) * 200);
  const here = $derived(atHand(trace, bucket));
  const frame = $derived(
    frameOf(here, windowAround(trace, centre), { width, height, left: 186, right: 116 }),
  );
  provideFrame(() => frame);
  const spoken = $derived(
    new Set(
      circuit.selection?.kind === 'marks' && circuit.thing && 'label' in circuit.thing
        ? [circuit.thing.label]
        : [],
    ),
  );
  const marks = $derived(marksInWindow(frame, spoken));
  const words = $derived(captions(frame, marks, [], (m) => preferences.lengthText(m)));
  const places = $derived(holds(frame, circuit.edits!));
  const picked = $derived(
    places.find(
      (p) => p.at.kind === circuit.selection?.kind && p.at.index === circuit.selection.index,
    ),
  );
  const cursorAt = $derived(ahead(trace, frame.window.from, circuit.cursor));
  const cursorY = $derived(cursorAt <= frame.window.length ? frame.along(cursorAt) : undefined);

  const stationAt = (event: PointerEvent | MouseEvent) =>
    frame.window.from + frame.along.invert(pointIn(svg!, event).y);

  function take(event: PointerEvent, hold: Hold, grip: Grip) {
    event.stopPropagation();
    event.preventDefault();
    svg!.focus();
    held = true;
    circuit.selection = hold.at;
    drag = { hold, grip, from: stationAt(event), start: circuit.edits! };
    svg!.setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent) {
    if (!drag) return;
    const metres = stationAt(event) - drag.from;
    const x = pointIn(svg!, event).x;
    const side = drag.grip === 'all' ? (x < frame.across(0) ? 'LEFT' : 'RIGHT') : undefined;
    circuit.dragged = dragged(trace, drag.start, drag.hold.at, drag.grip, metres, side);
  }

  function drop() {
    if (!drag) return;
    drag = undefined;
    circuit.drop();
  }

  function look(event: MouseEvent) {
    if (held) {
      held = false;
      return;
    }
    circuit.selection = undefined;
    circuit.goTo(stationAt(event));
  }

  function wheel(event: WheelEvent) {
    event.preventDefault();
    circuit.goTo(circuit.cursor - event.deltaY * 0.25);
    centre = circuit.cursor;
  }

  function onkeydown(event: KeyboardEvent) {
    const step = event.shiftKey ? 10 : 1;
    const keys: Record<string, () => void> = {
      ArrowUp: () => circuit.nudge(step),
      ArrowDown: () => circuit.nudge(-step),
      PageUp: () => circuit.goTo(circuit.cursor + 100),
      PageDown: () => circuit.goTo(circuit.cursor - 100),
      Home: () => circuit.goTo(0),
      Delete: () => circuit.remove(),
      Escape: () => circuit.pick(undefined),
    };
    if (keys[event.key]) {
      event.preventDefault();
      keys[event.key]();
    }
  }
  const x = (side: 'left' | 'right', px: number) =>
    side === 'left' ? frame.leftMargin - px : frame.rightMargin + px;
</script>

<!-- The strip is a control of its own: the keyboard moves what is picked, or the place looked at. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<svg
  bind:this={svg}
  viewBox="0 0 {width} {height}"
  class="block w-full touch-none select-none"
  role="application"
  aria-label="Strip of the lap. Arrow keys move what is picked, else the place looked at; Shift for ten metres; Page keys for a hundred."
  tabindex="0"
  data-strip
  onpointermove={move}
  onpointerup={drop}
  onpointercancel={drop}
  onclick={look}
  onwheel={wheel}
  {onkeydown}
>
  <Road />
  {#each stationTicks(frame, 50) as tick (tick.station)}
    <line x1="30" x2="36" y1={tick.y} y2={tick.y} stroke="var(--quiet)" />
    <text x="28" y={tick.y + 4} font-size="12" text-anchor="end" class="quiet">{tick.station}</text>
  {/each}
  {#each marks as placed, i (i)}<MarkGlyph {placed} />{/each}
  {#each words as word (word.key)}
    <text
      font-size="12.5"
      font-weight={word.strong ? 700 : 400}
      text-anchor={word.side === 'left' ? 'end' : 'start'}
    >
      {#each word.lines as line, k (k)}
        <tspan x={x(word.side, 54)} y={word.y + 4 + 12 * (k - (word.lines.length - 1) / 2)}
          >{line}</tspan
        >
      {/each}
    </text>
  {/each}
  {#each places as hold (hold.at.kind + hold.at.index)}
    {#if hold.at.kind === 'corners'}
      <path
        d="M{hold.x + 30} {hold.bottom} h-6 V{hold.top} h6"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <text
        x={hold.x + 21}
        y={(hold.top + hold.bottom) / 2 + 6}
        font-size="17"
        font-weight="700"
        text-anchor="end">{circuit.edits!.corners[hold.at.index].number}</text
      >
    {/if}
    {#if hold.at.kind === 'stretches'}
      <path
        d="M{hold.x + hold.width / 2} {hold.bottom} V{hold.top}"
        stroke="var(--ink)"
        stroke-width="4"
        stroke-dasharray="7 4"
      />
    {/if}
    <rect
      x={hold.x}
      y={hold.top}
      width={hold.width}
      height={hold.bottom - hold.top}
      fill="transparent"
      class="hold"
      data-hold="{hold.at.kind}-{hold.at.index}"
      role="presentation"
      onpointerdown={(e) => take(e, hold, 'all')}
      onclick={(e) => e.stopPropagation()}
    >
      <title>{hold.name}</title>
    </rect>
  {/each}
  {#if picked}
    <rect
      x={picked.x - 2}
      y={picked.top}
      width={picked.width + 4}
      height={picked.bottom - picked.top}
      fill="none"
      stroke="var(--color-info)"
      stroke-width="2"
      stroke-dasharray="5 3"
      pointer-events="none"
    />
    {#if picked.long}
      {#each [['from', picked.bottom], ['to', picked.top]] as [grip, y] (grip)}
        <circle
          cx={picked.x + picked.width / 2}
          cy={y as number}
          r="8"
          fill="var(--color-base-100)"
          stroke="var(--color-info)"
          stroke-width="2.5"
          class="hold"
          data-grip={grip}
          role="presentation"
          onpointerdown={(e) => take(e, picked, grip as Grip)}
          onclick={(e) => e.stopPropagation()}
        />
      {/each}
    {/if}
  {/if}
  {#if cursorY !== undefined}
    <line
      x1="30"
      x2={width}
      y1={cursorY}
      y2={cursorY}
      stroke="var(--color-info)"
      stroke-width="1.5"
      stroke-dasharray="1 3"
      pointer-events="none"
    />
    <path d="M{width} {cursorY} l-9 -6 v12 z" fill="var(--color-info)" pointer-events="none" />
  {/if}
</svg>

<style>
  .quiet {
    fill: var(--quiet);
  }
  .hold {
    cursor: grab;
  }
</style>
