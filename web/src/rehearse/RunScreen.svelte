<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { onMount } from 'svelte';
  import { api } from '../api/client';
  import type { Help } from '../api/runs';
  import { useBook } from '../book/book-state.svelte';
  import { draftOf } from '../book/draft';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import RehearseHead from './RehearseHead.svelte';
  import { actOf, ACT_KEYS, padActs, padOf, type Pad } from './run-keys';
  import RunRoad from './RunRoad.svelte';
  import RunScore from './RunScore.svelte';
  import { RunDesk } from './run-state.svelte';
  import { offWords } from './run-words';

  const HELPS: readonly (readonly [Help, string])[] = [
    ['plates', 'all plates'],
    ['marks', 'marks only'],
    ['road', 'road only'],
    ['dark', 'dark, call-outs only'],
  ];
  const HEIGHT_PX = 600;
  const book = useBook();
  const desk = new RunDesk(book.id, async ({ revision }, share) => {
    const lap = await api.spoken(book.id, draftOf(revision), share, preferences.length);
    return lap.calls;
  });
  let road = $state<RunRoad>();
  let pad: Pad | undefined;
  const driving = $derived(desk.phase === 'counting' || desk.phase === 'running');
  const going = $derived(driving || desk.phase === 'paused');
  const names = $derived(new Map(desk.view?.revision.pages.map((p) => [p.corner, p.name])));
  const nameOf = (corner: number) => cornerName({ corner, name: names.get(corner) });
  const metres = (m: number) => preferences.lengthText(m);
  const shown = $derived(desk.done ?? desk.runs?.runs.at(-1));

  onMount(() => {
    let frame = requestAnimationFrame(function tick(stamp) {
      look(stamp);
      if (desk.runs && desk.runs.acts.length) road?.show(desk.tick(stamp));
      if (desk.runs && desk.help === 'dark' && going) desk.tick(stamp);
      frame = requestAnimationFrame(tick);
    });
    void desk.load();
    return () => cancelAnimationFrame(frame);
  });

  /** Buttons of a gamepad come with the frame; there are no events for them. */
  function look(stamp: number) {
    const found = navigator.getGamepads?.().find((g) => g?.connected);
    const now = found ? padOf(found) : undefined;
    if (pad && now) padActs(pad, now).forEach((kind) => desk.press(kind, stamp));
    pad = now;
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if ((event.target as HTMLElement).closest('input, select, textarea, dialog')) return;
    const act = actOf(event);
    if (going && ACT_KEYS.some((k) => k.key === event.key || k.key === event.key.toLowerCase())) {
      if (act) desk.press(act, event.timeStamp);
    } else if (event.key === 'Escape' && going) desk.pause(event.timeStamp);
    else if (event.key === ' ' && !event.repeat && desk.runs) {
      if (driving) desk.pause(event.timeStamp);
      else if (desk.phase === 'paused') desk.goOn(event.timeStamp);
      else if ((event.target as HTMLElement).closest('button, a')) return;
      else void desk.begin(event.timeStamp);
    } else return;
    event.preventDefault();
    event.stopImmediatePropagation();
  }
</script>

<svelte:window
  onkeydowncapture={onkeydown}
  onblur={() => desk.pause(performance.now(), 'the window lost the focus')}
