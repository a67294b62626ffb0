<script lang="ts">
  import type { View } from '../api/types';
  import { bandFrame, bandRoad, cornerSpan, LEAST_BAND_PX } from '../book/lap-band';
  import { spread } from '../strip/labels';
  import type { CornerDebrief } from './debrief';

  interface Props {
    view: View;
    corners: CornerDebrief[];
    chosen: number;
    onchoose: (corner: number) => void;
  }
  const { view, corners, chosen, onchoose }: Props = $props();
  const HEIGHT = 110;
  /** A long lap is wider than the screen, and scrolled. */
  const width = $derived(Math.max(1190, corners.length * 46));
  const frame = $derived(bandFrame(view.trace, width, HEIGHT));
  const most = $derived(Math.max(0.1, ...corners.map((c) => Math.abs(c.lost_s ?? 0))));
  const ROOM = 34;
  const MIDDLE = 54;
  /** Corners that follow close on each other move apart. */
  const mids = $derived(
    spread(
      corners.map((c) => ({ wanted: cornerSpan(frame, pageOf(c.corner)).mid, height: 40 })),
      0,
      frame.width,
    ),
  );
  const pageOf = (corner: number) => view.revision.pages.find((p) => p.corner === corner)!;
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" role="region" aria-label="Time over the lap" tabindex="0">
  <svg
    viewBox="0 0 {frame.width} {HEIGHT}"
    class="block"
    style:width={width > 1190 ? `${width}px` : '100%'}
    style:min-width="{LEAST_BAND_PX}px"
    role="group"
    aria-label="Time lost and gained corner by corner over the lap, as the median of the laps"
  >
    <g transform="translate(0 -14)" opacity="0.55">
      <path d={bandRoad(frame)} fill="var(--road)" />
    </g>
    <line x1="0" x2={frame.width} y1={MIDDLE} y2={MIDDLE} stroke="var(--ink)" />
    {#each corners as c, i (c.corner)}
      {@const mid = mids[i]}
      {@const lost = c.lost_s ?? 0}
      {@const height = (ROOM * Math.abs(lost)) / most}
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <g class="cursor-pointer" onclick={() => onchoose(c.corner)} data-lost={c.corner}>
        <title
          >Corner {c.corner}: {Math.abs(lost).toFixed(2)} s {lost >= 0 ? 'lost' : 'gained'}</title
        >
        <rect
          x={mid - 13}
          y={lost >= 0 ? MIDDLE - height : MIDDLE}
          width="26"
          height={Math.max(1, height)}
          fill={lost >= 0 ? 'var(--ink)' : 'var(--color-base-100)'}
          stroke="var(--ink)"
          stroke-width="2"
        />
        <text
          x={mid}
          y={lost >= 0 ? MIDDLE - height - 5 : MIDDLE + height + 15}
          text-anchor="middle"
          font-size="14"
          font-weight={c.corner === chosen ? 700 : 400}
          >{c.lost_s === undefined
            ? ''
            : `${lost >= 0 ? '+' : '−'}${Math.abs(lost).toFixed(2)}`}</text
        >
        <text
          x={mid}
          y={lost >= 0 ? MIDDLE + 15 : MIDDLE - 6}
          text-anchor="middle"
          font-size="15"
          font-weight={c.corner === chosen ? 700 : 400}
          text-decoration={c.corner === chosen ? 'underline' : undefined}>{c.corner}</text
        >
      </g>
    {/each}
  </svg>
</div>
