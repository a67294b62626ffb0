<script lang="ts">
  import PlanRoad from '../strip/PlanRoad.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { pointIn } from './dragging';
  import { nearest, outline, planFrame } from './plan';
  import type { CircuitPreview, ImportSettings } from './types';

  interface Props {
    preview: CircuitPreview;
    settings: ImportSettings;
    /** The start line put somewhere else, in metres from the first point of the lap as recorded. */
    onstart: (startAt: number) => void;
  }
  const { preview, settings, onstart }: Props = $props();
  const width = 620;
  const height = 330;
  let svg = $state<SVGSVGElement>();
  const road = $derived(preview.road);
  const frame = $derived(planFrame(road, width, height));
  const canStart = $derived(preview.track != null && preview.closed);
  const bar = $derived([frame.at(0, -12 / frame.scale), frame.at(0, 12 / frame.scale)]);
  const arrow = $derived([
    frame.at(16 / frame.scale, -6 / frame.scale),
    frame.at(30 / frame.scale, 0),
    frame.at(16 / frame.scale, 6 / frame.scale),
  ]);
  const worst = $derived(frame.at(preview.largestMoveAt_m));

  function put(event: MouseEvent) {
    if (!canStart) return;
    const p = pointIn(svg!, event);
    const [station] = nearest(road, ...frame.invert(p.x, p.y));
    // The road is shown from the start line so far, in the direction of travel.
    const along = settings.reversed ? road.length_m - station : station;
    onstart(Math.round(((settings.startAt_m ?? 0) + along) % road.length_m));
  }

  const facts = $derived(
    [
      ['read as', preview.kind],
      [
        'length',
        `${(preview.length_m / 1000).toFixed(3)} km, ${preview.closed ? 'closed' : 'open'}`,
      ],
      ['corners found', String(preview.corners)],
      [
        'points',
        `${preview.track ? `${preview.track.points} read, ${preview.track.used} used` : ''} every ${preferences.acrossText(preview.spacing_m)}`,
      ],
      [
        'largest move by smoothing',
        `${preferences.acrossText(preview.largestMove_m, 2)} at ${preferences.lengthText(preview.largestMoveAt_m)}`,
      ],
      ['noise of the points', preferences.acrossText(preview.surveyNoise_m, 2)],
      preview.track
        ? ['gap at the ends', preferences.acrossText(preview.track.closureGapM)]
        : undefined,
      preview.track ? ['laps in it', preview.track.laps.toFixed(1)] : undefined,
      ['up and down', preferences.lengthText(preview.climb_m)],
      preview.marks + preview.kerbs > 0
        ? ['with it', `${preview.marks} marks, ${preview.kerbs} kerbs`]
        : undefined,
      preview.place
        ? [
            'place',
            `${Math.abs(preview.place.latDeg).toFixed(4)}° ${preview.place.latDeg < 0 ? 'S' : 'N'}, ${Math.abs(preview.place.lonDeg).toFixed(4)}° ${preview.place.lonDeg < 0 ? 'W' : 'E'}`,
          ]
        : ['place', 'none on the earth: no light, no GPX'],
    ].filter((f): f is [string, string] => f !== undefined),
  );
</script>

<section aria-label="What was understood" data-preview>
  <h2 class="text-2xl font-bold">{preview.name}</h2>
  <!-- The same can be typed beside it. -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg
    bind:this={svg}
    viewBox="0 0 {width} {height}"
    class="border-base-300 block w-full rounded border"
    role="img"
    aria-label="Plan of what was read, north up{canStart ? '; click to put the start line' : ''}"
    onclick={put}
  >
    <PlanRoad path={outline(frame)} width={Math.max(7, 10 * frame.scale)} start={bar} {arrow} />
    {#if preview.largestMove_m > 0.05}
      <circle cx={worst[0]} cy={worst[1]} r="8" fill="none" stroke="var(--turn)" stroke-width="3">
        <title>moved most by smoothing</title>
      </circle>
    {/if}
    {#each preview.track?.crossings ?? [] as crossing, i (i)}
      {@const [x, y] = frame.at(crossing.firstM)}
      <path
        d="M{x - 8} {y - 8} l16 16 M{x - 8} {y + 8} l16 -16"
        stroke="var(--color-error)"
        stroke-width="3"
      />
    {/each}
  </svg>
  {#if canStart}<p class="text-neutral pt-1">Press the road where the start line is.</p>{/if}
  <dl class="figures grid grid-cols-[auto_1fr] gap-x-4 pt-2 text-lg leading-snug">
    {#each facts as [what, value] (what)}
      <dt class="text-neutral">{what}</dt>
      <dd>{value}</dd>
    {/each}
  </dl>
</section>
