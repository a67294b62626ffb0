<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { useBook } from '../book/book-state.svelte';
  import { gain } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { linkPicture } from './link-picture';
  import { usePage } from './page-context';
  import { quickest, type Panels } from './panels.svelte';

  const { panels }: { panels: Panels } = $props();
  const book = useBook();
  const page = usePage();
  const size = { width: 560, height: 230, left: 58, bottom: 40 };
  const sweep = $derived(panels.link);
  const picture = $derived(sweep && linkPicture(sweep, size));
  const way = $derived(sweep?.ways[panels.way]);
  /** Nearer than this [s] a way is as quick as the book's line. */
  const AS_QUICK_S = 0.01;
  const own = $derived(sweep && sweep.ways[quickest(sweep)].lost_s > -AS_QUICK_S);
  const next = $derived.by(() => {
    const pages = book.view!.revision.pages;
    return pages[(pages.indexOf(page()) + 1) % pages.length];
  });
  const across = (m: number) => preferences.acrossText(m);
  const side = (offset: number) =>
    Math.abs(offset) < 0.05
      ? 'on the middle'
      : `${across(Math.abs(offset))} ${offset > 0 ? 'left' : 'right'} of the middle`;
</script>

{#if sweep && picture && way}
  <h2 class="figures text-xl font-semibold">
    Where to be between {cornerName(page())} and {cornerName(next)}
  </h2>
  <svg
    viewBox="0 0 {size.width} {size.height}"
    class="block w-full max-w-[600px]"
    role="img"
    aria-label="Time through both corners over the position across the road at the link"
  >
    {#each picture.y.ticks(4) as tick (tick)}
      <line
        x1={size.left}
        x2={size.width - 12}
        y1={picture.y(tick)}
        y2={picture.y(tick)}
        stroke="var(--quiet)"
        opacity="0.35"
      />
      <text x={size.left - 8} y={picture.y(tick) + 5} text-anchor="end" font-size="14">
        {tick === 0 ? '0' : `${tick > 0 ? '+' : '−'}${Math.abs(tick).toFixed(2)}`} s
      </text>
    {/each}
    <path d={picture.path} fill="none" stroke="var(--ink)" stroke-width="2.5" />
    <line
      x1={picture.x(sweep.presentOffset_m)}
      x2={picture.x(sweep.presentOffset_m)}
      y1="10"
      y2={size.height - size.bottom}
      stroke="var(--quiet)"
      stroke-dasharray="3 4"
    />
    <text
      x={picture.x(sweep.presentOffset_m)}
      y={size.height - size.bottom + 16}
      text-anchor="middle"
      font-size="14"
    >
      the book's line
    </text>
    <circle
      cx={picture.x(way.offset_m)}
      cy={Math.min(picture.y(way.lost_s), size.height - size.bottom)}
      r="8"
      fill="var(--color-base-100)"
      stroke="var(--ink)"
      stroke-width="3"
    />
    <text x={size.left + 4} y="14" font-size="14" font-weight="600">↑ faster</text>
    <text x={size.left} y={size.height - 6} font-size="15">left edge</text>
    <text x={size.width - 12} y={size.height - 6} text-anchor="end" font-size="15">right edge</text>
  </svg>
  <input
    type="range"
    class="range my-2.5 h-11 w-full max-w-[600px]"
    aria-label="Position at the link, from the left edge to the right"
    aria-valuetext="{side(way.offset_m)}: {gain(way.lost_s)}"
    min="0"
    max={sweep.ways.length - 1}
    value={sweep.ways.length - 1 - panels.way}
    oninput={(e) => (panels.way = sweep.ways.length - 1 - Number(e.currentTarget.value))}
    data-link
  />
  <p class="figures pt-2 text-lg leading-snug" aria-live="polite" data-way>
    {side(way.offset_m)}: <strong>{gain(way.lost_s)}</strong> through both and the straight after.<br
    />
    {cornerName(page())}: {way.firstApexOff_m < 0.1
      ? 'apex met'
      : `apex given up by ${across(way.firstApexOff_m)}`}, {preferences.speedText(
      way.firstLowest_mps,
    )} · {cornerName(next)}: {way.secondApexOff_m < 0.1
      ? 'apex met'
      : `apex given up by ${across(way.secondApexOff_m)}`}, {preferences.speedText(
      way.secondLowest_mps,
    )}
  </p>
  {#if own}
    <p class="pt-1 leading-snug" data-own>No place is quicker than where the book's line passes.</p>
  {/if}
  <button class="btn mt-2" onclick={() => (panels.way = quickest(sweep))}>To the quickest</button>
  <p class="text-neutral pt-2 leading-snug">
    Each place is driven on {book.history!.now.line === 'fastest'
      ? 'the quickest'
      : 'the smoothest'} line through it; the strip shows the one that is looked at.
  </p>
{/if}
