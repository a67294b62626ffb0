<!-- @component All laps of a circuit: two of them are picked and laid beside each other. -->
<script lang="ts">
  import type { LibraryLap } from '../api/laps';
  import { pairCalls } from '../api/pair-calls';
  import { Working } from '../api/working.svelte';
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import { lapTime } from '../units/format';
  import LineMark from './LineMark.svelte';
  import { byFile, firstPair, found, whose } from './library';

  const book = useBook();
  const working = new Working();
  let laps = $state.raw<LibraryLap[]>();
  let words = $state('');
  let all = $state(false);
  let first = $state<string>();
  let second = $state('page');
  const shown = $derived(byFile(found(laps ?? [], { words, all })));
  const pick = $derived(laps?.find((lap) => lap.id === first));
  const other = $derived(laps?.find((lap) => lap.id === second));
  const date = (lap: LibraryLap) =>
    new Date(`${lap.startsAt.slice(0, 10)}T12:00`).toLocaleDateString('en-GB', {
      day: 'numeric',
      month: 'short',
      year: 'numeric',
    });
  const nameOf = (lap: LibraryLap | undefined) =>
    lap ? `${whose(lap)}, ${date(lap)}, lap ${lap.number}` : 'the page, by the model';

  void working.run(async () => {
    laps = await pairCalls.library(book.id);
    const pair = firstPair(laps, book.id);
    first = pair.lap;
    second = pair.with;
  });
</script>

<svelte:head><title>Laps · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-32" aria-busy={working.busy}>
  <h1 class="text-3xl font-bold">Laps of {book.book!.circuit}</h1>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  {#if laps?.length === 0}
    <p class="max-w-prose py-4 text-lg">
      No lap was driven here yet. Laps come in with a <a
        class="link"
        href="/books/{book.id}/sessions">session</a
      >, in its debrief; a coach’s or a team-mate’s file comes in there too, as his.
    </p>
  {:else if laps}
    <div class="flex flex-wrap items-end gap-4 py-2">
      <label class="max-w-md grow"
        ><span class="block text-sm">Find: driver, vehicle, surface, day, sheet</span><input
          type="search"
          class="input h-11 w-full text-base"
          bind:value={words}
        /></label
      >
      <label class="flex min-h-11 items-center gap-2"
        ><input type="checkbox" class="checkbox" bind:checked={all} /> out-laps, in-laps and broken ones
        too</label
      >
    </div>
    <p class="text-neutral pb-2">
      Pick one lap to be drawn out <LineMark /> and one to be dashed beside it
      <LineMark dashed />; ★ is the best of its driver, vehicle and surface. A coach’s or a
      team-mate’s file comes in with a
      <a class="link" href="/books/{book.id}/sessions">session</a>, as his.
    </p>
    {#if shown.length === 0}
      <p class="py-3 text-lg" role="status">No lap has all of “{words}”. Look for less.</p>
    {/if}
    {#each shown as file (file.key)}
      {@const of = file.laps[0]}
      <section class="border-base-300 border-t-2 pt-2 pb-3" data-library-file={of.file}>
        <h2 class="flex flex-wrap items-baseline gap-x-3 leading-snug">
          <span class="figures text-xl font-semibold">{whose(of)}</span>
          <span>{of.vehicle}</span>
          <span class="figures">{date(of)}</span>
          <span
            >{of.surface}{of.sheet ? `, ${of.sheet}` : ''}{of.layout
              ? `, ${of.layout} ${of.layoutVersion}`
              : ''}</span
          >
          <a
            class="link inline-flex min-h-11 items-center text-sm"
            href="/books/{of.book}/sessions/{of.session}/debrief">{of.sessionName}</a
          >
          <span class="text-neutral text-sm">{of.file}</span>
        </h2>
        <ul class="figures grid grid-cols-[repeat(auto-fill,minmax(10.5rem,1fr))] gap-2 pt-1">
          {#each file.laps as lap (lap.id)}
            <li
              class={[
                'flex items-center rounded border-2',
                lap.best ? 'border-base-content' : 'border-base-300',
              ]}
              data-library-lap={lap.id}
            >
              <span class="grow px-2 leading-tight"
                ><span class="text-neutral text-sm">lap {lap.number}</span>
                <strong class="block text-lg"
                  >{lap.time_s == null ? lap.kind : lapTime(lap.time_s)}</strong
                >{#if lap.best}<span class="text-sm">★ best</span
                  >{:else if lap.kind !== 'flying'}<span class="text-neutral text-sm"
                    >{lap.kind}</span
                  >{/if}</span
              >
              <button
                class="btn btn-ghost min-h-11 rounded-none border-l-2 px-3"
                aria-pressed={first === lap.id}
                aria-label="Lap {lap.number} of {whose(lap)}, drawn out"
                onclick={() => (first = lap.id)}><LineMark on={first === lap.id} /></button
              >
              <button
                class="btn btn-ghost min-h-11 rounded-none border-l-2 px-3"
                aria-pressed={second === lap.id}
                aria-label="Lap {lap.number} of {whose(lap)}, dashed beside it"
                onclick={() => (second = second === lap.id ? 'page' : lap.id)}
                ><LineMark dashed on={second === lap.id} /></button
              >
            </li>
          {/each}
        </ul>
      </section>
    {/each}
    <div
      class={[
        'bg-base-200 border-base-content fixed inset-x-0 z-10 flex flex-wrap items-center gap-3 border-t-2 px-4 py-2',
        'max-desk:bottom-[calc(2.75rem+env(safe-area-inset-bottom))] bottom-0',
      ]}
    >
      <p class="figures grow leading-snug">
        <LineMark />
        <strong>{pick ? nameOf(pick) : 'pick a lap'}</strong>
        <LineMark dashed />
        <strong>{nameOf(other)}</strong>
        {#if other}<button class="btn btn-ghost px-2" onclick={() => (second = 'page')}
            >the page instead</button
          >{/if}
      </p>
      {#if first}
        <a
          class="btn btn-primary"
          href="/books/{book.id}/laps/beside?lap={first}&with={second}"
          data-lay-beside>Lay them together</a
        >
      {/if}
    </div>
  {:else if !working.problem}<p role="status" class="py-3">Looking for laps …</p>{/if}
</div>
