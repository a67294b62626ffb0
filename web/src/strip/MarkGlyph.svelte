<script lang="ts">
  import { useFrame } from './frame';
  import { edgesAt } from './geometry';
  import type { PlacedMark } from './marks';
  import StandingGlyph from './StandingGlyph.svelte';

  const { placed }: { placed: PlacedMark } = $props();
  const frame = useFrame();
  const f = $derived(frame());
  const left = $derived(placed.mark.side !== 'RIGHT');
  const x = $derived(left ? f.leftMargin - 35 : f.rightMargin + 35);
  const weight = $derived(placed.chosen ? 2.6 : 1.3);
  const edges = $derived(edgesAt(f, placed.y));
</script>

<g
  fill="var(--color-base-100)"
  stroke="var(--ink)"
  stroke-width={weight}
  transform={placed.glyph === 'span' || placed.glyph === 'road' || placed.glyph === 'length'
    ? undefined
    : `translate(${x} ${placed.y})`}
>
  <title>{placed.mark.label}{placed.mark.note ? `: ${placed.mark.note}` : ''}</title>
  {#if placed.glyph === 'length'}
    <path
      d="M{x} {placed.y} V{placed.yEnd} M{x - 5} {placed.y} h10 M{x - 5} {placed.yEnd} h10"
      stroke-dasharray={placed.chosen ? undefined : '5 2'}
    />
  {:else if placed.glyph === 'span'}
    <path
      d="M{f.leftMargin - 52} {placed.y - 4} H{f.rightMargin + 6} v8 H{f.leftMargin - 52} z"
      fill-opacity="0.75"
    />
  {:else if placed.glyph === 'road'}
    <path d="M{edges.left} {placed.y} H{edges.right}" stroke-dasharray="7 3" fill="none" />
    <path
      d="M{f.leftMargin - 52} {placed.y} H{edges.left}"
      stroke-width="0.8"
      stroke-dasharray="1 3"
      fill="none"
    />
  {:else}
    <StandingGlyph glyph={placed.glyph} value={placed.mark.valueM} />
  {/if}
</g>
