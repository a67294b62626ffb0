<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { api } from '../api/client';
  import { lapCalls } from '../api/lap-calls';
  import { Working } from '../api/working.svelte';
  import type { MovedStep, Proposal, Review } from '../api/laps';
  import type { KeptSession } from '../api/sessions';
  import type { View } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { route } from '../router';
  import SessionLinks from '../session/SessionLinks.svelte';
  import { hourWords, sessionName } from '../session/words';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import CalibrationCard from './CalibrationCard.svelte';
  import CarOfLapsCard from './CarOfLapsCard.svelte';
  import { ACTIONS, wholeWords } from './finding-words';
  import ProposalRow from './ProposalRow.svelte';
  import { isJudgement, keyOf, taken, type Said } from './proposal-words';

  const book = useBook();
  const id = route.params.session!;
  let kept = $state.raw<KeptSession>();
  let review = $state.raw<Review>();
  let view = $state.raw<View>();
  const working = new Working();
  let said = $state.raw<Record<string, Said>>({});
  let calibrate = $state(false);
  let reason = $state('');
  /** Number of the revision that was kept here. */
  let done = $state<number>();
  let moved = $state.raw<MovedStep[]>();

  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const values = $derived(review?.proposals.filter((p) => !isJudgement(p)) ?? []);
  const judgements = $derived(review?.proposals.filter(isJudgement) ?? []);
  const accepted = $derived(review ? taken(review.proposals, said) : []);
  const open = $derived(review ? review.proposals.filter((p) => !said[keyOf(p)]).length : 0);
  const pageOf = (corner: number) => view?.revision.pages.find((p) => p.corner === corner);

  const load = () =>
    working.run(async () => {
      kept = await api.session(id);
      const answer = await lapCalls.review(id);
      view = await api.view(book.id, answer.revision);
      review = answer;
    });
  void load();

  const say = (proposals: Proposal[], choice: Said) =>
    (said = { ...said, ...Object.fromEntries(proposals.map((p) => [keyOf(p), choice])) });

  const keep = (event: SubmitEvent) => {
    event.preventDefault();
    return working.run(async () => {
      const line = await lapCalls.keepReview(id, {
        parent: review!.newest,
        accepted,
        calibrate,
        reason,
      });
      done = line.number;
      await book.open(line.number);
    });
  };

  const noteSteps = () =>
    working.run(async () => {
      moved = await lapCalls.noteSteps(id);
      review = { ...review!, stepsNoted: true };
    });
  const pagesChanged = $derived(new Set(accepted.map((a) => a.corner)).size);
</script>

