<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { onDestroy, untrack } from 'svelte';
  import type { SpokenLap } from '../api/answers';
  import { Asking } from '../api/asking.svelte';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import { lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import CallBand from './CallBand.svelte';
  import RadioHeard from './RadioHeard.svelte';
  import { due, inLapOrder, lastBegun } from './spoken';

  const book = useBook();
  let pace = $state(1);
  /** The lap of the run that is heard: the first ones are on cold tyres. */
  let lap = $state(4);
  const cold = $derived(book.view!.revision.pages.some((p) => p.variants?.cold));
  const working = new Working();
  const asking = new Asking<SpokenLap>({ refused: (refused) => (working.problem = refused) });
  const spoken = $derived(asking.answer);
  /** Time of the lap that is played [s]; undefined while nothing is. */
  let now = $state<number>();
  const calls = $derived(spoken ? inLapOrder(spoken.calls, spoken.lap_s) : []);
  const current = $derived(now === undefined ? -1 : lastBegun(calls, now));
  const names = $derived(new Map(book.view!.revision.pages.map((p) => [p.corner, cornerName(p)])));
  /** Whether the calls go out over the simulated radio too. */
  let radio = $state(false);
  const voice = typeof speechSynthesis !== 'undefined';

  $effect(() => {
    void book.history;
    const draft = book.draft();
    const { length } = preferences;
    const of = lap;
    const key = ['spoken', book.id, draft, pace, length, of];
    untrack(() => {
      stop();
      void asking.ask(key, (s) => api.spoken(book.id, draft, pace, length, of, s));
    });
  });

  let frame = 0;
  function play(from: number) {
    stop();
    const begun = performance.now() - 1000 * from;
    now = from;
    const tick = () => {
      const next = (performance.now() - begun) / 1000;
      for (const call of due(calls, now!, next)) say(call.words);
      now = next;
      if (next > spoken!.lap_s) stop();
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
  }

  function say(words: string) {
    if (radio) void working.run(() => api.say(words));
    if (!voice) return;
    const speech = new SpeechSynthesisUtterance(words);
    speech.lang = 'en';
    speech.rate = 1.1;
    speechSynthesis.speak(speech);
  }

  function stop() {
    cancelAnimationFrame(frame);
    if (voice) speechSynthesis.cancel();
    now = undefined;
  }
  onDestroy(stop);

  const file = (kind: string) =>
    `/api/books/${book.id}/revisions/${book.base!.revision.number}/calls.${kind}?pace=${pace}&length=${preferences.length}&lap=${lap}`;
</script>

<svelte:head><title>The lap spoken · {book.book!.name} · Marvek</title></svelte:head>
<div class="max-w-5xl pb-20">
  <div class="flex flex-wrap items-center gap-3">
    <h1 class="grow text-3xl font-bold">The lap spoken</h1>
    <label class="flex min-h-11 items-center gap-2">
      <input type="checkbox" class="checkbox" bind:checked={radio} data-radio />
      over the radio (simulated)
    </label>
    {#if cold}
      <label class="figures flex items-center gap-2 text-lg">
        said on
        <select class="select h-11 w-36" bind:value={lap} data-lap>
          <option value={1}>laps 1 to 3</option>
          <option value={4}>later laps</option>
        </select>
      </label>
    {/if}
    <label class="figures flex items-center gap-2 text-lg">
      pace
      <select class="select h-11 w-44" bind:value={pace} data-pace>
        <option value={1}>100 %</option>
        <option value={0.9}>90 %</option>
        <option value={0.8}>80 %, led</option>
        <option value={0.7}>70 %, led</option>
      </select>
    </label>
    {#if now === undefined}
      <button class="btn btn-primary" disabled={!spoken} onclick={() => play(0)}
        >Play the lap</button
      >
    {:else}
      <button class="btn btn-primary" onclick={stop}>Stop</button>
    {/if}
    <a class="btn btn-ghost" href={file('vtt')} download>WebVTT</a>
    <a class="btn btn-ghost" href={file('txt')} download>Text for the radio</a>
  </div>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  {#if spoken}
    <p class="figures pt-1 text-lg" aria-live="off">
      {now === undefined ? '' : `${lapTime(now)} of `}{lapTime(spoken.lap_s)} · {calls.length} calls
    </p>
    <p class="py-1 text-lg" data-ten-seconds>
      <strong class="figures">In ten seconds:</strong>
      {spoken.tenSeconds}
    </p>
    {#if spoken.quiet.length}
      <p class="text-neutral pb-1" data-quiet>
        Quiet places: {#each spoken.quiet as place, i (place.fromM)}{i
            ? ', '
            : ''}{place.seconds.toFixed(1)} s after {names.get(place.afterCorner)}{/each}, at the
        speed of the lap.
      </p>
    {/if}
    <CallBand view={book.view!} {calls} {pace} {current} {now} onplay={play} />
    {#if radio}<RadioHeard />{/if}
    <ol data-calls>
      {#each calls as call, i (i)}
        <li
          class={[
            'border-base-300 flex min-h-11 items-center gap-4 border-b',
            i === current && 'bg-base-200 font-semibold',
          ]}
        >
          <button
            class="figures link min-h-11 min-w-16 text-right"
            title="Play from here"
            onclick={() => play(Math.max(0, call.begins - 0.5))}
            >{lapTime(call.begins).slice(0, -2)}</button
          >
          <span class="text-neutral figures w-24 shrink-0 sm:w-40">{names.get(call.corner)}</span>
          <span>{call.words}</span>
        </li>
      {/each}
    </ol>
    <p class="text-neutral pt-2 leading-snug">
      Each call ends at least 1.5 s before its point, at 2.5 words a second, never two at once;
      where time is short the least important words go first. {voice
        ? 'Spoken where the browser has a voice.'
        : 'This browser has no voice: the calls are shown.'} On closed courses only, and where radio is
      allowed; an instructor's own voice comes first.
    </p>
  {:else if !working.problem}<p class="p-4" role="status">Computing the calls …</p>{/if}
</div>
