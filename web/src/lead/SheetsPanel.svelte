<!-- @component A sheet for each driver at the end of the day. -->
<script lang="ts">
  import { useLead } from './lead-state.svelte';

  const desk = useLead();
  const lead = $derived(desk.lead!);
  function counted(key: string) {
    const his = lead.remarks.filter((r) => r.driver === key);
    const asked = his.filter((r) => !r.good);
    return {
      praise: his.length - asked.length,
      said: asked.length,
      taken: asked.filter((r) => r.state === 'taken').length,
      open: asked.filter((r) => r.state === 'open').length,
    };
  }
</script>

{#if lead.day.drivers.length === 0}
  <p class="py-2 text-lg">Nobody is in the group yet, so there is no sheet.</p>
{/if}
<ul class="max-w-4xl" data-sheets>
  {#each lead.day.drivers as d (d.key)}
    {@const c = counted(d.key)}
    <li class="border-base-300 flex items-center gap-4 border-b py-2">
      <span class="min-w-0 grow">
        <span class="figures block text-xl font-semibold">{d.name}</span>
        <span class="text-neutral">{d.vehicle}</span>
      </span>
      <span class="figures text-lg"
        >{c.taken} of {c.said} taken, {c.open} open{c.praise ? `, ${c.praise} praised` : ''}</span
      >
      <a
        class="btn"
        href="/api/sessions/{desk.session}/lead/{d.key}/sheet.pdf"
        target="_blank"
        data-sheet={d.key}>Sheet (PDF)</a
      >
    </li>
  {/each}
</ul>
<p class="text-neutral max-w-4xl pt-3 leading-snug">
  What was good, three things to work on, and how each corner went: by the remarks, and by laps
  where a file is given to the driver (Group).
</p>