{#snippet rows(proposals: Proposal[])}
  {#each proposals as proposal (keyOf(proposal))}
    {@const page = pageOf(proposal.corner)}
    {#if page && view}
      <ProposalRow
        {proposal}
        {page}
        trace={view.trace}
        said={said[keyOf(proposal)]}
        onsay={(choice) => say([proposal], choice)}
      />
    {/if}
  {/each}
{/snippet}

<svelte:head><title>Revise · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-24" aria-busy={working.busy}>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  {#if kept}
    <h1 class="text-3xl font-bold">{sessionName(kept)}, {hourWords(kept.session.startsAt)}</h1>
    <SessionLinks {kept} current="review" />
  {/if}
  {#if review && view && kept}
    {#if review.seems}
      <p class="text-warning py-1 text-lg font-semibold" data-seems={review.seems}>
        ▲ The laps go with a {review.seems} road, and the page they are read against is for another: they
        propose nothing.
        <a class="link" href="/books/{book.id}/sessions/{id}/debrief"
          >Say in the debrief what the road was</a
        >
      </p>
    {:else}
      {#if review.bookOnLayout != null}
        <p class="text-error py-1 font-semibold" data-other-layout>
          ✕ The book has moved on to version {review.bookOnLayout} of the layout, and these laps were
          driven on the one before. Nothing of them can be written into it: drive the new layout and read
          those laps.
        </p>
      {:else if review.newest !== review.revision}
        <p class="text-warning py-1 font-semibold">
          ▲ The laps were driven by revision {review.revision}. What is accepted goes into revision {review.newest},
          the newest, if that is for the same surface; else into revision {review.revision} again.
        </p>
      {/if}
      <div class="desk:flex gap-6 pt-2">
        <div class="min-w-0 grow">
          <div class="flex items-baseline gap-3">
            <h2 class="figures text-2xl font-semibold">Proposed by the laps</h2>
            {#if values.some((p) => !said[keyOf(p)])}
              <button
                class="btn btn-ghost"
                onclick={() =>
                  say(
                    values.filter((p) => !said[keyOf(p)]),
                    { choice: 'accept' },
                  )}>Accept all that moves</button
              >
            {/if}
          </div>
          {#if values.length === 0}
            <p class="py-2 text-lg">
              No point is to be moved. A point moves for three laps in a row that lie together, made
              the corner and lost nothing there; what was lost by a slip is a finding of the
              <a class="link" href="/books/{kept.bookId}/sessions/{kept.id}/debrief">debrief</a>.
              Laps of other drivers and vehicles move nothing here.
            </p>
          {:else}
            <ul data-proposals>
              {@render rows(values)}
            </ul>
          {/if}
          {#if review.drive.length}
            <h2 class="figures pt-4 text-2xl font-semibold">The page is right: drive it</h2>
            <ul data-drive>
              {#each review.drive as d (d.corner)}
                <li
                  class="border-base-300 border-b py-1.5 leading-snug"
                  data-drive-corner={d.corner}
                >
                  <strong class="figures"
                    >{cornerName({ corner: d.corner, name: pageOf(d.corner)?.name })}</strong
                  >: {wholeWords(d, writer)},
                  <strong class="figures">{d.cost_s.toFixed(2)} s</strong> on {d.laps} of {d.of} laps.
                  <span class="text-neutral block">{ACTIONS[d.rule]}</span>
                </li>
              {/each}
            </ul>
          {/if}
          {#if judgements.length}
            <div class="flex items-baseline gap-3 pt-4">
              <h2 class="figures text-2xl font-semibold">How sure the pages are</h2>
              {#if judgements.some((p) => !said[keyOf(p)])}
                <button
                  class="btn btn-ghost"
                  onclick={() =>
                    say(
                      judgements.filter((p) => !said[keyOf(p)]),
                      { choice: 'accept' },
                    )}>Accept all {judgements.length}</button
                >
              {/if}
            </div>
            <ul data-judgements>
              {@render rows(judgements)}
            </ul>
          {/if}
        </div>
        <div class="desk:w-[380px] flex shrink-0 flex-col gap-4">
          {#if review.calibration}
            <CalibrationCard
              calibration={review.calibration}
              taken={calibrate}
              ontake={(take) => (calibrate = take)}
            />
          {:else}
            <p class="text-neutral leading-snug">
              The model goes with the laps: as much acceleration and as much top speed, or fewer
              than three laps to say otherwise.
            </p>
          {/if}
          <CarOfLapsCard session={id} />
          <section class="border-base-300 rounded border-2 p-3 leading-snug" data-steps>
            <h2 class="figures text-xl font-semibold">The step board</h2>
            {#if review.steps.length === 0}
              <p>No brake point is being worked up to.</p>
            {/if}
            <ul class="figures">
              {#each moved ?? review.steps as step (step.corner)}
                <li class="py-1">
                  <strong
                    >{cornerName({ corner: step.corner, name: pageOf(step.corner)?.name })}</strong
                  >: {step.made} made, {step.missed}
                  missed;
                  {#if step.step === step.stepBefore}stays at step {step.step + 1} of {step.steps}
                  {:else}step {step.stepBefore + 1} → <strong>{step.step + 1}</strong> of {step.steps}{/if}{step.proven
                    ? ', proven'
                    : ''}
                </li>
              {/each}
            </ul>
            {#if review.stepsNoted}
              <p class="text-neutral">
                Noted. <a class="link" href="/books/{kept.bookId}/steps">Look at the board</a>
              </p>
            {:else if review.steps.length}
              <p class="text-neutral pb-1">
                A lap counts that braked within {preferences.lengthText(4)} of its step; three in a row
                move it on, one that was not made back.
              </p>
              <button class="btn" disabled={working.busy} onclick={noteSteps}
                >Note these laps on the board</button
              >
            {/if}
          </section>
          <p class="text-neutral text-sm leading-snug">
            A proposal is what laps and model say, no instruction: work up to it from the safe mark.
            Flags, officials and your instructor come first.
          </p>
        </div>
      </div>
      <div
        class={[
          'bg-base-200 border-base-content fixed inset-x-0 z-10 border-t-2 px-4 py-2 print:hidden',
          book.changes > 0 ? 'bottom-16' : 'bottom-0',
        ]}
      >
        {#if done !== undefined}
          <p class="figures flex min-h-11 items-center gap-4 text-lg" data-kept>
            <strong>Revision {done} is kept, with its laps behind it.</strong>
            <a class="link" href="/books/{kept.bookId}/compare">What changed</a>
            <a
              class="link"
              href="/api/books/{kept.bookId}/revisions/{done}/card.pdf"
              target="_blank">The card (PDF)</a
            >
            <a class="link" href="/books/{kept.bookId}">The book</a>
          </p>
        {:else}
          <form class="flex flex-wrap items-center gap-3" onsubmit={keep}>
            <p class="figures grow text-lg">
              {accepted.length} accepted on {pagesChanged}
              {pagesChanged === 1 ? 'page' : 'pages'}{calibrate ? ', model calibrated' : ''}{open
                ? `; ${open} not decided, left as they are`
                : ''}
            </p>
            <input
              class="input h-11 w-72 px-2"
              aria-label="Reason of the revision"
              placeholder="reason; else the session's name"
              maxlength="300"
              bind:value={reason}
            />
            <button
              class="btn btn-primary"
              disabled={working.busy ||
                review.bookOnLayout != null ||
                (accepted.length === 0 && !calibrate)}>Keep as revision {review.newest + 1}</button
            >
          </form>
        {/if}
      </div>
    {/if}
  {:else if working.busy}
    <p class="p-4" role="status">Reading the laps and asking the model …</p>
  {/if}
</div>
