<script lang="ts">
  import { ahead } from '../strip/lap-axis';
  import { useCircuit } from './circuit-state.svelte';
  import { dragged, pointIn } from './dragging';
  import type { Selection } from './edits';
  import { nearest, outline, planFrame, stretch, uncovered } from './plan';
  import type { CircuitEdits, DrawnCorner, LightView } from './types';

  interface Props {
    width?: number;
    height?: number;
    light?: LightView;
  }
  const { width = 500, height = 372, light }: Props = $props();

  const circuit = useCircuit();
  const road = $derived(circuit.road!);
  let zoom = $state(1);
  let centre = $state(0);
  let svg = $state<SVGSVGElement>();
  let drag: { at: Selection; from: number; start: CircuitEdits } | undefined;
  // The click that ends a hold comes to the whole plan, since that has captured the pointer.
  let held = false;

  const frame = $derived(planFrame(road, width, height, zoom, centre));
  const path = $derived(outline(frame));
  const edits = $derived(circuit.edits!);
  const cursor = $derived(frame.at(circuit.cursor));
  const start = $derived([frame.at(0, -9 / frame.scale), frame.at(0, 9 / frame.scale)]);
  const arrow = $derived([
    frame.at(14 / frame.scale, -5 / frame.scale),
    frame.at(24 / frame.scale, 0),
    frame.at(14 / frame.scale, 5 / frame.scale),
  ]);
  /** Things keep a little distance from the line, so that they can be seen and taken hold of. */
  const aside = (offset: number) => {
    const least = 6 / frame.scale;
    return offset >= 0 ? Math.max(offset, least) : Math.min(offset, -least);
  };
  const labelAt = (corner: DrawnCorner) =>
    frame.at(
      corner.fromM + ahead(road, corner.fromM, corner.toM) / 2,
      (corner.side === 'LEFT' ? -1 : 1) * (20 / frame.scale),
    );
  const labelled = $derived(
    edits.corners.length > 30 ? uncovered(edits.corners, labelAt, 14) : edits.corners,
  );
  /** From far away a long lap's marks would hide the road. */
  const marksShown = $derived(edits.marks.length < 80 || frame.scale > 0.12);
  const inside = ([x, y]: [number, number]) =>
    x > -20 && y > -20 && x < width + 20 && y < height + 20;

  function zoomBy(factor: number) {
    centre = circuit.cursor;
    zoom = Math.max(1, Math.min(24, zoom * factor));
  }
  $effect(() => {
    // The plan follows once the place looked at leaves it.
    if (zoom > 1 && !circuit.dragged && !insideFrame()) centre = circuit.cursor;
  });
  const insideFrame = () =>
    cursor[0] > 30 && cursor[0] < width - 30 && cursor[1] > 30 && cursor[1] < height - 30;

  function placeAt(event: PointerEvent | MouseEvent): [number, number] {
    const p = pointIn(svg!, event);
    return nearest(road, ...frame.invert(p.x, p.y));
  }

  function take(event: PointerEvent, at: Selection) {
    event.stopPropagation();
    held = true;
    circuit.selection = at;
    drag = { at, from: placeAt(event)[0], start: edits };
    svg!.setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent) {
    if (!drag) return;
    const [station, offset] = placeAt(event);
    const d = station - drag.from;
    const metres = road.closed ? d - road.length_m * Math.round(d / road.length_m) : d;
    const side = offset > 0 ? 'LEFT' : 'RIGHT';
    circuit.dragged = dragged(road, drag.start, drag.at, 'all', metres, side);
  }

  function drop() {
    if (!drag) return;
    drag = undefined;
    circuit.drop();
    if (circuit.thing) circuit.cursor = circuit.thing.fromM;
  }

  function look(event: MouseEvent) {
    if (held) {
      held = false;
      return;
    }
    circuit.selection = undefined;
    circuit.goTo(placeAt(event)[0]);
  }
</script>

