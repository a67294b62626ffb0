<script lang="ts">
  import { cornerNumber } from '../ui/corner-name';
  import type { View } from '../api/types';
  import PlanRoad from '../strip/PlanRoad.svelte';
  import { circuitPlan } from './lap-band';

  interface Props {
    view: View;
    pointed: number;
    width?: number;
    height?: number;
  }
  const { view, pointed, width = 296, height = 236 }: Props = $props();
  const plan = $derived(circuitPlan(view.trace, width, height));
  /** Of very many corners only the one that is pointed at can be read. */
  const shown = $derived(
    view.revision.pages.length > 30
      ? view.revision.pages.filter((page) => page.corner === pointed)
      : view.revision.pages,
  );
  const start = $derived([plan.at(0, -7), plan.at(0, 7)]);
  const arrow = $derived([plan.at(60, -4), plan.at(85), plan.at(60, 4)]);
</script>

<svg
  viewBox="0 0 {width} {height}"
  class="block w-full"
  role="img"
  aria-label="Plan of the circuit with its corners, north up"
>
  <PlanRoad path={plan.outline} {start} {arrow} />
  {#each shown as page (page.corner)}
    {@const [x, y] = plan.at(page.lowest.at_m, page.direction === 'left' ? -12 : 12)}
    {#if pointed === page.corner}<circle cx={x} cy={y} r="11" fill="var(--ink)" />{/if}
    <text
      {x}
      y={y + 5}
      text-anchor="middle"
      font-size="14"
      font-weight="600"
      style:fill={pointed === page.corner ? 'var(--color-base-100)' : undefined}
      >{cornerNumber(page)}</text
    >
  {/each}
</svg>
