<script lang="ts">
  import type { Conditions, SurfacePart } from '../api/types';
  import Amount from '../ui/Amount.svelte';
  import { speedFrom, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { useBook } from './book-state.svelte';

  const book = useBook();
  const c = $derived(book.history!.now.conditions);
  const base = $derived(book.base!.revision.conditions);
  const sky = $derived(book.view!.trace.sky);
  const set = (part: Partial<Conditions>) => book.setConditions({ ...c, ...part });
  const differs = (key: keyof Conditions) => c[key] !== base[key];
  const partWords = (part: SurfacePart) =>
    `${part.surface} ${preferences.lengthText(part.from_m)} – ${preferences.lengthText(part.to_m)}`;
</script>

{#snippet amount(
  label: string,
  key: keyof Conditions,
  unit: string,
  min: number,
  max: number,
  step: number,
  value: number,
  take: (v: number) => Partial<Conditions>,
)}
  <div class="flex items-baseline justify-between">
    <span>{label}</span>
    <Amount
      {value}
      {label}
      {unit}
      {min}
      {max}
      {step}
      own={differs(key)}
      onchange={(v) => set(take(v))}
    />
  </div>
{/snippet}

<fieldset class="text-[0.95rem]">
  <legend class="figures pb-1 text-xl font-semibold">Conditions</legend>
  <div class="grid grid-cols-2 gap-2 pb-1">
    <select
      class="select h-11"
      aria-label="Surface"
      value={c.surface}
      onchange={(e) => set({ surface: e.currentTarget.value as Conditions['surface'] })}
    >
      <option value="dry">dry road</option><option value="damp">damp road</option><option
        value="wet">wet road</option
      >
    </select>
    <select
      class="select h-11"
      aria-label="Tyres"
      value={c.tyres}
      onchange={(e) => set({ tyres: e.currentTarget.value as Conditions['tyres'] })}
    >
      <option value="warm">tyres warm</option><option value="cold">tyres cold</option><option
        value="worn">tyres worn</option
      >
    </select>
  </div>
  {#each c.parts ?? [] as part, i (i)}
    <p class="flex items-center justify-between" data-part>
      <span class="figures font-semibold">{partWords(part)}</span>
      <button
        class="btn btn-ghost w-11 px-0"
        aria-label="Leave out: {partWords(part)}"
        onclick={() => set({ parts: c.parts!.filter((_, k) => k !== i) })}>×</button
      >
    </p>
  {/each}
  <div class="grid grid-cols-2 gap-x-4">
    {#if c.tyres === 'cold'}
      {@render amount('Cold lap', 'coldLap', '', 1, 5, 1, c.coldLap ?? 1, (v) => ({ coldLap: v }))}
      <span></span>
    {:else if c.tyres === 'worn'}
      {@render amount('Worn', 'wear', '%', 0, 200, 1, 100 * (c.wear ?? 1), (v) => ({
        wear: v / 100,
      }))}
      <span></span>
    {/if}
    {@render amount('Grip used', 'gripUsed', '%', 50, 100, 1, 100 * c.gripUsed, (v) => ({
      gripUsed: v / 100,
    }))}
    {@render amount('Fuel', 'fuel_kg', 'kg', 0, 500, 1, c.fuel_kg, (v) => ({ fuel_kg: v }))}
    {@render amount('Pedal change', 'pedalChange_s', 's', 0, 1, 0.01, c.pedalChange_s, (v) => ({
      pedalChange_s: v,
    }))}
    {@render amount('Brake rise', 'brakeBuildUp_s', 's', 0, 1, 0.01, c.brakeBuildUp_s, (v) => ({
      brakeBuildUp_s: v,
    }))}
    {@render amount('Air', 'airTemperature_c', '°C', -30, 60, 1, c.airTemperature_c, (v) => ({
      airTemperature_c: v,
    }))}
    {@render amount(
      'Road',
      'trackTemperature_c',
      '°C',
      -40,
      90,
      1,
      c.trackTemperature_c ?? c.airTemperature_c,
      (v) => ({ trackTemperature_c: v }),
    )}
    {@render amount('Baro', 'pressure_hpa', 'hPa', 500, 1100, 1, c.pressure_hpa, (v) => ({
      pressure_hpa: v,
    }))}
    {@render amount(
      'Wind',
      'windSpeed_mps',
      preferences.speed,
      0,
      120,
      1,
      speedIn(c.windSpeed_mps, preferences.speed),
      (v) => ({ windSpeed_mps: speedFrom(v, preferences.speed) }),
    )}
    {@render amount('Wind from', 'windFrom_deg', '°', 0, 360, 1, c.windFrom_deg, (v) => ({
      windFrom_deg: v,
    }))}
  </div>
  <label class="flex items-center justify-between pt-1">
    <span>Hour at the circuit</span>
    <input
      type="datetime-local"
      class="input h-11 w-44 px-2"
      value={c.at?.slice(0, 16) ?? ''}
      data-hour
      onchange={(e) => set({ at: e.currentTarget.value || undefined })}
    />
  </label>
  {#if !book.view!.trace.closed}
    <label class="flex items-center justify-between gap-2 pt-1">
      <span>Start</span>
      <select
        class="select h-11 w-52"
        value={c.start ?? 'flying'}
        data-start
        onchange={(e) => set({ start: e.currentTarget.value as Conditions['start'] })}
      >
        <option value="flying">flying, at speed</option>
        <option value="standing">standing, from rest</option>
      </select>
    </label>
  {/if}
  <label class="flex items-center justify-between gap-2 pt-1">
    <span>Model</span>
    <select
      class="select h-11 w-52"
      value={c.model ?? 'plain'}
      data-model
      onchange={(e) => set({ model: e.currentTarget.value as Conditions['model'] })}
    >
      <option value="axles">axles told apart</option>
      <option value="plain">plain, for comparison</option>
    </select>
  </label>
  {#if (c.model ?? 'plain') === 'plain'}
    <p class="text-neutral pt-1" data-plain>
      The plain model knows the car as a whole and no engine braking. Axles told apart, it brakes a
      few metres earlier and mostly loses one to two per cent: choose them to see it here, as a
      draft.
    </p>
  {/if}
  {#if sky}
    <p class="text-neutral pt-1" data-sky>
      {#if sky.elevation_deg > 0}Sun {Math.round(sky.elevation_deg)}° high from {Math.round(
          sky.azimuth_deg,
        )}°{sky.intoTheSun.length ? `; low into corner ${sky.intoTheSun.join(', ')}` : ''}.
      {:else}The sun is down.{/if}
    </p>
  {/if}
</fieldset>
