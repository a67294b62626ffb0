<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { DayShift } from '../api/answers';
  import type { RecallRound } from '../api/recall';
  import type { View } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { draftOf } from '../book/draft';
  import { shiftWords } from '../page/day-words';
  import Strip from '../strip/Strip.svelte';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import RehearseHead from './RehearseHead.svelte';
  import { answerWords, ASKED, GRADES, learnedWords } from './recall-words';

  const book = useBook();
  let round = $state.raw<RecallRound>();
  let order = $state<'lap' | 'weakest'>('lap');
  let at = $state(0);
  let shown = $state(false);
  const working = new Working();
  /** Right answers of this round. */
  let right = $state(0);

  const question = $derived(round?.questions[at]);
  /** The newest revision, which is asked, whatever the book has open or is being edited. */
  let view = $state.raw<View>();
  const page = $derived(view?.revision.pages.find((p) => p.corner === question?.corner));

  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  /** What a wet road does, corner by corner; asked of the model when it is first needed. */
  let wet = $state.raw<DayShift[]>();
  const wetShift = $derived(wet?.find((shift) => shift.corner === question?.corner));
  const wetWords = $derived(wetShift ? shiftWords(wetShift, writer) : 'asking the model …');
  const answer = $derived(
    question && page && view
      ? answerWords(question.kind, page, view.trace, writer.length, wetWords)
      : '',
  );
  $effect(() => {
    if (question?.kind !== 'in-the-wet' || wet) return;
    void working.run(async () => {
      const days = await api.days(book.id, draftOf(view!.revision));
      wet = days.find((d) => d.day === 'wet')?.shifts ?? [];
    });
  });

  const begin = (ahead = false) =>
    working.run(async () => {
      const answer = await api.recall(book.id, order, ahead);
      if (view?.revision.number !== answer.revision) {
        view = await api.view(book.id, answer.revision);
        wet = undefined;
      }
      round = answer;
      at = 0;
      right = 0;
      shown = false;
    });
  void begin();

  const grade = (quality: number) =>
    working.run(async () => {
      await api.recalled(book.id, question!.corner, question!.kind, quality);
      if (quality >= 3) right++;
      at++;
      shown = false;
    });

  /** Before the book's own keys, which turn pages with figures. */
  function onkeydown(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (!question || (event.target as HTMLElement).closest('input, select, textarea, dialog'))
      return;
    const grading = GRADES.find((g) => g.key === event.key);
    if (event.key === ' ' && !shown) shown = true;
    else if (grading && shown && !working.busy) void grade(grading.quality);
    else return;
    event.preventDefault();
    event.stopImmediatePropagation();
  }
</script>

<svelte:window onkeydowncapture={onkeydown} />
<svelte:head><title>Rehearse · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-4" aria-busy={working.busy}>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  <RehearseHead book={book.id} current="recall">
    {#if round}
      <p class="figures text-lg" data-known>
        {round.known} of {round.all} known; {right} right in this round
      </p>
    {/if}
    <span class="grow"></span>
    <label class="figures flex items-center gap-2 text-lg">
      asked
      <select
        class="select h-11 w-40"
        bind:value={order}
        onchange={() => begin()}
        aria-label="Order of the questions"
      >
        <option value="lap">in lap order</option>
        <option value="weakest">the weakest first</option>
      </select>
    </label>
  </RehearseHead>
  {#if round && view && question && page}
    <div class="desk:flex gap-6 pt-2">
      <div class="desk:w-[600px] shrink-0">
        {#key page.corner}
          <Strip {page} trace={view.trace} height={600} hidden={!shown} />
        {/key}
      </div>
      <div class="min-w-0 grow" data-question="{question.corner} {question.kind}">
        <p class="figures text-neutral text-lg">
          question {at + 1} of {round.questions.length}{question.changed
            ? ' · changed since you learned it'
            : question.fresh
              ? ' · new'
              : ''}
        </p>
        <h2 class="text-4xl font-bold">{cornerName(page)}, {page.direction}</h2>
        <p class="pt-2 text-2xl">{ASKED[question.kind]}</p>
        {#if shown}
          <p class="figures pt-4 text-4xl leading-tight font-bold" data-answer>{answer}</p>
          {#if question.changed}
            <p class="text-warning pt-2 text-xl" data-before>
              ▲ You learned: {learnedWords(question) ?? 'another answer'}. Now it is the above.
            </p>
          {/if}
          <p class="pt-6 text-lg">Did you know it?</p>
          <div class="flex flex-wrap gap-2 pt-1" role="group" aria-label="How well you knew it">
            {#each GRADES as g (g.key)}
              <button
                class="btn figures h-14 px-4 text-lg"
                disabled={working.busy}
                onclick={() => grade(g.quality)}
                ><span class="text-neutral" aria-hidden="true">{g.key}</span> {g.words}</button
              >
            {/each}
          </div>
        {:else}
          <button class="btn btn-primary mt-6 h-14 px-6 text-lg" onclick={() => (shown = true)}
            >Show the answer</button
          >
          <span class="text-neutral pl-2">space</span>
        {/if}
      </div>
    </div>
  {:else if round}
    <div class="max-w-2xl py-6 text-lg" data-done>
      <p class="text-2xl font-semibold">
        {round.questions.length
          ? `${right} of ${round.questions.length} right.`
          : 'Nothing is due today.'}
      </p>
      <p class="py-2">
        What was right comes again when it is about to be forgotten, what was not tomorrow; a value
        that a new revision changes comes first.
      </p>
      <div class="flex gap-2">
        <button class="btn btn-primary" disabled={working.busy} onclick={() => begin()}
          >What is due</button
        >
        <button class="btn" disabled={working.busy} onclick={() => begin(true)}
          >All of it, ahead</button
        >
      </div>
    </div>
  {:else if working.busy}<p class="p-4" role="status">Looking through the pages …</p>{/if}
</div>
