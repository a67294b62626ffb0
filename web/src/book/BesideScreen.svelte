<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import type { Beside, Side } from '../api/answers';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { route } from '../router';
  import Problem from '../ui/Problem.svelte';
  import { gain, lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import BesideChoice from './BesideChoice.svelte';
  import { besideWords } from './beside';
  import { useBook } from './book-state.svelte';

  const book = useBook();
  let beside = $state.raw<Beside>();
  const working = new Working();

  $effect(() => {
    const other = route.params.other!;
    beside = undefined;
    void working.run(async () => (beside = await api.beside(book.id, other)));
  });
  const KIND: Record<Side['kind'], string> = {
    STRAIGHT: 'a straight',
    LIFT: 'a lift',
    BRAKES: 'brakes',
  };
</script>

<svelte:head><title>Two books · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20">
  <div class="flex flex-wrap items-baseline gap-4">
    <h1 class="text-3xl font-bold">Two vehicles, one road</h1>
    <BesideChoice other={route.params.other} />
  </div>
  {#if working.problem}<Problem problem={working.problem} />{/if}
  {#if beside}
    <p class="figures py-1 text-xl">
      {beside.first} <strong>{lapTime(beside.firstLap_s)}</strong> · {beside.second}
      <strong>{lapTime(beside.secondLap_s)}</strong>, {gain(beside.secondLap_s - beside.firstLap_s)}
    </p>
    {#snippet side(s: Side)}
      <td class={['px-2', s.kind === 'STRAIGHT' && 'bg-base-300 font-semibold']}>{KIND[s.kind]}</td>
      <td class="px-2 text-right">{preferences.speedText(s.approachMps)}</td>
      <td class="px-2 text-right"
        ><strong>{preferences.speedText(s.lowestMps)}</strong>{s.leanDeg == null
          ? ''
          : ` · ${Math.round(s.leanDeg)}°`}</td
      >
      <td class="px-2 text-right">{s.gear}</td>
      <td class="border-base-300 border-r px-2 text-right">{s.timeS.toFixed(2)} s</td>
    {/snippet}
    <table class="figures w-full text-base" data-beside-table>
      <thead>
        <tr class="text-left">
          <th></th>
          <th colspan="5" class="px-2">{beside.first}</th>
          <th colspan="5" class="px-2">{beside.second}</th>
          <th></th>
        </tr>
        <tr class="border-base-content border-b-2 text-left text-sm">
          <th scope="col">corner</th>
          {#each [0, 1] as n (n)}
            <th scope="col" class="px-2">is</th>
            <th scope="col" class="px-2 text-right">comes in at</th>
            <th scope="col" class="px-2 text-right">lowest</th>
            <th scope="col" class="px-2 text-right">gear</th>
            <th scope="col" class="px-2 text-right">time</th>
          {/each}
          <th scope="col" class="px-2">so the second</th>
        </tr>
      </thead>
      <tbody>
        {#each beside.rows as row (row.corner)}
          <tr class="border-base-300 h-11 border-b">
            <th scope="row" class="text-left font-semibold">
              <a class="link" href="/books/{book.id}/corner/{row.corner}">{cornerName(row)}</a>
            </th>
            {@render side(row.first)}
            {@render side(row.second)}
            <td class="px-2 leading-tight">{besideWords(row, (m) => preferences.lengthText(m))}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="text-neutral pt-2">
      The newest revision of each book, in its own conditions. “Comes in at” is the speed at the
      brake point, without one at the turn-in.
    </p>
  {:else if !working.problem}<p class="p-4" role="status">Computing both laps …</p>{/if}
</div>
