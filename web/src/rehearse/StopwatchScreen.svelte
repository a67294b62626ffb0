<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { ImaginedLap, StopwatchState } from '../api/recall';
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import { gain, lapTime } from '../units/format';
  import RehearseHead from './RehearseHead.svelte';
  import { paceWords, sectorsOf, tapped, type Tapping } from './taps';

  const book = useBook();
  let there = $state.raw<StopwatchState>();
  let tapping = $state.raw<Tapping>();
  const working = new Working();
  /** Why the last lap was broken off. */
  let broken = $state('');
  let chosen = $state<string>();

  const lap = $derived<ImaginedLap | undefined>(
    there?.laps.find((l) => l.id === chosen) ?? there?.laps.at(-1),
  );
  const name = (corner: number) =>
    corner === 0
      ? 'the line'
      : `${corner} ${book.view!.revision.pages.find((p) => p.corner === corner)?.name ?? ''}`;

  const load = () => working.run(async () => void (there = await api.stopwatch(book.id)));
  void load();

  function tap(stamp: number) {
    if (!there) return;
    broken = '';
    const now = tapped(tapping, stamp);
    tapping = now;
    if (now.taps_s.length < there.beats.length) return;
    tapping = undefined;
    void working.run(async () => {
      const kept = await api.keepImagined(book.id, now.taps_s);
      await load();
      chosen = kept.id;
    });
  }

  function breakOff(why: string) {
    if (!tapping) return;
    tapping = undefined;
    broken = why;
  }

  const remove = (id: string) =>
    working.run(async () => {
      await api.removeImagined(id);
      chosen = undefined;
      await load();
    });

  function onkeydown(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const elsewhere = (event.target as HTMLElement).closest('input, select, textarea, dialog, a');
    if (event.key === 'Escape') breakOff('broken off');
    else if (event.key === ' ' && !elsewhere) {
      // A key that is held down repeats itself: that is no tap.
      if (!event.repeat) tap(event.timeStamp);
    } else return;
    event.preventDefault();
    event.stopImmediatePropagation();
  }
</script>

<svelte:window
  onkeydowncapture={onkeydown}
  onblur={() => breakOff('the window lost the focus, so the lap does not count')}
/>
<svelte:head><title>Stopwatch · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20">
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  <RehearseHead book={book.id} current="stopwatch" />
  <p class="max-w-4xl leading-snug">
    Eyes closed: tap at the start line, at every brake point as you reach it in your head, and at
    the line again.
  </p>
  {#if there}
    <div class="desk:flex gap-6 pt-3">
      <div class="desk:w-[420px] shrink-0">
        <button
          class={[
            'figures border-base-content flex h-72 w-full touch-manipulation flex-col items-center justify-center rounded-xl border-4 text-3xl font-bold select-none',
            tapping && 'bg-base-content text-base-100',
          ]}
          data-pad
          onpointerdown={(e) => {
            e.preventDefault();
            tap(e.timeStamp);
          }}
        >
          {#if tapping}
            {tapping.taps_s.length} of {there.beats.length}
            <span class="text-lg font-normal">tap at each brake point</span>
          {:else}
            Tap at the line
            <span class="text-lg font-normal">here, or the space bar</span>
          {/if}
        </button>
        {#if tapping}
          <button class="btn mt-2" onclick={() => breakOff('broken off')}
            >Break the lap off (Esc)</button
          >
        {/if}
        {#if broken}<p role="status" class="pt-2">The lap was not kept: {broken}.</p>{/if}
        {#if there.laps.length}
          <h2 class="figures pt-4 text-xl font-semibold">Laps so far</h2>
          {#if there.scatter_s != null}
            <p class="figures" data-scatter-of-laps>
              the last {Math.min(5, there.laps.length)} scatter by {there.scatter_s.toFixed(1)} s
            </p>
          {/if}
          <ul class="figures" data-imagined>
            {#each [...there.laps].reverse().slice(0, 8) as l (l.id)}
              <li class="border-base-300 flex items-center gap-2 border-b">
                <button
                  class={['min-h-11 grow text-left text-lg', l === lap && 'font-bold']}
                  aria-pressed={l === lap}
                  onclick={() => (chosen = l.id)}
                  >{new Date(l.at).toLocaleString('en-GB', {
                    day: 'numeric',
                    month: 'short',
                    hour: '2-digit',
                    minute: '2-digit',
                  })} · {lapTime(l.imagined_s)}</button
                >
                <button class="btn btn-ghost" onclick={() => remove(l.id)}>Forget</button>
              </li>
            {/each}
          </ul>
        {/if}
      </div>
      {#if lap}
        <div class="min-w-0 grow" data-lap-in-the-head>
          <h2 class="figures text-2xl font-semibold">
            {lapTime(lap.imagined_s)} in the head, {lapTime(lap.reference_s)} on the pages
          </h2>
          <p class="figures flex flex-wrap gap-x-6 text-lg" data-sectors>
            {#each sectorsOf(lap.parts) as sector, k (k)}
              <span
                >sector {k + 1}, to {name(sector.corner)}:
                <strong>{gain(sector.imagined_s - sector.reference_s)}</strong></span
              >
            {/each}
          </p>
          <table class="figures w-full text-lg">
            <thead>
              <tr class="border-base-content border-b-2 text-left">
                <th>to</th><th class="text-right">head, s</th><th class="text-right">pages, s</th
                ><th class="pl-6">it ran</th>
              </tr>
            </thead>
            <tbody>
              {#each lap.parts as part (part.corner)}
                {@const words = paceWords(part.imagined_s, part.reference_s)}
                <tr class="border-base-300 h-9 border-b">
                  <td>{name(part.corner)}</td>
                  <td class="text-right">{part.imagined_s.toFixed(1)}</td>
                  <td class="text-right">{part.reference_s.toFixed(1)}</td>
                  <td
                    class={['pl-6', words === 'as it is driven' ? 'text-neutral' : 'font-semibold']}
                    >{words}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
          <p class="text-neutral pt-1 text-sm">
            What is well known takes as long in the head as in the car. Five laps alike say more
            than one that fits.
          </p>
        </div>
      {:else}
        <p class="text-lg">
          {there.beats.length + 1} taps make a lap: the line, {there.beats.length - 1} brake points, the
          line. Then you see where it ran fast or slow against {lapTime(there.beats.at(-1)!.at_s)} on
          the pages.
        </p>
      {/if}
    </div>
  {:else if !working.problem}<p class="p-4" role="status">Looking through the pages …</p>{/if}
</div>
