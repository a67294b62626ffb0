<script lang="ts">
  import type { CornerPage } from '../api/types';
  import { useFrame } from './frame';
  import { placedPlates } from './plates';
  import PlateShape from './PlateShape.svelte';

  const { page }: { page: CornerPage } = $props();
  const frame = useFrame();
  const f = $derived(frame());
  const plates = $derived(placedPlates(f, page));
</script>

{#each plates as { plate, x, y, shownX, shownY } (plate.name)}
  {@const side = plate.mark?.side === 'right' ? f.rightMargin : f.leftMargin}
  {#if plate.mark}
    <line x1={x} x2={side} y1={y} y2={y} stroke="var(--ink)" stroke-dasharray="2 3" />
  {/if}
  {#if shownX !== x || shownY !== y}
    <line x1={x} y1={y} x2={shownX} y2={shownY} stroke="var(--ink)" />
    <circle cx={x} cy={y} r="3" fill="var(--ink)" />
  {/if}
{/each}
{#each plates as { plate, shownX, shownY } (plate.name)}
  <g transform="translate({shownX} {shownY})">
    <title>{plate.name}</title>
    <PlateShape letter={plate.letter} shape={plate.shape} />
  </g>
{/each}
