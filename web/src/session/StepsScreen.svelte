<script lang="ts">
  import { untrack } from 'svelte';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { StepView, StepWord } from '../api/sessions';
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import Stale from '../ui/Stale.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { openSteps, stepWords } from './brief-lines';
  import StepLadder from './StepLadder.svelte';

  const book = useBook();
  const TOLD: Record<string, string> = {
    begin: 'begin',
    made: 'made it',
    missed: 'missed',
    forget: 'forget it all',
  };
  let steps = $state.raw<StepView[]>();
  const working = new Working();
  let all = $state(false);
  /** A step plan as it was seen and as it is now, and what was to be told of it here. */
  let stale = $state.raw<{ seen: StepView; now: StepView; word: StepWord }>();
  const revision = $derived(book.base!.revision);
  const shown = $derived(all ? (steps ?? []) : openSteps(steps ?? []));

  const run = (work: () => Promise<StepView[]>) => working.run(async () => (steps = await work()));
  $effect(() => {
    const number = revision.number;
    untrack(() => void run(() => api.steps(book.id, number)));
  });

  /** A lap told in another window counts already: then both are shown, and this one may be told too. */
  async function note(step: StepView, word: StepWord) {
    await run(() => api.noteStep(book.id, revision.number, step, word));
    if (working.problem?.status !== 412) return;
    await run(() => api.steps(book.id, revision.number));
    const now = steps?.find((s) => s.corner === step.corner);
    if (now) stale = { seen: step, now, word };
  }
  function tellToo() {
    const { now, word } = stale!;
    stale = undefined;
    return note(now, word);
  }
</script>

<svelte:head><title>Step board · {book.book!.name} · Marvek</title></svelte:head>
<div class="max-w-6xl pb-20">
  <div class="flex flex-wrap items-center gap-3">
    <h1 class="text-3xl font-bold">Step board</h1>
    <p class="figures grow text-lg">
      {revision.conditions.surface} road, revision {revision.number}
    </p>
    <label class="flex min-h-11 items-center gap-2">
      <input type="checkbox" class="checkbox" bind:checked={all} />
      proven points too
    </label>
    <a class="btn btn-ghost" href="/books/{book.id}/sessions">Sessions</a>
  </div>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  {#if steps}
    <p class="text-neutral leading-snug">
      From the safe mark to the target in small steps, {preferences.length} to go above each. A step on
      after three laps in a row that braked within {preferences.lengthText(4)} of the mark, made the apex
      and locked no wheel; a step back after a miss. Where little road is left outside, steps are smaller
      and the target is held back. Kept for this surface alone.
    </p>
    {#if shown.length === 0}
      <p class="py-4 text-lg">
        {steps.length === 0
          ? 'No corner of this book is braked for.'
          : 'Every brake point is proven.'}
      </p>
    {/if}
    <ul class="pt-2" data-steps>
      {#each shown as step (step.corner)}
        <StepLadder {step} busy={working.busy} onnote={(word) => note(step, word)} />
      {/each}
    </ul>
  {:else if !working.problem}<p class="p-4" role="status">Computing the steps …</p>{/if}
</div>
{#if stale}
  <Stale
    what="The step plan of corner {stale.now.corner}"
    theirs={{ 'step plan': stepWords(stale.now), 'told here': '' }}
    mine={{ 'step plan': stepWords(stale.seen), 'told here': TOLD[stale.word] }}
    names={(member) => member}
    over="Tell mine too"
    ontheirs={() => (stale = undefined)}
    onmine={tellToo}
  />
{/if}
