<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { area } from 'd3-shape';
  import { ahead, valueAt } from '../strip/lap-axis';
  import { preferences } from '../units/preferences.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import { pointIn } from './dragging';

  interface Props {
    width?: number;
    height?: number;
  }
  const { width = 500, height = 96 }: Props = $props();

  const circuit = useCircuit();
  const road = $derived(circuit.view!.road);
  let svg = $state<SVGSVGElement>();
  const low = $derived(road.z_m.reduce((a, b) => Math.min(a, b), Infinity));
  const high = $derived(
    Math.max(
      road.z_m.reduce((a, b) => Math.max(a, b), -Infinity),
      low + 10,
    ),
  );
  const x = $derived(scaleLinear([0, road.length_m], [2, width - 2]));
  const y = $derived(scaleLinear([low, high], [height - 20, 16]));
  const ground = $derived(
    area<number>()
      .x((s) => x(s))
      .y0((s) => y(valueAt(road, road.z_m, s)))
      .y1(height - 14)(
      Array.from({ length: 251 }, (_, k) => (k / 250) * (road.length_m - road.step_m)),
    ) ?? '',
  );
  const crowded = $derived(circuit.edits!.corners.length > 30);
  let looking = false;

  function look(event: PointerEvent) {
    circuit.goTo(x.invert(pointIn(svg!, event).x));
  }
</script>

<svg
  bind:this={svg}
  viewBox="0 0 {width} {height}"
  class="block w-full touch-none"
  role="img"
  aria-label="Heights along the lap, {Math.round(high - low)} metres from the lowest to the highest"
  onpointerdown={(e) => {
    looking = true;
    circuit.selection = undefined;
    svg!.setPointerCapture(e.pointerId);
    look(e);
  }}
  onpointermove={(e) => looking && look(e)}
  onpointerup={() => (looking = false)}
>
  <path d={ground} fill="var(--color-base-200)" stroke="var(--ink)" stroke-width="1.2" />
  {#each circuit.edits!.corners as corner (corner.number)}
    {@const length = ahead(road, corner.fromM, corner.toM)}
    <rect
      x={x(corner.fromM)}
      width={Math.max(1, x(Math.min(road.length_m, corner.fromM + length)) - x(corner.fromM))}
      y={height - 14}
      height="5"
      fill="var(--ink)"
      opacity="0.55"
    />
    {#if !crowded}
      <text
        x={x(corner.fromM + length / 2)}
        y={y(valueAt(road, road.z_m, corner.fromM + length / 2)) - 4}
        font-size="12"
        text-anchor="middle">{corner.number}</text
      >
    {/if}
  {/each}
  <text x="2" y={height - 1} font-size="11" class="quiet">start</text>
  <text x={width - 2} y={height - 1} font-size="11" text-anchor="end" class="quiet"
    >{preferences.lengthText(road.length_m)} · {preferences.lengthText(high - low)} up and down</text
  >
  <line
    x1={x(circuit.cursor)}
    x2={x(circuit.cursor)}
    y1="4"
    y2={height - 10}
    stroke="var(--color-info)"
    stroke-width="2.5"
  />
</svg>

<style>
  .quiet {
    fill: var(--quiet);
  }
</style>
