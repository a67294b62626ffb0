<script lang="ts">
  import Tabs from '../ui/Tabs.svelte';
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
  let panel = $state<(typeof TABS)[number]['key']>('things');
  let light = $state.raw<LightView>();
  let measuring = $state(false);
  const kinds: [ThingKind, string][] = [
    ['marks', 'Mark'],
    ['kerbs', 'Kerb'],
    ['zones', 'Surface'],
    ['hazards', 'Hazard'],
    ['corners', 'Corner'],
    ['stretches', 'Limits'],
  ];
  const TABS = [
    { key: 'things', name: 'Along the lap' },
    { key: 'light', name: 'Light' },
    { key: 'versions', name: 'Versions' },
  ] as const;
</script>

<main class="desk:grid-cols-[430px_minmax(0,1fr)_330px] grid grid-cols-1 gap-4 px-4 pb-20">
  <div class="desk:sticky desk:top-1 self-start">
    <LapStrip />
  </div>
  <div class="min-w-0">
    <h1 class="sr-only">{circuit.view!.name}</h1>
    <PlanView {light} />
    <Profile />
    <Tabs label="More of the circuit" id="circuit" tabs={TABS} bind:open={panel} panelClass="pt-2">
      {#if panel === 'things'}<ThingsPanel />{:else if panel === 'light'}<LightPanel
          bind:light
        />{:else}<VersionsPanel />{/if}
    </Tabs>
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
