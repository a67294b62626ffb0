<script lang="ts">
  import { api } from '../api/client';
  import type { KeptSession } from '../api/sessions';
  import { useBook } from '../book/book-state.svelte';
  import { route } from '../router';
  import SessionLinks from '../session/SessionLinks.svelte';
  import { hourWords, sessionName } from '../session/words';
  import Problem from '../ui/Problem.svelte';
  import Stale from '../ui/Stale.svelte';
  import Tabs from '../ui/Tabs.svelte';
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
  const tabs = $derived(
    TABS.map(([key, name]) => ({
      key,
      name: key === 'brief' && left ? `${name} · ${left} to say` : name,
    })),
  );

  async function load() {
    const read = await desk.run(async () => (kept = await api.session(desk.session)));
    if (!read) return;
    await desk.load();
    if (desk.lead?.day.drivers.length === 0) tab = 'group';
  }
  void load();
</script>

<svelte:head><title>Lead · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20">
  {#if desk.problem}<Problem problem={desk.problem} onclose={desk.clear} />{/if}
  {#if kept}
    <h1 class="text-3xl font-bold">{sessionName(kept)}, {hourWords(kept.session.startsAt)}</h1>
    <SessionLinks {kept} current="lead" />
  {/if}
  {#if desk.lead}
    <Tabs label="Lead" id="lead" {tabs} bind:open={tab} panelClass="pt-3">
      {#snippet beside()}
        <span class="grow"></span>
        {#if desk.past.length && tab !== 'road'}
          <button class="btn btn-ghost" onclick={desk.undo}>Undo</button>
        {/if}
      {/snippet}
      {#if tab === 'road'}<RoadPanel ongroup={() => (tab = 'group')} />
      {:else if tab === 'group'}<GroupPanel />
      {:else if tab === 'cones'}<ConesPanel />
      {:else if tab === 'calls'}<CallsPanel />
      {:else if tab === 'brief'}<SafetyBrief />
      {:else}<SheetsPanel />{/if}
    </Tabs>
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
