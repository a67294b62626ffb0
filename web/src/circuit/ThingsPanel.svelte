<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { preferences } from '../units/preferences.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import { cornersWithoutMarks } from './marks-wanted';
  import { nameOf, type Thing, type ThingKind } from './edits';

  const circuit = useCircuit();
  let kind = $state<ThingKind>('marks');
  const things = $derived(
    (circuit.edits![kind] as Thing[])
      .map((thing, index) => ({ thing, index }))
      .sort((a, b) => a.thing.fromM - b.thing.fromM),
  );
  const wanting = $derived(
    cornersWithoutMarks(circuit.view!.road, circuit.view!.corners, circuit.edits!.marks),
  );
  /** A place to look for something that a driver could brake by. */
  const LOOK_BEFORE_M = 100;
  const lookBefore = (station: number) => circuit.goTo(station - LOOK_BEFORE_M);
  const untrue = $derived(
    new Map(circuit.view!.untrueBoards.map((b) => [`${b.label}@${b.stationM.toFixed(0)}`, b])),
  );
  const boardOf = (thing: Thing) =>
    'label' in thing ? untrue.get(`${thing.label}@${thing.fromM.toFixed(0)}`) : undefined;
</script>

<section aria-label="Everything along the lap">
  <select class="select h-11 w-full" aria-label="Which things" bind:value={kind}>
    <option value="marks">marks ({circuit.edits!.marks.length})</option>
    <option value="kerbs">kerbs ({circuit.edits!.kerbs.length})</option>
    <option value="zones">surface ({circuit.edits!.zones.length})</option>
    <option value="hazards">hazards ({circuit.edits!.hazards.length})</option>
    <option value="corners">corners ({circuit.edits!.corners.length})</option>
    <option value="stretches">track limits ({circuit.edits!.stretches.length})</option>
  </select>
  {#if kind === 'marks' && wanting.length}
    <p class="border-base-300 my-1 rounded border px-3 py-1 leading-snug" data-wanting>
      <strong
        >{wanting.length === 1 ? 'One corner wants' : `${wanting.length} corners want`} a mark</strong
      >:
      {#each wanting as corner (corner.number)}
        <button class="link min-h-11 min-w-11 px-1" onclick={() => lookBefore(corner.fromM)}
          >{cornerName({ corner: corner.number, name: corner.name })}</button
        >
      {/each}
      Go there and add what stands beside the road.
    </p>
  {/if}
  <ul class="figures max-h-[300px] overflow-y-auto">
    {#each things as { thing, index } (index)}
      {@const board = boardOf(thing)}
      <li class="border-base-300 border-b">
        <button
          class="flex min-h-11 w-full items-center gap-2 text-left"
          onclick={() => circuit.pick({ kind, index })}
        >
          <span class="text-neutral w-16 shrink-0 text-right"
            >{preferences.lengthText(thing.fromM)}</span
          >
          <span class="grow"
            >{nameOf(kind, thing)}{board
              ? ` ▲ stands ${preferences.lengthText(board.standsM)} before corner ${board.corner}`
              : ''}</span
          >
        </button>
      </li>
    {:else}<li class="text-neutral py-2">None yet. Pick a metre and add one.</li>{/each}
  </ul>
</section>
