<script lang="ts">
  import { api, Failed } from '../api/client';
  import type { KeptSession } from '../api/sessions';
  import { useBook } from '../book/book-state.svelte';
  import { route } from '../router';
  import SessionLinks from '../session/SessionLinks.svelte';
  import { hourWords, sessionName } from '../session/words';
  import { tabKeys } from '../ui/keys';
  import Problem from '../ui/Problem.svelte';
  import Stale from '../ui/Stale.svelte';
  import CallsPanel from './CallsPanel.svelte';
  import ConesPanel from './ConesPanel.svelte';
  import GroupPanel from './GroupPanel.svelte';
  import { LeadDesk, provideLead } from './lead-state.svelte';
  import RoadPanel from './RoadPanel.svelte';
  import SafetyBrief from './SafetyBrief.svelte';
  import SheetsPanel from './SheetsPanel.svelte';

  const TABS = [
    ['road', 'On the road'],
    ['group', 'Group'],
    ['cones', 'Cones and boards'],
    ['calls', 'Call-outs'],
    ['brief', 'Safety brief'],
    ['sheets', 'Sheets'],
  ] as const;
  const book = useBook();
  const desk = new LeadDesk(route.params.session!);
  provideLead(desk);
  let kept = $state.raw<KeptSession>();
  let tab = $state<(typeof TABS)[number][0]>('road');
  const left = $derived(desk.lead?.day.safetyBrief.filter((i) => !i.done).length ?? 0);

  async function load() {
    try {
      kept = await api.session(desk.session);
    } catch (e) {
      if (!(e instanceof Failed)) throw e;
      desk.problem = e.problem;
      return;
    }
    await desk.load();
    if (desk.lead?.day.drivers.length === 0) tab = 'group';
  }
  void load();
</script>

<svelte:head><title>Lead · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20">
  {#if desk.problem}<Problem
      problem={desk.problem}
      onclose={() => (desk.problem = undefined)}
    />{/if}
  {#if kept}
    <h1 class="text-3xl font-bold">{sessionName(kept)}, {hourWords(kept.session.startsAt)}</h1>
    <SessionLinks {kept} current="lead" />
  {/if}
  {#if desk.lead}
    <div class="flex items-end gap-1 pt-1" role="tablist" aria-label="Lead" {@attach tabKeys}>
      {#each TABS as [key, name] (key)}
        <button
          role="tab"
          id="lead-{key}"
          aria-selected={tab === key}
          aria-controls="lead-panel"
          class={[
            'figures min-h-10 border-b-4 px-4 text-lg',
            tab === key ? 'border-base-content font-semibold' : 'border-base-300',
          ]}
          onclick={() => (tab = key)}
          >{name}{key === 'brief' && left ? ` · ${left} to say` : ''}</button
        >
      {/each}
      <span class="grow"></span>
      {#if desk.past.length && tab !== 'road'}
        <button class="btn btn-ghost" onclick={desk.undo}>Undo</button>
      {/if}
    </div>
    <div id="lead-panel" role="tabpanel" aria-labelledby="lead-{tab}" class="pt-3">
      {#if tab === 'road'}<RoadPanel ongroup={() => (tab = 'group')} />
      {:else if tab === 'group'}<GroupPanel />
      {:else if tab === 'cones'}<ConesPanel />
      {:else if tab === 'calls'}<CallsPanel />
      {:else if tab === 'brief'}<SafetyBrief />
      {:else}<SheetsPanel />{/if}
    </div>
  {:else if !desk.problem}<p class="p-4" role="status">Looking up the group …</p>{/if}
</div>
{#if desk.stale}
  <Stale
    what={desk.stale.what}
    theirs={desk.stale.theirs}
    mine={desk.stale.mine}
    ontheirs={desk.takeTheirs}
    onmine={desk.keepMine}
  />
{/if}
