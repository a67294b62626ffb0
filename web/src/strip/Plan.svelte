<script lang="ts">
  import type { CornerPage, Trace } from '../api/types';
  import { planPaths } from './geometry';
  import { platesOf } from './plates';
  import { place, windowOf } from './window';

  interface Props {
    page: CornerPage;
    trace: Trace;
    /** Width and height [px]. */
    size?: number;
  }
  const { page, trace, size = 150 }: Props = $props();

  const window = $derived(windowOf(page, trace));
  const paths = $derived(planPaths(trace, window.from, window.length, size));
  const dots = $derived(
    platesOf(page).filter(
      (p) => place(window, trace, p.station) !== undefined && 'BA'.includes(p.letter),
    ),
  );
</script>

<svg
  viewBox="-4 -4 {size + 8} {size + 8}"
  width={size}
  height={size}
  role="img"
  aria-label="The corner in its true shape, entered from below"
>
  <path d="{paths.left}{paths.right}" fill="none" stroke="var(--quiet)" stroke-width="1" />
  <path d={paths.line} fill="none" stroke="var(--ink)" stroke-width="2" />
  {#each dots as dot (dot.name)}
    {@const [x, y] = paths.at(dot.station)}
    <circle
      cx={x}
      cy={y}
      r="4"
      fill={dot.letter === 'B'
        ? 'var(--brake)'
        : dot.letter === 'A'
          ? 'var(--color-base-100)'
          : 'var(--drive)'}
      stroke="var(--ink)"
    />
    <text x={x + 7} y={y + 4} font-size="12" font-weight="700">{dot.letter}</text>
  {/each}
</svg>
