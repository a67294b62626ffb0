<!-- @component The circuit from above with both laps on it; a touch looks at the place there. -->
<script lang="ts">
  import type { View } from '../api/types';
  import { circuitPlan } from '../book/lap-band';
  import PlanRoad from '../strip/PlanRoad.svelte';
  import type { Part } from './pair';

  interface Props {
    view: View;
    part: Part;
    at: number;
    other: number;
    onat: (station: number) => void;
  }
  const { view, part, at, other, onat }: Props = $props();
  const WIDTH = 300;
  const HEIGHT = 190;
  const plan = $derived(circuitPlan(view.trace, WIDTH, HEIGHT));
  const start = $derived([plan.at(0, -7), plan.at(0, 7)]);
  const arrow = $derived([plan.at(60, -4), plan.at(85), plan.at(60, 4)]);
  const places = $derived(
    Array.from({ length: 400 }, (_, i) => (i / 400) * view.trace.length_m).map(
      (s) => [s, ...plan.at(s)] as const,
    ),
  );
  const looked = $derived(
    part.to - part.from < view.trace.length_m - 1
      ? places
          .filter(([s]) => s >= part.from && s <= part.to)
          .map(([, x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`)
          .join('')
      : '',
  );
  const first = $derived(plan.at(at));
  const second = $derived(plan.at(other));

  function point(event: PointerEvent) {
    if (event.type === 'pointermove' && !event.buttons) return;
    const box = (event.currentTarget as SVGElement).getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * WIDTH;
    const y = ((event.clientY - box.top) / box.height) * HEIGHT;
    const near = places.reduce((a, b) =>
      Math.hypot(b[1] - x, b[2] - y) < Math.hypot(a[1] - x, a[2] - y) ? b : a,
    );
    onat(near[0]);
  }
</script>

<svg
  viewBox="0 0 {WIDTH} {HEIGHT}"
  class="block w-full touch-none"
  role="img"
  aria-label="Plan of the circuit with both laps, north up"
  onpointerdown={point}
  onpointermove={point}
>
  <PlanRoad path={plan.outline} {start} {arrow} />
  {#if looked}<path d={looked} class="looked" />{/if}
  <circle r="7" class="other" style:transform="translate({second[0]}px, {second[1]}px)" />
  <circle r="6" fill="var(--ink)" style:transform="translate({first[0]}px, {first[1]}px)" />
</svg>

<style>
  .looked {
    fill: none;
    stroke: var(--color-warning);
    stroke-width: 3;
  }
  .other {
    fill: var(--color-base-100);
    stroke: var(--color-info);
    stroke-width: 3;
  }
</style>
