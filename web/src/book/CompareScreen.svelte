<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { Source, View } from '../api/types';
  import Problem from '../ui/Problem.svelte';
  import SourceTag from '../ui/SourceTag.svelte';
  import { gain, lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import BesideChoice from './BesideChoice.svelte';
  import { useBook } from './book-state.svelte';
  import { compareCar, compareConditions, compareRevisions } from './compare';

  const book = useBook();
  const numbers = book.book!.revisions.map((r) => r.number);
  let earlier = $state(numbers[numbers.length - 2] ?? numbers[0]);
  let later = $state(numbers[numbers.length - 1]);
  let pair = $state.raw<[View, View]>();
  const working = new Working();

  const load = (a: number, b: number) =>
    working.run(async () => {
      pair = await Promise.all([api.view(book.id, a), api.view(book.id, b)]);
    });
  $effect(() => void load(earlier, later));

  function choose(which: 'earlier' | 'later', value: number) {
    if (which === 'earlier') earlier = value;
    else later = value;
  }

  const { writer } = preferences;
  const corners = $derived(pair ? compareRevisions(pair[0], pair[1], writer) : []);
  const conditions = $derived(
    pair
      ? [
          ...compareCar(pair[0].revision, pair[1].revision),
          ...compareConditions(pair[0].revision.conditions, pair[1].revision.conditions, writer),
        ]
      : [],
  );
</script>

<svelte:head><title>Compare · {book.book!.name} · Marvek</title></svelte:head>
{#snippet choice(label: string, which: 'earlier' | 'later', value: number)}
  <label class="figures flex items-center gap-2 text-lg">
    {label}
    <select
      class="select h-11 w-40"
      {value}
      onchange={(e) => choose(which, Number(e.currentTarget.value))}
    >
      {#each numbers as n (n)}<option value={n}>revision {n}</option>{/each}
    </select>
  </label>
{/snippet}

<div class="max-w-5xl pb-20">
  <h1 class="mb-2 text-3xl font-bold">What changed</h1>
  <div class="flex flex-wrap gap-4">
    {@render choice('from', 'earlier', earlier)}
    {@render choice('to', 'later', later)}
    <BesideChoice />
  </div>
  {#if working.problem}<Problem problem={working.problem} />{/if}
  {#if numbers.length < 2}
    <p class="mt-4 text-lg">
      Only one revision so far. Change a point on a page and keep it: then there are two.
    </p>
  {:else if pair}
    <p class="figures mt-3 text-xl">
      {lapTime(pair[0].revision.lap.time_s)} →
      <strong>{lapTime(pair[1].revision.lap.time_s)}</strong>:
      {gain(pair[1].revision.lap.time_s - pair[0].revision.lap.time_s)}
    </p>
    <p>
      Revision {pair[0].revision.number}: {pair[0].revision.reason}<br />Revision {pair[1].revision
        .number}: {pair[1].revision.reason}
    </p>
    <table class="figures mt-3 w-full text-lg">
      <thead>
        <tr class="border-base-content border-b-2 text-left">
          <th class="w-52">corner</th><th class="w-36">what</th><th
            >revision {pair[0].revision.number}</th
          >
          <th>revision {pair[1].revision.number}</th><th class="w-36 text-right">time, s</th>
        </tr>
      </thead>
      <tbody>
        {#each conditions as d (d.what)}
          <tr class="border-base-300 h-9 border-b">
            <td>the whole lap</td><td>{d.what}</td><td>{d.before}</td><td
              ><strong>{d.after}</strong></td
            ><td></td>
          </tr>
        {/each}
        {#each corners as corner (corner.corner)}
          {#each corner.differences as d, i (d.what)}
            <tr class={['h-9', i === corner.differences.length - 1 && 'border-base-300 border-b']}>
              <td>
                {#if i === 0}<a
                    class="link font-semibold"
                    href="/books/{book.id}/corner/{corner.corner}">{cornerName(corner)}</a
                  >{/if}
              </td>
              <td>{d.what}</td><td>{d.before}</td>
              <td
                ><strong>{d.after}</strong>
                {#if d.source !== 'model'}<SourceTag source={d.source as Source} />{/if}</td
              >
              <td class="text-right"
                >{#if i === 0}{gain(corner.seconds)}{/if}</td
              >
            </tr>
          {:else}
            <tr class="border-base-300 h-9 border-b">
              <td
                ><a class="link font-semibold" href="/books/{book.id}/corner/{corner.corner}"
                  >{cornerName(corner)}</a
                ></td
              >
              <td colspan="3">the same points</td><td class="text-right">{gain(corner.seconds)}</td>
            </tr>
          {/each}
        {:else}
          {#if conditions.length === 0}<tr><td colspan="5" class="py-4">Nothing differs.</td></tr
            >{/if}
        {/each}
      </tbody>
    </table>
  {/if}
</div>
