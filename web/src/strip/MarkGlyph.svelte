<script lang="ts">
  import { useFrame } from './frame';
  import { edgesAt } from './geometry';
  import type { PlacedMark } from './marks';

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
  {#if placed.glyph === 'board'}
    <path d="M-10 9 v5 M10 9 v5" />
    <rect x="-16" y="-9" width="32" height="18" />
    <text y="5" text-anchor="middle" font-size="14" font-weight="700" stroke="none">
      {placed.mark.valueM ?? '–'}
    </text>
  {:else if placed.glyph === 'post'}
    <path d="M0 0 v12" /><rect x="-5" y="-8" width="10" height="10" />
  {:else if placed.glyph === 'tree'}
    <path d="M0 2 v11" /><circle cy="-3" r="8" />
  {:else if placed.glyph === 'house'}
    <path d="M-9 8 v-9 l9 -8 l9 8 v9 z" />
  {:else if placed.glyph === 'sign'}
    <path d="M0 2 v11" /><path d="M-8 -4 h16 l-3 8 h-11 z" transform="translate(0 -3)" />
  {:else if placed.glyph === 'length'}
    <path
      d="M{x} {placed.y} V{placed.yEnd} M{x - 5} {placed.y} h10 M{x - 5} {placed.yEnd} h10"
      stroke-dasharray={placed.chosen ? undefined : '5 2'}
    />
  {:else if placed.glyph === 'span'}
    <path
      d="M{f.leftMargin - 52} {placed.y - 4} H{f.rightMargin + 6} v8 H{f.leftMargin - 52} z"
      fill-opacity="0.75"
    />
  {:else}
    <path d="M{edges.left} {placed.y} H{edges.right}" stroke-dasharray="7 3" fill="none" />
    <path
      d="M{f.leftMargin - 52} {placed.y} H{edges.left}"
      stroke-width="0.8"
      stroke-dasharray="1 3"
      fill="none"
    />
  {/if}
</g>
