<!-- @component The line behind the leader on the lap that is driven, and who is next. -->
<script lang="ts">
  import { lapOfTurn, nextTurn, openFor } from './lead-day';
  import { useLead } from './lead-state.svelte';

  const desk = useLead();
  const lead = $derived(desk.lead!);
  const day = $derived(lead.day);
  const turn = $derived(lapOfTurn(lead.turns, day.lap));
  const next = $derived(nextTurn(lead.turns, day.lap));
  const away = $derived(day.drivers.filter((d) => !desk.line.includes(d.key)));
</script>

{#snippet driver(key: string, note: string)}
  <button
    class={[
      'flex min-h-14 w-full items-center gap-2 rounded border-2 px-3 py-1 text-left leading-tight',
      desk.driver?.key === key ? 'border-base-content' : 'border-base-300',
    ]}
    aria-pressed={desk.driver?.key === key}
    data-driver={key}
    onclick={() => (desk.chosen = key)}
  >
    <span class="min-w-0 grow">
      <span class="figures block text-xl font-semibold">{desk.nameOf(key)}</span>
      <span class="text-neutral text-sm">{note}</span>
    </span>
    {#if openFor(lead.remarks, key).length}
      <span class="figures text-lg">{openFor(lead.remarks, key).length} open</span>
    {/if}
  </button>
{/snippet}

<section class="desk:w-72 shrink-0" aria-label="The line">
  <div class="flex items-center gap-2">
    <button
      class="btn h-12 px-3"
      aria-label="One lap back"
      disabled={day.lap <= 1}
      onclick={() => desk.toLap(day.lap - 1)}>−</button
    >
    <p class="figures grow text-center text-2xl font-semibold" role="status" data-lap>
      lap {day.lap} of {day.laps}
    </p>
    <button
      class="btn btn-primary h-12 px-3"
      aria-label="Next lap"
      disabled={day.lap >= day.laps}
      onclick={() => desk.toLap(day.lap + 1)}>+ lap</button
    >
  </div>
  <p class="text-neutral py-1 text-sm">
    led at {Math.round(day.paceShare * 100)} % of the page’s speed
  </p>
  <ol class="flex flex-col gap-1" data-line>
    {#each desk.line as key, place (key)}
      <li>
        {@render driver(
          key,
          place === 0
            ? `behind you, lap ${turn?.[0]} of ${turn?.[1]} there`
            : `${place + 1}, ${day.drivers.find((d) => d.key === key)?.vehicle ?? ''}`,
        )}
      </li>
    {/each}
  </ol>
  {#if desk.line.length === 0}<p class="py-2">Nobody is on the road on this lap.</p>{/if}
  {#if next}
    <p class="figures pt-2 text-lg leading-snug" data-next>
      From lap {next.fromLap}: {next.order.length
        ? `${desk.nameOf(next.order[0])} behind you`
        : 'nobody'}
    </p>
  {/if}
  {#if away.length}
    <h3 class="text-neutral pt-2 text-sm">not on the road</h3>
    <ul class="flex flex-col gap-1">
      {#each away as d (d.key)}
        <li>
          {@render driver(
            d.key,
            d.fromLap > day.lap ? `comes on lap ${d.fromLap}` : `gone from lap ${d.goneFromLap}`,
          )}
        </li>
      {/each}
    </ul>
  {/if}
</section>
