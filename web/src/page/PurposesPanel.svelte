<script lang="ts">
  import type { InsideEntry } from '../api/sessions';
  import { PURPOSES } from '../session/words';
  import { between } from '../strip/lap-axis';
  import { useBook } from '../book/book-state.svelte';
  import { gain } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { shiftWords } from './day-words';
  import { usePage } from './page-context';
  import type { Panels } from './panels.svelte';

  const { panels }: { panels: Panels } = $props();
  const page = usePage();
  const book = useBook();
  const corner = $derived(page().corner);
  const length = (m: number) => preferences.lengthText(m);
  const writer = { length, speed: (v: number) => preferences.speedText(v) };
  const defend = $derived(panels.purposes?.defend.find((e) => e.corner === corner));
  const attack = $derived(panels.purposes?.attack.find((e) => e.corner === corner));
  const savings = $derived(panels.purposes?.saving ?? []);
  const place = $derived(savings.findIndex((s) => s.corner === corner));
  const percent = (share: number, decimals = 1) => `${(100 * share).toFixed(decimals)} %`;

  /** Where an inside entry ends, told from the apex. */
  function ends(entry: InsideEntry): string {
    const by = between(book.view!.trace, page().apexes[0].at_m, entry.endsAt_m);
    if (Math.abs(by) < 1) return 'widest at the apex';
    return `widest ${length(Math.abs(by))} ${by < 0 ? 'before' : 'past'} the apex`;
  }
</script>

{#snippet line(name: string, means: string, words: string, cost: number, lap?: number)}
  <li
    class="border-base-300 flex items-start max-[340px]:flex-wrap gap-3 border-b py-1.5"
    data-purpose={name}
  >
    <p class="w-40 shrink-0 leading-tight">
      <span class="figures block text-lg font-semibold">{name}</span>
      <span class="text-neutral text-sm">{means}</span>
    </p>
    <p class="min-w-0 grow leading-snug">{words}.</p>
    <p class="figures w-28 shrink-0 text-right leading-tight">
      <strong>{gain(cost)}</strong>
      {#if lap !== undefined}<span class="text-neutral block text-sm">lap {gain(lap)}</span>{/if}
    </p>
  </li>
{/snippet}
{#snippet inside(entry: InsideEntry, name: string, means: string)}
  {@render line(
    name,
    means,
    `brake ${length(Math.abs(entry.brakeEarlier_m))} ${entry.brakeEarlier_m < 0 ? 'later' : 'earlier'}, ` +
      `${writer.speed(entry.lowest_mps)} at the lowest, ${ends(entry)}, out ${writer.speed(
        Math.abs(entry.exitSlower_mps),
      )} ${entry.exitSlower_mps < 0 ? 'faster' : 'slower'}`,
    entry.lost_s,
  )}
{/snippet}

{#if panels.purposes}
  <ul data-purposes>
    {#each panels.purposes.laps as on (on.day)}
      {@const shift = on.shifts.find((s) => s.corner === corner)}
      {#if shift}
        {@render line(
          PURPOSES[on.day].name,
          PURPOSES[on.day].means,
          shiftWords(shift, writer),
          shift.lost_s,
          on.lost_s,
        )}
      {/if}
    {/each}
    {#if defend}{@render inside(defend, 'Defending', 'from the inside, with grip in hand')}{/if}
    {#if attack}{@render inside(attack, 'Attacking', 'from the inside, with all of the grip')}{/if}
  </ul>
  {#if !defend}
    <p class="py-1.5">Nobody gets alongside here: no inside entry is worked out.</p>
  {/if}
  {#if place >= 0}
    {@const saving = savings[place]}
    <p class="py-1.5 leading-snug" data-saving>
      <strong>Where to save tyres:</strong>
      {percent(saving.workShare)} of the lap's tyre work is done here.
      {#each saving.cuts as cut (cut.lessGrip)}
        {percent(cut.lessGrip, 0)} less grip saves {percent(cut.savedShare, 2)} of the lap's work for
        {cut.lost_s.toFixed(2)} s.
      {/each}
      A tenth buys most at corner {savings
        .slice(0, 3)
        .map((s) => s.corner)
        .join(', then ')}; this one is number {place + 1} of {savings.length}.
    </p>
  {/if}
  <p class="text-neutral pt-1 leading-snug">
    Model against model. Racing room, flags and the rules on moving come first; what another driver
    does, no model knows.
  </p>
{/if}