/>
<svelte:head><title>Run-through · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-16">
  {#if desk.problem}<Problem problem={desk.problem} onclose={desk.clear} />{/if}
  <RehearseHead book={book.id} current="run">
    <span class="grow"></span>
    <label class="figures flex items-center gap-2 text-lg"
      >speed
      <select class="select h-11 w-24" data-speed bind:value={desk.share} disabled={going}>
        {#each [0.5, 0.6, 0.7, 0.8, 0.9, 1] as share (share)}
          <option value={share}>{Math.round(share * 100)} %</option>
        {/each}
      </select></label
    >
    <label class="figures flex items-center gap-2 text-lg"
      >shown
      <select class="select h-11 w-52" data-help bind:value={desk.help} disabled={going}>
        {#each HELPS as [help, name] (help)}<option value={help}>{name}</option>{/each}
      </select></label
    >
  </RehearseHead>
  {#if desk.runs && desk.runs.acts.length === 0}
    <p class="py-6 text-lg">
      This book has no corner in which anything is done: there is nothing to press. Look at its
      <a class="link" href="/books/{book.id}">lap</a>.
    </p>
  {:else if desk.runs && desk.view}
    <div class="desk:flex gap-5 pt-2">
      <div class="desk:w-[624px] relative shrink-0">
        {#if desk.help === 'dark'}
          <div
            class="border-base-300 figures desk:w-[620px] flex items-center justify-center rounded border-2 p-8 text-center text-4xl font-semibold"
            style:height="{HEIGHT_PX}px"
            data-call
          >
            {going ? (desk.call?.words ?? '') : 'Eyes on nothing: only the call-outs.'}
          </div>
        {:else}
          {#key desk.help}
            <RunRoad
              bind:this={road}
              trace={desk.view.trace}
              pages={desk.view.revision.pages}
              help={desk.help}
              height={HEIGHT_PX}
            />
          {/key}
        {/if}
        {#if desk.phase === 'counting'}
          <p
            class="figures bg-base-100 border-base-content absolute top-1/3 left-1/2 -translate-x-1/2 rounded border-2 px-8 text-8xl font-bold"
            role="status"
          >
            {desk.count}
          </p>
        {:else if desk.phase === 'paused'}
          <p
            class="bg-base-100 border-base-content absolute top-1/3 left-1/2 w-[min(24rem,90vw)] -translate-x-1/2 rounded border-2 p-4 text-center text-xl"
            role="status"
            data-paused
          >
            <strong>Paused</strong>{desk.why ? `: ${desk.why}` : ''}. Nothing is lost; space goes on
            after a count of three.
          </p>
        {/if}
      </div>
      <div class="min-w-0 grow">
        {#if going}
          <p class="figures h-24 text-3xl leading-tight" role="status" data-told>
            {#if desk.told?.act}
              {nameOf(desk.told.act.corner)},
              {ACT_KEYS.find((k) => k.kind === desk.told!.kind)!.name}:
              <strong>{offWords(desk.told.off_m!, metres)}</strong>
            {:else if desk.told}
              {ACT_KEYS.find((k) => k.kind === desk.told!.kind)!.name}:
              <strong>nothing to do here</strong>
            {/if}
          </p>
          <div class="grid grid-cols-2 gap-2" role="group" aria-label="What is done">
            {#each ACT_KEYS as k (k.kind)}
              <button
                class="btn figures h-24 touch-manipulation text-2xl"
                data-act={k.kind}
                onpointerdown={(e) => {
                  e.preventDefault();
                  desk.press(k.kind, e.timeStamp);
                }}><span class="text-3xl font-bold">{k.shown}</span> {k.name}</button
              >
            {/each}
          </div>
          <div class="flex gap-2 pt-3">
            {#if desk.phase === 'paused'}
              <button class="btn btn-primary" onclick={(e) => desk.goOn(e.timeStamp)}>Go on</button>
            {:else}
              <button class="btn" onclick={(e) => desk.pause(e.timeStamp)}>Pause (space)</button>
            {/if}
            <button class="btn btn-ghost" onclick={(e) => desk.end(e.timeStamp)}
              >End here, and score what was driven</button
            >
          </div>
        {:else}
          <div class="flex items-center gap-3">
            <button
              class="btn btn-primary h-14 px-6 text-lg"
              data-begin
              onclick={(e) => desk.begin(e.timeStamp)}>Begin the lap</button
            >
            <span class="text-neutral"
              >Or the space bar. Then {ACT_KEYS.map((k) => `${k.shown} ${k.name}`).join(', ')}; or
              the pads here, or a gamepad. What you never press is not asked.</span
            >
          </div>
          {#if desk.unkept !== undefined}
            <p role="alert" class="py-2">
              The run is not kept yet.
              <button class="btn" onclick={() => desk.keep(desk.unkept!)}>Keep it now</button>
            </p>
          {/if}
          {#if shown}
            <div class="flex items-baseline gap-3 pt-3">
              <p class="figures text-neutral grow" data-run-of>
                {new Date(shown.at).toLocaleString('en-GB', {
                  day: 'numeric',
                  month: 'short',
                  hour: '2-digit',
                  minute: '2-digit',
                })} · {Math.round(shown.speedShare * 100)} % of the speed · {HELPS.find(
                  ([h]) => h === shown.help,
                )![1]} · revision {shown.revision}{shown.until_s < desk.runs.lap_s - 0.1
                  ? ' · a part of the lap'
                  : ''}
              </p>
              <button class="btn btn-ghost" onclick={() => desk.forget(shown.id)}>Forget</button>
            </div>
            <RunScore run={shown} runs={desk.runs.runs} {nameOf} />
          {:else}
            <p class="pt-4 text-lg">
              The road comes at the speeds of your pages. Press each point as you reach it, and see
              by how many metres you knew it.
            </p>
          {/if}
        {/if}
      </div>
    </div>
  {:else if !desk.problem}<p class="p-4" role="status">Looking through the pages …</p>{/if}
</div>
