<script lang="ts">
  import { tabKeys } from '../ui/keys';
  import { useCircuit } from './circuit-state.svelte';
  import DetailsForm from './DetailsForm.svelte';
  import type { ThingKind } from './edits';
  import Inspector from './Inspector.svelte';
  import LapStrip from './LapStrip.svelte';
  import LayoutBar from './LayoutBar.svelte';
  import LightPanel from './LightPanel.svelte';
  import PlanView from './PlanView.svelte';
  import Profile from './Profile.svelte';
  import Readout from './Readout.svelte';
  import ThingsPanel from './ThingsPanel.svelte';
  import type { LightView } from './types';
  import VersionsPanel from './VersionsPanel.svelte';
  import WidthTool from './WidthTool.svelte';

  const circuit = useCircuit();
  let panel = $state<'things' | 'light' | 'versions'>('things');
  let light = $state.raw<LightView>();
  let measuring = $state(false);
  const kinds: [ThingKind, string][] = [
    ['marks', 'Mark'],
    ['kerbs', 'Kerb'],
    ['zones', 'Surface'],
    ['hazards', 'Hazard'],
    ['corners', 'Corner'],
  ];
  const panels: ['things' | 'light' | 'versions', string][] = [
    ['things', 'Along the lap'],
    ['light', 'Light'],
    ['versions', 'Versions'],
  ];
</script>

<main class="grid grid-cols-[430px_minmax(0,1fr)_330px] gap-4 px-4 pb-20">
  <div class="sticky top-1 self-start">
    <LapStrip />
  </div>
  <div class="min-w-0">
    <h1 class="sr-only">{circuit.view!.name}</h1>
    <PlanView {light} />
    <Profile />
    <div
      class="flex items-center gap-1 pt-1"
      role="tablist"
      aria-label="More of the circuit"
      {@attach tabKeys}
    >
      {#each panels as [key, name] (key)}
        <button
          role="tab"
          aria-selected={panel === key}
          class={['btn', panel === key ? 'btn-primary' : 'btn-ghost']}
          onclick={() => (panel = key)}>{name}</button
        >
      {/each}
    </div>
    <div class="pt-2" role="tabpanel" aria-label={panel}>
      {#if panel === 'things'}<ThingsPanel />{:else if panel === 'light'}<LightPanel
          bind:light
        />{:else}<VersionsPanel />{/if}
    </div>
  </div>
  <div class="grid content-start gap-3">
    <Readout />
    {#if circuit.isNewest}
      <div role="group" aria-label="Add at this metre" class="flex flex-wrap gap-1">
        <span class="figures text-neutral w-full font-semibold">add here</span>
        {#each kinds as [kind, name] (kind)}
          <button class="btn px-2" onclick={() => circuit.add(kind)}>{name}</button>
        {/each}
        <button class="btn px-2" onclick={() => (measuring = true)}>Width</button>
      </div>
      {#if measuring}<WidthTool onclose={() => (measuring = false)} />{/if}
      {#if circuit.thing}<Inspector />{:else}
        <DetailsForm />
        <p class="text-neutral leading-snug">
          Pick a metre on the strip, the plan or the profile. Take hold of a thing and move it; its
          ends move alone. <kbd class="figures">M</kbd> adds a mark, <kbd class="figures">K</kbd> a kerb.
          Kerbs and run-off are looked at on a walk before they are used at speed.
        </p>
      {/if}
    {:else}
      <p class="font-semibold">
        An earlier version: it stays as it was. <a
          class="link"
          href="/circuits/{circuit.view!.newestId}">Open the newest</a
        >
      </p>
    {/if}
  </div>
</main>
<LayoutBar />
