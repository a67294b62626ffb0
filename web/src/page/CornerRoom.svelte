<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { untrack } from 'svelte';
  import type { CornerPage } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { ownWork } from '../strip/knots';
  import Plan from '../strip/Plan.svelte';
  import Strip from '../strip/Strip.svelte';
  import Problem from '../ui/Problem.svelte';
  import Tabs from '../ui/Tabs.svelte';
  import { gain } from '../units/format';
  import { say } from '../say/say.svelte';
  import { preferences } from '../units/preferences.svelte';
  import Answer from './Answer.svelte';
  import CheckNotice from './CheckNotice.svelte';
  import Lines from './Lines.svelte';
  import DaysPanel from './DaysPanel.svelte';
  import GearsPanel from './GearsPanel.svelte';
  import LinkPanel from './LinkPanel.svelte';
  import Notes from './Notes.svelte';
  import { providePage } from './page-context';
  import { useNoted } from './noted-marks.svelte';
  import PurposesPanel from './PurposesPanel.svelte';
  import { Panels, type Panel } from './panels.svelte';
  import WaysPanel from './WaysPanel.svelte';
  import { describe } from './words';

  interface Props {
    page: CornerPage;
  }
  const { page }: Props = $props();
  const book = useBook();
  const view = $derived(book.view!);
  providePage(() => page);
  const lapCost = $derived(view.revision.lap.time_s - book.base!.revision.lap.time_s);
  const panels = new Panels(book);
  const noted = useNoted();
  /** What is noted stands on the strip before the pages speak of it. */
  const trace = $derived(
    noted?.marks.length
      ? { ...view.trace, marks: [...view.trace.marks, ...noted.marks] }
      : view.trace,
  );
  const next = $derived.by(() => {
    const pages = view.revision.pages;
    return pages[(pages.indexOf(page) + 1) % pages.length];
  });
  const corner = $derived(view.trace.corners.find((c) => c.number === page.corner));
  const TABS: { key: Panel; name: string }[] = [
    { key: 'words', name: 'In words' },
    { key: 'ways', name: 'Ways through' },
    { key: 'gears', name: 'Gears' },
    { key: 'days', name: 'Other days' },
    { key: 'purposes', name: 'Purposes' },
    { key: 'link', name: 'The link' },
  ];
  const tabs = $derived(TABS.filter((tab) => tab.key !== 'link' || corner?.linkWithNext));

  // The open panel speaks of this corner and this draft.
  let askedOf = 0;
  $effect(() => {
    const number = page.corner;
    void [book.history, panels.open];
    untrack(() => {
      if (number !== askedOf) panels.forget();
      askedOf = number;
      if (panels.open === 'link' && !corner?.linkWithNext) panels.open = 'words';
      void panels.ask(number);
    });
  });
</script>

<svelte:head><title>{cornerName(page)} · {book.book!.name} · Marvek</title></svelte:head>
<div class="desk:flex corner-sheet gap-4 pb-20 print:pb-0">
  <div class="desk:sticky desk:top-2 desk:w-[620px] shrink-0 self-start">
    <Strip
      {page}
      {trace}
      onnote={noted && ((station, side) => (noted.asked = { station, side }))}
      wanted={book.history!.now.ownValues.find((o) => o.corner === page.corner)}
      onmove={(field, station, first) => book.moveOwn(page.corner, { [field]: station }, first)}
      onwork={panels.open === 'words'
        ? (list, value, first) => book.moveOwn(page.corner, ownWork(list, value), first)
        : undefined}
      answer={page.driven?.made === false ? 'not made' : gain(lapCost)}
      lines={panels.lines}
      others={panels.others(page, view.trace)}
      until={panels.open === 'link' ? next.exit.trackOut_m : undefined}
    />
  </div>
  <article class="min-w-0 grow">
    <div class="flex items-start gap-3 print:flex-col">
      <div class="grow">
        <h1 class="text-4xl leading-tight font-bold first-letter:uppercase">
          {cornerName(page)}
        </h1>
        {#if corner}
          <p class="figures text-neutral text-lg leading-snug">
            {describe(corner, (m) => preferences.lengthText(m))}{corner.linkWithNext
              ? ' · linked with the next'
              : ''}
          </p>
        {/if}
        <Answer {page} />
        <CheckNotice corner={page.corner} />
        {#if view.trace.sky?.intoTheSun.includes(page.corner)}
          <p class="font-semibold">
            <span aria-hidden="true">☀</span> Into a low sun at this hour.
          </p>
        {/if}
        {#each view.trace.remarks.filter((r) => r.corner === page.corner && (r.field === 'crest' || r.field === 'lap')) as remark (remark.said.code)}
          <p class="text-warning font-semibold">
            <span aria-hidden="true">▲</span>
            {say(remark.said)}
          </p>
        {/each}
      </div>
      <Plan {page} trace={view.trace} />
    </div>
    <Tabs label="This corner" id="tab" {tabs} bind:open={panels.open} busy={panels.asking}>
      {#if panels.problem}<Problem problem={panels.problem} onclose={() => panels.close()} />{/if}
      {#if panels.open === 'words'}
        {#key page.corner}
          <Lines />
          <Notes />
        {/key}
      {:else if panels.open === 'ways'}<WaysPanel {panels} />
      {:else if panels.open === 'gears'}<GearsPanel {panels} />
      {:else if panels.open === 'days'}<DaysPanel {panels} />
      {:else if panels.open === 'purposes'}<PurposesPanel {panels} />
      {:else}<LinkPanel {panels} />{/if}
      {#if panels.asking}<p class="text-neutral py-2" role="status">Computing …</p>{/if}
    </Tabs>
    <p class="text-neutral pt-2 text-sm">
      Estimates of a model: begin at the safe mark and work up in small steps. Closed courses only;
      flags, officials, the circuit's rules and your instructor come first. Nothing to be read while
      driving.
    </p>
  </article>
</div>
{#if noted?.asked}
  {#await import('./NoteMark.svelte') then { default: NoteMark }}
    <NoteMark {page} {...noted.asked} onclose={() => (noted.asked = undefined)} />
  {/await}
{/if}