<div class="relative">
  <!-- What can be done with the pointer here, the strip and the lists do with the keyboard. -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg
    bind:this={svg}
    viewBox="0 0 {width} {height}"
    class="border-base-300 block w-full touch-none rounded border select-none"
    role="img"
    aria-label="Plan of the circuit, north up, with what stands along it"
    data-plan
    onclick={look}
    onpointermove={move}
    onpointerup={drop}
    onpointercancel={drop}
  >
    <path
      d={path}
      fill="none"
      stroke="var(--road)"
      stroke-width={Math.max(6, 11 * frame.scale)}
      stroke-linejoin="round"
    />
    <path d={path} fill="none" stroke="var(--ink)" stroke-width="1" opacity="0.6" />
    {#each edits.zones as zone, i (i)}
      <path
        d={stretch(frame, zone.fromM, ahead(road, zone.fromM, zone.toM), 0)}
        fill="none"
        stroke="var(--ink)"
        stroke-width={Math.max(5, 9 * frame.scale)}
        stroke-dasharray="1.5 4"
        opacity="0.6"
      />
    {/each}
    {#each edits.kerbs as kerb, i (i)}
      {@const off = aside(kerb.side === 'LEFT' ? 6 : -6)}
      <path
        d={stretch(frame, kerb.fromM, ahead(road, kerb.fromM, kerb.toM), off)}
        fill="none"
        stroke="var(--ink)"
        stroke-width="3"
        stroke-dasharray="3 2"
        class="hold"
        role="presentation"
        onpointerdown={(e) => take(e, { kind: 'kerbs', index: i })}
        onclick={(e) => e.stopPropagation()}
      />
    {/each}
    {#each edits.hazards as hazard, i (i)}
      {@const off =
        (hazard.side === 'LEFT' ? 1 : -1) * (7 + Math.max(hazard.distanceM, 5 / frame.scale))}
      <path
        d={stretch(frame, hazard.fromM, ahead(road, hazard.fromM, hazard.toM), off)}
        fill="none"
        stroke="var(--quiet)"
        stroke-width="2"
        stroke-dasharray="2 3"
      />
    {/each}
    <line
      x1={start[0][0]}
      y1={start[0][1]}
      x2={start[1][0]}
      y2={start[1][1]}
      stroke="var(--ink)"
      stroke-width="3"
    />
    <polyline
      points={arrow.map((p) => p.join(',')).join(' ')}
      fill="none"
      stroke="var(--ink)"
      stroke-width="2"
    />
    {#each labelled as corner (corner.number)}
      {@const [x, y] = labelAt(corner)}
      {@const glare = light?.intoTheSun.includes(corner.number)}
      {#if inside([x, y])}
        {#if glare}<circle
            cx={x}
            cy={y}
            r="12"
            fill="none"
            stroke="var(--turn)"
            stroke-width="3"
          />{/if}
        <text {x} y={y + 5} font-size="15" font-weight="700" text-anchor="middle"
          >{corner.number}</text
        >
      {/if}
    {/each}
    {#each edits.marks as mark, i (i)}
      {@const [x, y] = frame.at(
        mark.fromM,
        mark.side === 'OVER' || mark.side === 'ROAD' ? 0 : aside(mark.offsetM),
      )}
      {@const picked = circuit.selection?.kind === 'marks' && circuit.selection.index === i}
      {#if inside([x, y]) && (marksShown || picked)}
        <rect
          x={x - (picked ? 5 : 3)}
          y={y - (picked ? 5 : 3)}
          width={picked ? 10 : 6}
          height={picked ? 10 : 6}
          fill={picked ? 'var(--color-info)' : 'var(--color-base-100)'}
          stroke="var(--ink)"
          stroke-width="1.4"
          class="hold"
          role="presentation"
          onpointerdown={(e) => take(e, { kind: 'marks', index: i })}
          onclick={(e) => e.stopPropagation()}
        >
          <title>{mark.label}</title>
        </rect>
      {/if}
    {/each}
    <circle
      cx={cursor[0]}
      cy={cursor[1]}
      r="7"
      fill="none"
      stroke="var(--color-info)"
      stroke-width="3"
      pointer-events="none"
    />
    {#if light && light.elevation_deg > 0}
      {@const a = (light.azimuth_deg * Math.PI) / 180}
      <g transform="translate(38 38)">
        <circle r="26" fill="none" stroke="var(--quiet)" stroke-dasharray="2 3" />
        <circle
          cx={26 * Math.sin(a)}
          cy={-26 * Math.cos(a)}
          r="7"
          fill="var(--turn)"
          stroke="var(--ink)"
        />
        <text y="5" text-anchor="middle" font-size="12">{Math.round(light.elevation_deg)}°</text>
      </g>
    {/if}
  </svg>
  <div class="absolute top-2 right-2 flex gap-1">
    <button class="btn w-11 px-0" aria-label="Closer" onclick={() => zoomBy(2)}>+</button>
    <button
      class="btn w-11 px-0"
      aria-label="Farther"
      onclick={() => zoomBy(0.5)}
      disabled={zoom === 1}>−</button
    >
  </div>
</div>

<style>
  .hold {
    cursor: grab;
  }
</style>
