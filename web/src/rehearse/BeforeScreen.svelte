<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { onMount } from 'svelte';
  import { api } from '../api/client';
  import type { KeptSession } from '../api/sessions';
  import type { View } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { BriefDesk } from '../session/brief-state.svelte';
  import { hourWords, nextOf, sessionName } from '../session/words';
  import Strip from '../strip/Strip.svelte';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { beforeCards, cautionLines, leftWords } from './before-cards';
  import RehearseHead from './RehearseHead.svelte';

  const MINUTES = 10;
  const book = useBook();
  const desk = new BriefDesk(book.id, () => book.view!.trace);
  let session = $state.raw<KeptSession>();
  /** The session’s revision with its road, whatever the book has open. */
  let view = $state.raw<View>();
  let none = $state(false);
  let at = $state(0);
  let shown = $state(false);
  let left_s = $state(MINUTES * 60);

  const cards = $derived(beforeCards(desk.lines));
  const card = $derived(cards[at]);
  const cautions = $derived(cautionLines(desk.lines));
  const page = $derived(desk.revision?.pages.find((p) => p.corner === card?.corner));

  onMount(() => {
    void load();
    const begun = performance.now();
    const timer = setInterval(
      () => (left_s = MINUTES * 60 - (performance.now() - begun) / 1000),
      1000,
    );
    return () => clearInterval(timer);
  });

  const load = () =>
    desk.run(async () => {
      const all = await api.sessions(book.id);
      session = nextOf(all, new Date()) ?? all.at(-1);
      none = !session;
      if (session) await desk.load(session.id, preferences.length);
      if (desk.brief) view = await api.view(book.id, desk.brief.revision);
    });

  function forward() {
    if (card && !shown) shown = true;
    else if (card) {
      at++;
      shown = false;
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const elsewhere = (event.target as HTMLElement).closest('input, select, textarea, dialog, a');
    if (event.key !== ' ' || elsewhere || !card) return;
    forward();
    event.preventDefault();
    event.stopImmediatePropagation();
  }
</script>

<svelte:window onkeydowncapture={onkeydown} />
<svelte:head><title>Ten minutes before · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20">
  {#if desk.problem}<Problem problem={desk.problem} onclose={desk.clear} />{/if}
  <RehearseHead book={book.id} current="before">
    <span class="grow"></span>
    <p class="figures text-3xl font-bold" role="timer" data-left>{leftWords(left_s)}</p>
  </RehearseHead>
  {#if none}
    <p class="py-6 text-lg" data-none>
      No session is planned, so there is nothing to be ready for.
      <a class="link" href="/books/{book.id}/sessions">Plan the next one</a>
    </p>
  {:else if desk.brief && session && view}
    <p class="figures text-lg">
      <strong>{sessionName(session)}, {hourWords(session.session.startsAt)}</strong> · revision
      {desk.brief.revision} · {card ? `${at + 1} of ${cards.length + 1}` : 'the last look'}
    </p>
    {#if card && page}
      <div class="desk:flex gap-6 pt-2">
        <div class="desk:w-[580px] shrink-0">
          {#key page.corner}
            <Strip {page} trace={view.trace} height={600} hidden={!shown} />
          {/key}
        </div>
        <div class="min-w-0 grow" data-before="{card.kind} {card.corner}">
          <p class="figures text-neutral text-lg">
            {card.kind === 'focus' ? 'a corner to work on' : 'changed'}
          </p>
          <h2 class="text-4xl font-bold">{cornerName(card)}</h2>
          <p class="pt-2 text-2xl">{card.ask}</p>
          {#if shown}
            <ul class="figures pt-4 text-3xl leading-tight font-semibold" data-answer>
              {#each card.answer as line (line)}<li class="pb-1">{line}</li>{/each}
            </ul>
            <button class="btn btn-primary mt-6 h-14 px-6 text-lg" onclick={forward}>Next</button>
          {:else}
            <button class="btn btn-primary mt-6 h-14 px-6 text-lg" onclick={forward}>Show it</button
            >
          {/if}
          <span class="text-neutral pl-2">space</span>
        </div>
      </div>
    {:else}
      <div class="max-w-4xl pt-3" data-last-look>
        <h2 class="text-2xl font-bold">The lap in ten seconds</h2>
        <p class="pb-3 text-xl" data-ten-seconds>{desk.brief.tenSeconds}</p>
        <h2 class="text-2xl font-bold">What stands in the way</h2>
        {#if cautions.length === 0}<p class="py-2 text-lg">Nothing is written down.</p>{/if}
        <ul class="text-lg">
          {#each cautions as line (line.corner)}
            <li class="border-base-300 border-b py-1.5">
              <strong class="figures">{cornerName(line)}</strong>: {line.cautions.join('; ')}
            </li>
          {/each}
        </ul>
        <p class="py-3 text-lg">
          First laps on cold tyres from the safe marks. Flags, marshals and the organiser’s brief
          come before all of this.
        </p>
        <button
          class="btn"
          onclick={() => {
            at = 0;
            shown = false;
          }}>Once more</button
        >
      </div>
    {/if}
  {:else if !desk.problem}<p class="p-4" role="status">Looking up the next session …</p>{/if}
</div>
