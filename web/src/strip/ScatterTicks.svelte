<script lang="ts">
  import { useFrame } from './frame';
  import { ticksOf, type Scatter } from './scatter';

  const { scatters }: { scatters: Scatter[] } = $props();
  const frame = useFrame();
  const f = $derived(frame());
</script>

{#each scatters as scatter, column (scatter.letter)}
  {@const ticks = ticksOf(f, scatter, column)}
  {#if ticks.length}
    {@const lowest = Math.max(...ticks.map((t) => t.y))}
    <g data-scatter={scatter.letter}>
      <title>{scatter.name}: {ticks.length} laps</title>
      {#each ticks as tick, i (i)}
        <line x1={tick.x - 8} x2={tick.x + 8} y1={tick.y} y2={tick.y} class="tick" />
      {/each}
      <text x={ticks[0].x} y={lowest + 15} text-anchor="middle" font-size="13" font-weight="700"
        >{scatter.letter}</text
      >
    </g>
  {/if}
{/each}

<style>
  .tick {
    stroke: var(--color-info);
    stroke-width: 2.5;
    opacity: 0.65;
  }
</style>
