<script lang="ts">
  import type { CornerPage } from '../api/types';
  import { preferences } from '../units/preferences.svelte';
  import { useFrame } from './frame';
  import MarkGlyph from './MarkGlyph.svelte';
  import { captions, dimensions, marksInWindow, placedMarks } from './marks';

  interface Props {
    /** The page whose marks stand out, with the way from them; without one all are alike. */
    page?: CornerPage;
  }
  const { page }: Props = $props();
  const frame = useFrame();
  const f = $derived(frame());
  const marks = $derived(page ? placedMarks(f, page) : marksInWindow(f, new Set()));
  const dims = $derived(page ? dimensions(f, page) : []);
  const words = $derived(captions(f, marks, dims, (m) => preferences.lengthText(m)));
  const x = (side: 'left' | 'right', px: number) =>
    side === 'left' ? f.leftMargin - px : f.rightMargin + px;
</script>

{#each marks as placed, i (i)}
  <MarkGlyph {placed} />
{/each}
{#each dims as dim, i (dim.letter)}
  {@const at = x(dim.side, 7 + 11 * i)}
  <line x1={at} x2={at} y1={dim.yMark} y2={dim.yPlate} class="dim" />
  <line x1={at - 4} x2={at + 4} y1={dim.yMark} y2={dim.yMark} class="dim" />
  <line x1={at - 4} x2={at + 4} y1={dim.yPlate} y2={dim.yPlate} class="dim" />
{/each}
{#each words as word (word.key)}
  {@const at = x(word.side, 56)}
  {#if Math.abs(word.y - word.from) > 7}
    <line
      x1={x(word.side, 50)}
      x2={x(word.side, 54)}
      y1={word.from}
      y2={word.y}
      stroke="var(--quiet)"
      stroke-width="0.8"
    />
  {/if}
  <text
    font-size="13.5"
    font-weight={word.strong ? 700 : 400}
    text-anchor={word.side === 'left' ? 'end' : 'start'}
  >
    {#each word.lines as line, k (k)}
      <tspan x={at} y={word.y + 4 + 13 * (k - (word.lines.length - 1) / 2)}>{line}</tspan>
    {/each}
  </text>
{/each}

<style>
  .dim {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
</style>
