<script lang="ts">
  import type { LapFile } from '../api/laps';
  import { say } from '../say/every';
  import FileButton from '../ui/FileButton.svelte';
  import LongWork from '../ui/LongWork.svelte';
  import Popover from '../ui/Popover.svelte';
  import type { DebriefDesk } from './debrief-state.svelte';
  import WhoseFields from './WhoseFields.svelte';

  const { desk, files }: { desk: DebriefDesk; files: LapFile[] } = $props();
  const base = $derived(`/api/sessions/${desk.session}/simulated.laps.csv`);
  let loggerOpen = $state(false);
  /** What the simulated logger can be, and what is wrong with each. */
  const LOGGERS: [kind: string, words: string][] = [
    ['full', 'Pedals and forces, 100 times a second'],
    ['mixed', 'Each channel at its own rate, lines above the headers'],
    ['late', 'Positions 0.3 s late and 4 m off'],
    ['rough', 'Noisy positions, worn sensors'],
    ['stint', 'A stint with a stop and slow laps'],
    ['position', 'Positions, 10 times a second'],
    ['telephone', 'A telephone’s log, once a second'],
  ];
  const LAPS = '.csv,.txt,.log,.nmea,.gpx,.gz,.zip,text/csv';
</script>

<div class="flex flex-wrap items-center gap-2 py-1">
  <FileButton accept={LAPS} data-laps-in onfile={(file) => desk.take(file)}
    >Bring in laps</FileButton
  >
  {#if desk.looking}<span role="status">Looking at {desk.looking} …</span>{/if}
  {#if desk.taking}
    <LongWork
      label="Bringing in laps"
      share={desk.taking.share < 1 ? desk.taking.share : undefined}
      oncancel={() => desk.taking?.abort.abort()}
    >
      {desk.taking.share < 1 ? 'Bringing in' : 'Reading'}
      {desk.taking.name}
    </LongWork>
  {/if}
  <Popover data-logger bind:open={loggerOpen}>
    {#snippet button()}Simulated logger{/snippet}
    <p class="pb-1">
      It drives this book with a person's errors and stands in for a logger of your own.
    </p>
    {#each LOGGERS as [kind, words] (kind)}
      <a
        class="btn btn-ghost w-full justify-start"
        href="{base}?laps=6&kind={kind}&seed={files.length + 1}"
        download>{words}</a
      >
    {/each}
    <button
      class="btn btn-ghost w-full justify-start"
      disabled={desk.live?.running}
      onclick={() => {
        loggerOpen = false;
        void desk.startLive();
      }}>Live: laps as they are driven, 20 times faster</button
    >
  </Popover>
  {#if desk.live?.running}
    <span role="status" class="figures" data-live
      >● live: {desk.live.rows.toLocaleString('en')} samples, {desk.live.laps} laps</span
    >
    <button class="btn btn-ghost" onclick={desk.stopLive}>Stop</button>
  {:else if desk.live?.problem}
    <span role="status" class="text-error">The logger's line ended: {say(desk.live.problem)}</span>
  {/if}
  {#each files as file (file.id)}
    <Popover class="btn btn-ghost figures" width="w-[26rem]" data-file={file.name}>
      {#snippet button()}{file.name}{file.corrections.length ? ' ▲' : ''}{/snippet}
      <label class="flex items-center gap-2 pb-2">
        <span>Called</span>
        <input
          class="input h-11 min-w-0 grow"
          aria-label="What {file.name} is called"
          maxlength="120"
          value={file.name}
          onchange={(e) => {
            const name = e.currentTarget.value.trim();
            if (name) void desk.rename(file.id, name);
            else e.currentTarget.value = file.name;
          }}
        />
      </label>
      <WhoseFields
        whose={{ driver: file.driver, vehicle: file.vehicle }}
        known={desk.debrief?.drivers ?? []}
        onwhose={(whose) => desk.sayWhose(file.id, whose)}
      />
      <p class="pt-2">
        {file.samples.toLocaleString('en')} samples; taken: {file.used.join(', ')}.
      </p>
      {#if file.unknown.length}<p>Not known and left out: {file.unknown.join(', ')}.</p>{/if}
      {#each file.missing as said (said.code)}<p class="text-neutral">{say(said)}</p>{/each}
      {#each file.corrections as said, i (i)}
        <p class="text-warning font-semibold">▲ {say(said)}</p>
      {:else}<p class="text-neutral">Nothing had to be put right.</p>{/each}
      <div class="flex gap-2 pt-2">
        <a class="btn btn-ghost" href="/api/laps/{file.id}/file" download>As it was brought in</a>
        <button class="btn btn-ghost text-error" onclick={() => desk.remove(file.id)}
          >Put {file.name} away</button
        >
      </div>
    </Popover>
  {/each}
</div>
