<script lang="ts">
  import { cornerName, cornerNumber } from '../ui/corner-name';
  import type { View } from '../api/types';
  import { spread } from '../strip/labels';
  import { speedIn, whole } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { weight } from './stakes';
  import {
    LEAST_BAND_PX,
    bandFrame,
    bandGround,
    bandLine,
    bandRoad,
    bandWedge,
    cornerSpan,
  } from './lap-band';

  interface Props {
    view: View;
    bookId: string;
    /** Corner pointed at in the ledger; 0 for none. */
    pointed: number;
  }
  const { view, bookId, pointed }: Props = $props();
  /** A long lap is wider than the screen, and scrolled. */
  const width = $derived(Math.max(1190, view.trace.length_m * 0.2));
  const frame = $derived(bandFrame(view.trace, width, 158));
  const tabs = $derived(
    spread(
      view.revision.pages.map((page) => ({ wanted: cornerSpan(frame, page).mid, height: 31 })),
      0,
      frame.width,
    ),
  );
  const heaviest = $derived(Math.max(0.01, ...view.revision.pages.map(weight)));
  const kilometres = $derived(
    Array.from({ length: Math.ceil(view.trace.length_m / 500) }, (_, i) => i * 500),
  );
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" role="region" aria-label="The lap" tabindex="0" data-band>
  <svg
    viewBox="0 0 {frame.width} {frame.height}"
    class="block print:w-full! print:min-w-0!"
    style:width={width > 1190 ? `${width}px` : '100%'}
    style:min-width="{LEAST_BAND_PX}px"
    role="group"
    aria-label="The lap as one band, left to right, over its hills"
  >
    <defs>
      <pattern
        id="band-hatch"
        width="5"
        height="5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" y2="5" stroke="var(--brake)" stroke-width="3.4" />
      </pattern>
      <pattern id="band-dots" width="4" height="4" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="1.1" fill="var(--drive)" />
      </pattern>
    </defs>
    <path d={bandGround(frame)} fill="var(--color-base-200)" />
    <path
      d={bandWedge(frame, 'drive')}
      fill="url(#band-dots)"
      stroke="var(--drive)"
      stroke-width="0.6"
    />
    <path
      d={bandWedge(frame, 'brake')}
      fill="url(#band-hatch)"
      stroke="var(--brake)"
      stroke-width="0.8"
    />
    <path d={bandRoad(frame)} fill="var(--road)" stroke="var(--quiet)" stroke-width="0.8" />
    {#each view.revision.pages as page, i (page.corner)}
      {@const span = cornerSpan(frame, page)}
      {@const y = frame.y(page.lowest.at_m)}
      <a href="/books/{bookId}/corner/{page.corner}" aria-label={cornerName(page)}>
        <rect x={span.mid - 20} y="0" width="40" height={frame.height - 16} fill="transparent" />
        <rect
          x={span.x0}
          y={y - 24}
          width={Math.max(3, span.x1 - span.x0)}
          height="48"
          fill="var(--ink)"
          opacity={pointed === page.corner ? 0.3 : 0.1}
        />
        <path
          d="M{span.mid - 5} {page.direction === 'left' ? y - 20 : y + 20} l5 {page.direction ===
          'left'
            ? -7
            : 7} l5 {page.direction === 'left' ? 7 : -7} z"
          fill="var(--ink)"
        />
        <line
          x1={tabs[i]}
          x2={span.mid}
          y1="49"
          y2={y - 22}
          stroke="var(--quiet)"
          stroke-width="0.8"
        />
        <rect
          x={tabs[i] - 13}
          y="43"
          width={(26 * weight(page)) / heaviest}
          height="4"
          fill="var(--ink)"><title>slips cost {weight(page).toFixed(2)} s a lap</title></rect
        >
        <rect
          x={tabs[i] - 13}
          y="1"
          width="26"
          height="22"
          rx="4"
          fill={pointed === page.corner ? 'var(--ink)' : 'var(--color-base-100)'}
          stroke="var(--ink)"
          stroke-width="1.5"
        />
        <text
          x={tabs[i]}
          y="18"
          text-anchor="middle"
          font-size="16"
          font-weight="700"
          style:fill={pointed === page.corner ? 'var(--color-base-100)' : 'var(--ink)'}
          >{cornerNumber(page)}</text
        >
        <text x={tabs[i]} y="38" text-anchor="middle" font-size="15" font-weight="600">
          {whole(speedIn(page.lowest.speed_mps, preferences.speed))}
        </text>
      </a>
    {/each}
    <path d={bandLine(frame)} fill="none" stroke="var(--ink)" stroke-width="1.6" />
    {#each kilometres as s (s)}
      <text
        x={frame.x(s)}
        y={frame.height - 1}
        font-size="12"
        text-anchor={s === 0 ? 'start' : 'middle'}
        class="quiet"
      >
        {s === 0
          ? `start · ${preferences.speed} lowest, bar: what slips cost`
          : s % 1000 === 0
            ? preferences.lengthText(s)
            : ''}
      </text>
    {/each}
  </svg>
</div>

<style>
  .quiet {
    fill: var(--quiet);
  }
</style>
