<script lang="ts">
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import { say } from '../say/every';
  import { preferences } from '../units/preferences.svelte';
  import FinishWalk from './FinishWalk.svelte';
  import NewNote from './NewNote.svelte';
  import WalkNotes from './WalkNotes.svelte';
  import type { WalkItem } from '../circuit/types';
  import { WalkState } from './walk-state.svelte';

  interface Props {
    /** Layout version that is walked. */
    id: string;
  }
  const { id }: Props = $props();
  // svelte-ignore state_referenced_locally
  const walk = new WalkState(id);
  walk.open();
  let station = $state<number>();
  let finishing = $state(false);
  const SIGNS: Record<string, string> = {
    MARK_MISSING: 'no mark',
    MARK_MOVES: 'may move',
    BOARD_UNTRUE: 'board',
    KERB_UNKNOWN: 'kerb',
    KERB_UNMEASURED: 'kerb',
    SHADOW_UNDATED: 'shadow',
    PAGE_TO_CHECK: 'check page',
  };
  const words = ({ why, corner, said }: WalkItem) =>
    why === 'PAGE_TO_CHECK' ? `corner ${corner}: ${say(said)}` : say(said);
</script>

<svelte:head><title>Walk · {walk.circuit?.name ?? ''} · Marvek</title></svelte:head>
<Header>
  {#if walk.circuit}
    Walk · {walk.circuit.name}, layout version {walk.circuit.version}
  {/if}
  {#snippet actions()}<a class="btn btn-ghost" href="/circuits/{id}">Circuit</a>{/snippet}
</Header>
<main class="mx-auto max-w-6xl px-4 pb-8">
  {#if walk.problem}
    <Problem problem={walk.problem} onclose={walk.clear} />
  {/if}
  {#if walk.walk && walk.circuit}
    <div class="flex items-center gap-4 pb-2">
      <h1 class="text-4xl font-bold">Track walk</h1>
      <p class="figures text-neutral grow text-lg">
        {walk.left} of {walk.walk.list.length} still to look at
      </p>
      {#if walk.begun}
        <button class="btn btn-primary h-12" onclick={() => (finishing = true)}>
          Finish the walk
        </button>
      {:else}
        <button class="btn btn-primary h-12" onclick={() => walk.begin()}>Begin the walk</button>
      {/if}
    </div>
    <p class="text-neutral pb-3">
      Walk only while the course is closed to vehicles and officials allow it. Not to be used while
      driving.
    </p>
    <div class="desk:grid-cols-[minmax(0,1fr)_420px] grid grid-cols-1 gap-6">
      <section aria-label="What to look at, in driving order">
        <ul class="text-[1.05rem]">
          {#each walk.walk.list as item (item.key)}
            {@const done = walk.walk.ticked.includes(item.key)}
            <li class="border-base-300 flex min-h-14 items-center gap-3 border-b py-1">
              <input
                type="checkbox"
                class="checkbox h-11 w-11 shrink-0"
                aria-label="Looked at: {words(item)}"
                checked={done}
                disabled={!walk.begun}
                onchange={(e) => walk.tick(item.key, e.currentTarget.checked)}
              />
              <span class="figures w-16 shrink-0 text-right text-lg font-semibold"
                >{preferences.lengthText(item.station_m)}</span
              >
              <span class="border-base-content figures w-24 shrink-0 rounded border text-center"
                >{SIGNS[item.why]}</span
              >
              <span class={['grow leading-snug', done && 'line-through opacity-70']}
                >{words(item)}</span
              >
              {#if walk.begun}
                <button class="btn" onclick={() => (station = item.station_m)}>Note</button>
              {/if}
            </li>
          {:else}
            <li class="py-4 text-lg">
              Nothing is in doubt here. Walk all the same: kerbs and surface change between visits.
            </li>
          {/each}
        </ul>
      </section>
      <div class="grid content-start gap-4">
        {#if walk.begun}
          <NewNote {walk} bind:station />
          <WalkNotes {walk} />
        {:else}
          <p class="text-lg leading-relaxed">
            Begin the walk, tick off what you looked at, and note what you see: station, side, a
            photo. Waypoints of a telephone are matched to the lap. Finishing makes a new layout
            version with a list of what changed.
          </p>
        {/if}
      </div>
    </div>
  {:else if !walk.problem}<p class="p-4 text-lg" role="status">Opening the walk …</p>{/if}
</main>
{#if finishing}<FinishWalk {walk} onclose={() => (finishing = false)} />{/if}
