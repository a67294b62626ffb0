<script lang="ts">
  import { untrack } from 'svelte';
  import type { CarOnCircuit } from '../api/answers';
  import { Asking } from '../api/asking.svelte';
  import { api } from '../api/client';
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import { gain, lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import BalanceChart from './BalanceChart.svelte';
  import CarValues from './CarValues.svelte';
  import BalanceZones from './BalanceZones.svelte';
  import GearChart from './GearChart.svelte';
  import GripChart from './GripChart.svelte';
  import { figureRows } from './figures';
  import { CHANGES } from './sheet';
  import Sheets from './Sheets.svelte';

  const book = useBook();
  const asking = new Asking<CarOnCircuit>();
  const car = $derived(asking.answer);

  $effect(() => {
    void book.history;
    const draft = book.draft();
    untrack(() => asking.ask(['car', book.id, draft], (s) => api.carOnCircuit(book.id, draft, s)));
  });
  const most = $derived(Math.max(0.01, ...(car?.effects.map((e) => Math.abs(e.lostS)) ?? [])));
  const longest = $derived(car?.gears.longest);
</script>

<svelte:head><title>Car · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20">
  <div class="flex flex-wrap items-baseline gap-x-5">
    <h1 class="text-3xl font-bold">{book.book!.car}</h1>
    {#if car}<p class="figures text-lg">
        on {book.book!.circuit}, <strong class="text-2xl">{lapTime(car.lap_s)}</strong> by the model's
        own points
      </p>{/if}
    <span class="grow"></span>
    <a class="btn btn-ghost" href="/api/cars/{book.book!.carId}/file" download>Car as JSON</a>
    <a class="btn btn-ghost" href="/cars/new">Make another car</a>
  </div>
  {#if asking.problem}<Problem
      problem={asking.problem}
      onclose={() => (asking.problem = undefined)}
    />{/if}
  {#if car && longest}
    <div class="desk:grid-cols-2 grid grid-cols-1 gap-x-8 gap-y-4">
      <section class="min-w-0">
        <h2 class="text-2xl font-semibold">Gears</h2>
        <GearChart {car} />
        <p class="leading-snug">
          The wider a gear's line, the longer it is driven. Longest straight:
          {preferences.lengthText(longest.lengthM)}, {preferences.speedText(longest.topMps)} in {longest.gear}
          at {Math.round(longest.rpm / 10) * 10} rpm{longest.limiterS > 0.05
            ? `, ${longest.limiterS.toFixed(1)} s of it on the limiter`
            : ''}.
        </p>
        <table class="figures mt-1 w-full text-base" data-final-drives>
          <thead>
            <tr class="border-base-content border-b-2 text-left text-sm">
              <th scope="col">final drive</th>
              {#each car.gears.finalDrives as f (f.share)}
                <th scope="col" class="text-right">{f.ratio.toFixed(2)}</th>
              {/each}
            </tr>
          </thead>
          <tbody>
            <tr class="h-8">
              <th scope="row" class="text-left font-normal">lap, s</th>
              {#each car.gears.finalDrives as f (f.share)}
                <td class="text-right">
                  {#if f.share === 1}<strong>as it is</strong>{:else}{f.lostS > 0
                      ? '+'
                      : '−'}{Math.abs(f.lostS).toFixed(2)}{/if}
                </td>
              {/each}
            </tr>
            <tr class="h-8">
              <th scope="row" class="text-left font-normal">top, {preferences.speed}</th>
              {#each car.gears.finalDrives as f (f.share)}
                <td class="text-right">{preferences.speedText(f.topMps).split(' ')[0]}</td>
              {/each}
            </tr>
          </tbody>
        </table>
        <h2 class="pt-3 text-2xl font-semibold">Values</h2>
        <dl class="grid grid-cols-[auto_1fr] gap-x-5" data-figures>
          {#each figureRows(car.figures, car.kind === 'MOTORCYCLE') as [what, value] (what)}
            <dt class="text-neutral">{what}</dt>
            <dd class="figures text-lg">{value}</dd>
          {/each}
        </dl>
      </section>
      <section class="min-w-0">
        <h2 class="text-2xl font-semibold">Grip</h2>
        <GripChart grip={car.grip} />
        <p class="leading-snug">
          What the tyres leave along the road at each side force, drag included, with the grip that
          is meant to be used today.
        </p>
        <h2 class="pt-3 text-2xl font-semibold">What a change does to the lap</h2>
        <ul data-effects>
          {#each car.effects as effect (effect.change)}
            <li class="flex min-h-8 items-center gap-3">
              <span class="w-48 leading-tight">{CHANGES[effect.change]}</span>
              <span class="relative h-3 grow" aria-hidden="true">
                <span
                  class={['absolute top-0 h-3', effect.lostS > 0 ? 'bg-base-content' : 'gained']}
                  style:width="{(100 * Math.abs(effect.lostS)) / most}%"
                ></span>
              </span>
              <strong class="figures w-32 text-right">{gain(effect.lostS)}</strong>
            </li>
          {/each}
        </ul>
      </section>
      {#if car.kind === 'CAR'}
        <section class="desk:col-span-2 min-w-0">
          <h2 class="text-2xl font-semibold">Brake balance</h2>
          <div class="desk:grid-cols-[minmax(0,4fr)_auto] grid grid-cols-1 gap-6">
            <div>
              <BalanceChart dry={car.dry} wet={car.wet} />
              <p class="text-neutral leading-snug">
                The ideal share is the front axle's share of the load. Rear locks first is the car
                that turns round: leave room to it.
              </p>
            </div>
            <BalanceZones {car} />
          </div>
        </section>
      {:else}
        <section class="desk:col-span-2 min-w-0">
          <h2 class="text-2xl font-semibold">Brakes</h2>
          <p>
            The rider works both brakes freely: no share is set. What limits is the tyres' grip, and
            the rear wheel that lifts.
          </p>
        </section>
      {/if}
      <section class="desk:col-span-2 min-w-0">
        <h2 class="text-2xl font-semibold">Setup sheets</h2>
        <Sheets />
      </section>
      <section class="desk:col-span-2 min-w-0">
        <h2 class="text-2xl font-semibold">Every value</h2>
        <CarValues />
      </section>
    </div>
  {:else if !asking.problem}<p class="p-4" role="status">
      Computing the car on this circuit …
    </p>{/if}
</div>

<style>
  .gained {
    border: 2px solid var(--ink);
    background: repeating-linear-gradient(45deg, transparent 0 3px, var(--ink) 3px 4px);
  }
</style>
