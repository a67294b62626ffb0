<script lang="ts">
  import { useBook } from '../book/book-state.svelte';
  import type { DrivenLap } from '../api/laps';
  import { useOwnLine } from '../book/own-line.svelte';
  import { navigate, route } from '../router';
  import SessionLinks from '../session/SessionLinks.svelte';
  import { hourWords, sessionName } from '../session/words';
  import Problem from '../ui/Problem.svelte';
  import { gainOver, lapTime } from '../units/format';
  import CornerPanel from './CornerPanel.svelte';
  import CornerTable from './CornerTable.svelte';
  import { DebriefDesk } from './debrief-state.svelte';
  import FindingsList from './FindingsList.svelte';
  import LapChips from './LapChips.svelte';
  import LapFiles from './LapFiles.svelte';
  import LapPreviewDialog from './LapPreviewDialog.svelte';
  import { surfaceWords, whoseWords } from './lap-words';
  import TimeBand from './TimeBand.svelte';

  const book = useBook();
  const desk = new DebriefDesk(book.id, route.params.session!);
  void desk.begin();
  const own = useOwnLine();

  async function takeLine(lap: DrivenLap) {
    if (await own.ofLap(lap.file, lap.number)) {
      await navigate('/books/:id', { params: { id: book.id } });
    }
  }
  const choose = (corner: number) => (desk.chosen = corner);
</script>

<svelte:head><title>Debrief · {book.book!.name} · Marvek</title></svelte:head>
<div
  class="pb-20"
  role="presentation"
  ondragover={(e) => e.preventDefault()}
  ondrop={(e) => {
    e.preventDefault();
    void desk.take(e.dataTransfer?.files[0]);
  }}
>
  {#if desk.problem}
    <Problem problem={desk.problem} onclose={desk.clear} />
  {/if}
  {#if own.problem}
    <Problem problem={own.problem} onclose={own.clear} />
  {/if}
  {#if desk.asking}
    <LapPreviewDialog
      asking={desk.asking}
      known={desk.debrief?.drivers ?? []}
      onmap={desk.map}
      onpoint={desk.point}
      onwhose={desk.nameWhose}
      ontake={desk.takeAsked}
      onclose={() => (desk.asking = undefined)}
    />
  {/if}
  {#if desk.kept && desk.debrief && desk.view}
    {@const { kept, debrief, view } = desk}
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h1 class="text-3xl font-bold">{sessionName(kept)}, {hourWords(kept.session.startsAt)}</h1>
      {#if desk.best}
        <p class="figures text-lg" data-best>
          best <strong class="text-2xl">{lapTime(desk.best.time_s!)}</strong>, {gainOver(
            desk.best.time_s! - debrief.lap_s,
            'the page',
          )}
          {#if desk.together !== undefined}· best corners joined {lapTime(desk.together)}{/if}
        </p>
      {/if}
    </div>
    <SessionLinks {kept} current="debrief" />
    <LapFiles {desk} files={debrief.files} />
    {#if debrief.drivers.length > 1}
      <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Whose laps">
        {#each debrief.drivers as whose (whoseWords(whose))}
          {@const current = whose.driver === debrief.driver && whose.vehicle === debrief.vehicle}
          <button
            class={['btn', current ? 'btn-primary' : 'btn-ghost']}
            aria-pressed={current}
            data-driver={whoseWords(whose)}
            onclick={() => desk.look(whose)}>{whoseWords(whose)}</button
          >
        {/each}
        <span class="text-neutral">Laps of two drivers or vehicles are never taken together.</span>
      </div>
    {/if}
    {#if debrief.seems}
      {@const { surface, seems } = debrief}
      <div class="flex flex-wrap items-center gap-2 py-1" data-seems={seems}>
        <p class="text-warning text-lg font-semibold">▲ {surfaceWords(surface, seems)}</p>
        <button class="btn" onclick={() => desk.saySurface(seems)}>It was {seems} after all</button>
      </div>
    {/if}
    {#if debrief.laps.length === 0}
      <p class="max-w-3xl py-4 text-lg">
        No laps yet. Drop a logger's or a telephone's file here: a table (CSV), a receiver's log
        (NMEA), a track with times (GPX). A time and a position, or a speed and the distance of the
        lap, are enough; pedals and gears say more. Without a logger, the simulated one drives this
        book with a person's errors.
      </p>
    {:else}
      <LapChips laps={debrief.laps} best={desk.best} onsay={desk.sayKind} online={takeLine} />
      {#if desk.laps.length === 0}
        <p class="py-4 text-lg">
          No flying lap is counted: say of one that it counts, or bring in a longer recording.
        </p>
      {:else}
        <TimeBand {view} corners={desk.corners} chosen={desk.corner!} onchoose={choose} />
        <div class="desk:flex gap-4 pt-1">
          <div class="min-w-0 grow">
            {#if debrief.seems}
              <p class="text-neutral py-2 text-lg" data-findings-wait>
                Findings wait until laps and page are of the same road.
              </p>
            {:else}
              <FindingsList
                causes={desk.causes}
                pages={view.revision.pages}
                laps={desk.laps}
                onchoose={choose}
                ondismiss={desk.dismiss}
                onrestore={desk.takeBack}
                onguess={desk.guess}
                bind:guessing={desk.guessing}
              />
            {/if}
            <CornerTable
              pages={view.revision.pages}
              corners={desk.corners}
              chosen={desk.corner!}
              onchoose={choose}
            />
          </div>
          {#if desk.page}
            <div class="desk:w-[500px] shrink-0">
              <CornerPanel {desk} page={desk.page} {view} />
            </div>
          {/if}
        </div>
      {/if}
    {/if}
  {:else if !desk.problem}<p class="p-4" role="status">Reading the laps …</p>{/if}
</div>
