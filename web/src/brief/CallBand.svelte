<script lang="ts">
  import type { View } from '../api/types';
  import { bandFrame, bandGround, bandRoad, LEAST_BAND_PX } from '../book/lap-band';
  import type { TimedCall } from './spoken';
  import { callSpans, stationAt } from './timeline';

  interface Props {
    view: View;
    calls: TimedCall[];
    pace: number;
    /** Index of the call that is said; −1 before the first. */
    current: number;
    /** Time of the lap that is played [s]. */
    now?: number;
    onplay: (from: number) => void;
  }
  const { view, calls, pace, current, now, onplay }: Props = $props();
  /** A long lap is wider than the screen, and scrolled. */
  const width = $derived(Math.max(1190, view.trace.length_m * 0.2));
  const frame = $derived(bandFrame(view.trace, width, 150));
  const spans = $derived(callSpans(view.trace, calls, pace));
  const car = $derived(now === undefined ? undefined : stationAt(view.trace, now * pace));
  const MIDDLE = 34;

  /** The number of a corner stands at the first of its calls. */
  const lettered = (i: number) => i === 0 || calls[i - 1].corner !== calls[i].corner;

  /** A call that is said over the line is drawn to the line and on from it. */
  function pieces(from: number, to: number): [number, number][] {
    if (to >= from) return [[from, to]];
    return [
      [from, view.trace.length_m],
      [0, to],
    ];
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" role="region" aria-label="The calls" tabindex="0">
  <svg
    viewBox="0 0 {frame.width} {frame.height}"
    class="block"
    style:width={width > 1190 ? `${width}px` : '100%'}
    style:min-width="{LEAST_BAND_PX}px"
    role="group"
    aria-label="The calls where they are said, over the lap as one band"
  >
    <path d={bandGround(frame)} fill="var(--color-base-200)" />
    <path d={bandRoad(frame)} fill="var(--road)" />
    {#each spans as span, i (i)}
      {@const x = frame.x(span.point_m)}
      <line
        x1={x}
        x2={x}
        y1={MIDDLE + 14}
        y2={frame.y(span.point_m)}
        stroke="var(--quiet)"
        stroke-dasharray="2 3"
      />
      <circle cx={x} cy={frame.y(span.point_m)} r="3.5" fill="var(--ink)" />
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <g
        onclick={() => onplay(Math.max(0, span.call.begins - 0.5))}
        class="cursor-pointer"
        data-said={span.call.corner}
      >
        <title>{span.call.words}</title>
        {#each pieces(span.from_m, span.to_m) as [from, to] (from)}
          <rect
            x={frame.x(from)}
            y={MIDDLE - 12}
            width={Math.max(2, frame.x(to) - frame.x(from))}
            height="24"
            rx="3"
            fill={i === current ? 'var(--color-info)' : 'var(--ink)'}
          />
        {/each}
        <text
          x={frame.x(span.from_m)}
          y={MIDDLE - 18}
          font-size="14"
          font-weight={i === current ? 700 : 400}>{lettered(i) ? span.call.corner : ''}</text
        >
      </g>
    {/each}
    {#if car !== undefined}
      <line
        x1={frame.x(car)}
        x2={frame.x(car)}
        y1="4"
        y2={frame.height - 14}
        stroke="var(--color-info)"
        stroke-width="2.5"
      />
      <circle cx={frame.x(car)} cy={frame.y(car)} r="6" fill="var(--color-info)" data-car />
    {/if}
  </svg>
</div>
