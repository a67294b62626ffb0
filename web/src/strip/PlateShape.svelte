<script lang="ts">
  import type { Plate } from './plates';

  interface Props {
    letter: string;
    shape: Plate['shape'];
    /** Half its width [px]. */
    r?: number;
  }
  const { letter, shape, r = 11 }: Props = $props();
</script>

{#if shape === 'square'}
  <rect
    x={-r}
    y={-r}
    width={2 * r}
    height={2 * r}
    fill="var(--brake)"
    stroke="var(--color-base-100)"
  />
{:else if shape === 'diamond'}
  <path
    d="M0 {-r * 1.3} L{r * 1.3} 0 L0 {r * 1.3} L{-r * 1.3} 0 Z"
    fill="var(--turn)"
    stroke="var(--color-base-100)"
  />
{:else if shape === 'frame'}
  <rect
    x={-r + 1}
    y={-r + 1}
    width={2 * r - 2}
    height={2 * r - 2}
    rx="3"
    fill="var(--color-base-100)"
    stroke="var(--brake)"
    stroke-width="2.5"
  />
{:else if shape === 'ring'}
  <circle r={r - 1} fill="var(--color-base-100)" stroke="var(--ink)" stroke-width="3.5" />
{:else if shape === 'triangle'}
  <path
    d="M0 {-r * 1.25} L{r * 1.25} {r} L{-r * 1.25} {r} Z"
    fill="var(--drive)"
    stroke="var(--color-base-100)"
  />
{:else if shape === 'flag'}
  <path
    d="M{-r} {-r} H{r} V{r} L0 {r * 0.45} L{-r} {r} Z"
    fill="var(--drive)"
    stroke="var(--color-base-100)"
  />
{:else if shape === 'tag'}
  <rect
    x={-r + 1}
    y={-r + 1}
    width={2 * r - 2}
    height={2 * r - 2}
    rx={r - 4}
    fill="var(--color-base-100)"
    stroke="var(--ink)"
    stroke-width="1.5"
    stroke-dasharray="3 2"
  />
{:else}
  <path d="M{-r} {r * 0.9} H{r}" stroke="var(--ink)" stroke-width="2" />
{/if}
<text
  y={shape === 'triangle' ? 9 : shape === 'flag' ? 4 : 5}
  text-anchor="middle"
  font-size={shape === 'triangle' ? 12 : 14}
  font-weight="700"
  style:fill={shape === 'frame' || shape === 'tag' || shape === 'ring' || shape === 'plain'
    ? 'var(--ink)'
    : 'var(--color-base-100)'}
>
  {letter}
</text>
