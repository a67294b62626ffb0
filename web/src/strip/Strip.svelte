<script lang="ts">
  import type { CornerPage, Trace } from '../api/types';
  import Car from './Car.svelte';
  import Columns from './Columns.svelte';
  import { frameOf, provideFrame } from './frame';
  import Marks from './Marks.svelte';
  import Plates from './Plates.svelte';
  import Road from './Road.svelte';
  import { windowOf } from './window';

  interface Props {
    page: CornerPage;
    trace: Trace;
    /** Size of the drawing [px]. */
    width?: number;
    height?: number;
  }
  const { page, trace, width = 620, height = 690 }: Props = $props();

  const frame = $derived(
    frameOf(trace, windowOf(page, trace), { width, height, left: 172, right: 234 }),
  );
  provideFrame(() => frame);
</script>

<svg viewBox="0 0 {width} {height}" class="block w-full" role="img" aria-labelledby="strip-title">
  <title id="strip-title">
    The road through corner {page.corner}, {page.name}, from the bottom to the top as it is driven,
    with marks, line, brake pressure, throttle, gears and speeds
  </title>
  <defs>
    <pattern
      id="hatch"
      width="6"
      height="6"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <rect width="6" height="6" fill="var(--brake)" opacity="0.18" />
      <line x1="0" y1="0" x2="0" y2="6" stroke="var(--brake)" stroke-width="3" />
    </pattern>
    <pattern id="dots" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill="var(--drive)" opacity="0.14" />
      <circle cx="2.5" cy="2.5" r="1.25" fill="var(--drive)" />
    </pattern>
  </defs>
  <Road />
  <Car />
  <Marks {page} />
  <Plates {page} />
  <Columns {page} />
</svg>
