<!-- @component Road and line of a piece, cut off where the next one goes on. -->
<script lang="ts">
  import type { Trace } from '../api/types';
  import Car from '../strip/Car.svelte';
  import { provideFrame } from '../strip/frame';
  import Road from '../strip/Road.svelte';
  import { pieceFrame, WIDTH_PX } from './run-road';

  interface Props {
    trace: Trace;
    piece: number;
    /** Half the width that holds the road anywhere [m]. */
    half_m: number;
    /** Whether line and pedals are drawn. */
    line: boolean;
  }
  const { trace, piece, half_m, line }: Props = $props();
  const BEYOND_M = 8;
  const frame = $derived(pieceFrame(trace, piece, half_m, BEYOND_M));
  provideFrame(() => frame);
</script>

<clipPath id="piece-{piece}"><rect width={WIDTH_PX} height={frame.height} /></clipPath>
<g clip-path="url(#piece-{piece})">
  <Road fitting />
  {#if line}<Car />{/if}
</g>
