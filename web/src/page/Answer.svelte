<script lang="ts">
  import type { CornerPage } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { rankWords } from '../book/stakes';
  import { between, cornerSeconds } from '../strip/lap-axis';
  import { gain, lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { drivenWords, limitWords } from './words';

  const { page }: { page: CornerPage } = $props();
  const book = useBook();
  const before = $derived(book.base!.revision.pages.find((p) => p.corner === page.corner));
  const lapCost = $derived(book.view!.revision.lap.time_s - book.base!.revision.lap.time_s);
  const rank = $derived(rankWords(book.view!.revision.pages, page));
  const pages = $derived(book.base!.revision.pages);
  const cornerCost = $derived(
    before
      ? cornerSeconds(pages, before, book.view!.trace) -
          cornerSeconds(pages, before, book.base!.trace)
      : 0,
  );

  function pastTurnIn(station: number): string {
    const metres = between(book.view!.trace, page.turnIn.at_m, station);
    const way = preferences.lengthText(Math.abs(metres));
    return `${way} ${metres < 0 ? 'before' : 'past'} the turn-in`;
  }
  const across = (m: number) => preferences.acrossText(m);
  const limits = $derived(page.limiting ? limitWords(page.limiting) : '');
</script>

<!-- What the model says of the draft: the corner with its straight, and the lap. -->
<div aria-live="polite">
  <p class="figures mt-1 text-lg" data-answer>
    <strong class="text-2xl">{page.time_s.toFixed(2)} s</strong> to the next corner's point{rank
      ? ` · ${rank}`
      : ''}
    {#if book.computing}
      · computing …
    {:else if book.changes > 0}
      <br />
      {#if page.driven && !page.driven.made}
        draft: no time for what is not made
      {:else}
        draft: <strong>{gain(cornerCost)}</strong> here, lap {lapTime(
          book.view!.revision.lap.time_s,
        )},
        {gain(lapCost)}
      {/if}
    {/if}
  </p>
  {#if page.driven}
    <p
      class={['leading-snug', page.driven.made ? 'text-neutral' : 'text-error font-semibold']}
      data-driven={page.driven.made ? 'made' : 'not-made'}
    >
      {#if !page.driven.made}<span aria-hidden="true">▲</span>{/if}
      {drivenWords(page.driven, across, pastTurnIn)}{page.lean_deg === undefined
        ? ''
        : `; lean ${Math.round(page.lean_deg)}°`}.
    </p>
  {/if}
  {#if limits}
    <p class="text-neutral leading-snug" data-limiting>At the limit: {limits}.</p>
  {/if}
</div>
