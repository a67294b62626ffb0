<script lang="ts">
  import { api, Failed } from '../api/client';
  import type { Debrief } from '../api/laps';
  import type { KeptSession } from '../api/sessions';
  import type { Problem as ProblemType, View } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { route } from '../router';
  import SessionLinks from '../session/SessionLinks.svelte';
  import { hourWords, sessionName } from '../session/words';
  import type { OtherLine } from '../strip/other-lines';
  import Strip from '../strip/Strip.svelte';
  import Problem from '../ui/Problem.svelte';
  import { gain, lapTime } from '../units/format';
  import CornerTable from './CornerTable.svelte';
  import { cornersOf, flying, joined, places } from './debrief';
  import FindingsList from './FindingsList.svelte';
  import LapChips from './LapChips.svelte';
  import LapFiles from './LapFiles.svelte';
  import TimeBand from './TimeBand.svelte';

  const book = useBook();
  const id = route.params.session!;
  let kept = $state.raw<KeptSession>();
  let debrief = $state.raw<Debrief>();
  /** The revision that the laps are read against. */
  let view = $state.raw<View>();
  let problem = $state<ProblemType>();
  let chosen = $state(0);
  /** Laps that are left out by the driver, as file and number. */
  let left = $state.raw<string[]>([]);
  let taking = $state<AbortController>();

  const key = (lap: { file: string; number: number }) => `${lap.file}.${lap.number}`;
  const laps = $derived(debrief ? flying(debrief).filter((lap) => !left.includes(key(lap))) : []);
  const corners = $derived(debrief && view ? cornersOf(debrief, laps, view.trace) : []);
  const best = $derived(laps.length ? Math.min(...laps.map((lap) => lap.time_s)) : undefined);
  const together = $derived(joined(corners));
  const costliest = $derived(
    corners.reduce((most, c) => ((c.lost_s ?? 0) > (most?.lost_s ?? 0) ? c : most), corners[0]),
  );
  const corner = $derived(chosen || costliest?.corner);
  const page = $derived(view?.revision.pages.find((p) => p.corner === corner));
  const scatters = $derived(
    view && corner
      ? [
          { letter: 'B', name: 'brake on', field: 'brakeOn_m' as const },
          { letter: 'R', name: 'brake off', field: 'release_m' as const },
          { letter: 'A', name: 'slowest', field: 'lowestAt_m' as const },
          { letter: 'D', name: 'first throttle', field: 'throttleFirst_m' as const },
        ].map(({ letter, name, field }) => ({
          letter,
          name,
          stations: places(laps, corner, field, view!.trace),
        }))
      : [],
  );

  /** The line of the best lap that counts, where its positions tell. */
  let line = $state.raw<OtherLine>();
  const bestLap = $derived(laps.find((lap) => lap.time_s === best));
  $effect(() => {
    const lap = bestLap;
    line = undefined;
    if (!lap) return;
    api.lapLine(lap.file, lap.number).then((answer) => {
      if (lap !== bestLap || answer.offset_m.length === 0) return;
      line = {
        letters: `L${lap.number}`,
        name: `lap ${lap.number} as it was driven`,
        from_m: answer.step_m / 2,
        step_m: answer.step_m,
        offset_m: answer.offset_m,
        dash: '9 4',
      };
    }, fail);
  });

  async function load() {
    try {
      kept ??= await api.session(id);
      const answer = await api.debrief(id, left);
      if (view?.revision.number !== answer.revision) {
        view = await api.view(book.id, answer.revision);
      }
      debrief = answer;
    } catch (e) {
      fail(e);
    }
  }
  load();

  function fail(e: unknown) {
    if (!(e instanceof Failed)) throw e;
    problem = e.problem;
  }

  async function take(file: File | undefined) {
    if (!file) return;
    problem = undefined;
    taking = new AbortController();
    try {
      await api.addLaps(id, file, taking.signal);
      await load();
    } catch (e) {
      if ((e as Error).name !== 'AbortError') fail(e);
    } finally {
      taking = undefined;
    }
  }

  async function remove(file: string) {
    try {
      await api.removeLaps(file);
      await load();
    } catch (e) {
      fail(e);
    }
  }

  function toggle(lap: { file: string; number: number }) {
    const k = key(lap);
    left = left.includes(k) ? left.filter((l) => l !== k) : [...left, k];
    void load();
  }
</script>

<svelte:head><title>Debrief · {book.book!.name} · Marvek</title></svelte:head>
<div
  class="pb-20"
  role="presentation"
  ondragover={(e) => e.preventDefault()}
  ondrop={(e) => {
    e.preventDefault();
    void take(e.dataTransfer?.files[0]);
  }}
>
  {#if problem}<Problem {problem} onclose={() => (problem = undefined)} />{/if}
  {#if kept && debrief && view}
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h1 class="text-3xl font-bold">{sessionName(kept)}, {hourWords(kept.session.startsAt)}</h1>
      {#if best !== undefined}
        <p class="figures text-lg" data-best>
          best <strong class="text-2xl">{lapTime(best)}</strong>, {gain(best - debrief.lap_s)} than the
          page
          {#if together !== undefined}· best corners joined {lapTime(together)}{/if}
        </p>
      {/if}
    </div>
    <SessionLinks {kept} current="debrief" />
    <LapFiles
      session={id}
      files={debrief.files}
      taking={taking !== undefined}
      ontake={take}
      oncancel={() => taking?.abort()}
      onremove={remove}
    />
    {#if debrief.laps.length === 0}
      <p class="max-w-3xl py-4 text-lg">
        No laps yet. Drop a logger's CSV here: a time, a speed, and a position or the distance of
        the lap are enough; pedals and gears say more. Without a logger, the simulated one drives
        this book with a person's errors.
      </p>
    {:else}
      <LapChips laps={debrief.laps} {left} {best} ontoggle={toggle} />
      {#if laps.length === 0}
        <p class="py-4 text-lg">
          No flying lap is counted: tick one, or bring in a longer recording.
        </p>
      {:else}
        <TimeBand {view} {corners} chosen={corner} onchoose={(c) => (chosen = c)} />
        <div class="flex gap-4 pt-1">
          <div class="min-w-0 grow">
            <FindingsList
              findings={debrief.findings}
              pages={view.revision.pages}
              laps={laps.length}
              onchoose={(c) => (chosen = c)}
            />
            <CornerTable
              pages={view.revision.pages}
              {corners}
              chosen={corner}
              onchoose={(c) => (chosen = c)}
            />
          </div>
          {#if page}
            <div class="w-[500px] shrink-0">
              <h2 class="text-2xl font-bold">{page.corner} {page.name}</h2>
              <Strip {page} trace={view.trace} height={560} {scatters} lines={line ? [line] : []} />
              <p class="text-neutral text-sm">
                A tick for each lap: B brake on, R brake off, A slowest, D first throttle; the
                plates are the page's. Pressure comes a foot's way after the plate. Dashed: the line
                of the best lap.
              </p>
            </div>
          {/if}
        </div>
      {/if}
    {/if}
  {:else if !problem}<p class="p-4" role="status">Reading the laps …</p>{/if}
</div>
