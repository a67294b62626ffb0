<script lang="ts">
  import { preferences } from '../units/preferences.svelte';
  import { useFrame } from './frame';
  import { between } from './lap-axis';
  import { asidePlates } from './other-plates';
  import type { Plate } from './plates';

  interface Props {
    /** Plates of another day or revision. */
    plates: Plate[];
    /** The plates that they are told against. */
    own: Plate[];
    /** Whose they are, for the words. */
    whose: string;
  }
  const { plates, own, whose }: Props = $props();
  const frame = useFrame();
  const f = $derived(frame());
  const placed = $derived(asidePlates(f, plates, own));

  function words(plate: Plate, from: Plate | undefined): string {
    if (!from) return `${plate.name}, ${whose}`;
    const by = between(f.trace, from.station, plate.station);
    const way = by < 0 ? 'earlier' : 'later';
    return `${plate.name}, ${whose}: ${preferences.lengthText(Math.abs(by))} ${way}`;
  }
</script>

{#each placed as { plate, from, x, y, fromY, shownX, shownY } (plate.name)}
  <g data-other-plate={plate.letter}>
    <title>{words(plate, from)}</title>
    <line x1={x} y1={y} x2={shownX} y2={shownY} class="leader" />
    <circle cx={x} cy={y} r="3.5" class="point" />
    {#if fromY !== undefined && Math.abs(fromY - y) > 6}
      <path d="M{x} {fromY} V{y}" class="moved" />
    {/if}
    <g transform="translate({shownX} {shownY})">
      <rect x="-12" y="-12" width="24" height="24" rx="12" class="seal" />
      <text y="5" text-anchor="middle" font-size="14" font-weight="700">{plate.letter}</text>
    </g>
  </g>
{/each}

<style>
  /* What lies under a day's point, a plate as it may be, can still be taken hold of. */
  .leader,
  .point,
  .moved {
    pointer-events: none;
  }
  .leader {
    stroke: var(--ink);
    stroke-dasharray: 3 3;
  }
  .point {
    fill: var(--color-base-100);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .moved {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
    stroke-dasharray: 2 2;
  }
  .seal {
    fill: var(--color-base-100);
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 4 2.5;
  }
</style>
