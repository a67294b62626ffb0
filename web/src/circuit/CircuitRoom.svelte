<script lang="ts">
  import Header from '../ui/Header.svelte';
  import { controlKey, hasOwnKeys, plainKey } from '../ui/keys';
  import Problem from '../ui/Problem.svelte';
  import Stale from '../ui/Stale.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { CircuitState, provideCircuit } from './circuit-state.svelte';
  import CircuitDesk from './CircuitDesk.svelte';

  interface Props {
    /** Layout version that is opened; the room is made anew for another one. */
    id: string;
  }
  const { id }: Props = $props();
  // svelte-ignore state_referenced_locally
  const circuit = new CircuitState(id);
  provideCircuit(circuit);
  circuit.open();

  const withControl: Record<string, () => void> = {
    z: () => circuit.undo(),
    y: () => circuit.redo(),
  };
  const plain: Record<string, () => void> = {
    m: () => circuit.add('marks'),
    k: () => circuit.add('kerbs'),
    t: () => preferences.toggleTheme(),
  };

  function onkeydown(event: KeyboardEvent) {
    const control = controlKey(event);
    const action = control
      ? !hasOwnKeys(event.target) && withControl[control]
      : plain[plainKey(event) ?? ''];
    if (action) {
      event.preventDefault();
      action();
    }
  }
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{circuit.view?.name ?? 'Circuit'} · Marvek</title></svelte:head>
<Header>
  {#if circuit.view}
    {circuit.view.name}{circuit.view.layout ? `, ${circuit.view.layout}` : ''} · layout version {circuit
      .view.version}
  {/if}
  {#snippet actions()}
    <a class="btn btn-ghost" href="/circuits/{circuit.id}/walk">Walk</a>
    <details class="dropdown dropdown-end">
      <summary class="btn btn-ghost">Export</summary>
      <ul
        class="dropdown-content border-base-content bg-base-100 rounded-box z-20 w-60 border-2 p-2"
      >
        {#each [['circuit.geojson', 'Circuit GeoJSON'], ['centreline.csv', 'Centreline CSV'], ['marks.gpx', 'Marks as GPX']] as [file, name] (file)}
          <li>
            <a
              class="btn btn-ghost w-full justify-start"
              href="/api/circuits/{circuit.id}/{file}"
              download>{name}</a
            >
          </li>
        {/each}
      </ul>
    </details>
  {/snippet}
</Header>
{#if circuit.problem}
  <div class="px-4 pb-2">
    <Problem problem={circuit.problem} onclose={() => (circuit.problem = undefined)} />
  </div>
{/if}
{#if circuit.view}<CircuitDesk />{:else if !circuit.problem}
  <p class="p-8 text-lg" role="status">Opening the circuit …</p>
{/if}
{#if circuit.theirs !== undefined}
  <Stale
    what="The draft of this circuit"
    theirs={circuit.theirs ?? circuit.view!.edits}
    mine={circuit.edits}
    ontheirs={() => circuit.takeTheirs()}
    onmine={() => circuit.keepMine()}
    onclose={() => (circuit.theirs = undefined)}
  />
{/if}
