<script lang="ts">
  import Header from '../ui/Header.svelte';
  import Menu from '../ui/Menu.svelte';
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

  const FILES = [
    ['circuit.geojson', 'Circuit GeoJSON'],
    ['centreline.csv', 'Centreline CSV'],
    ['marks.gpx', 'Marks as GPX'],
  ];
  const exports = $derived(
    FILES.map(([file, name]) => ({
      name,
      href: `/api/circuits/${circuit.id}/${file}`,
      as: 'download' as const,
    })),
  );

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
    <Menu items={exports} width="w-60">Export</Menu>
  {/snippet}
</Header>
{#if circuit.problem}
  <div class="px-4 pb-2">
    <Problem problem={circuit.problem} onclose={circuit.clear} />
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
