<script lang="ts">
  import { navigate } from '../router';
  import ChoiceInput from '../ui/ChoiceInput.svelte';
  import Header from '../ui/Header.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import Problem from '../ui/Problem.svelte';
  import TextInput from '../ui/TextInput.svelte';
  import { speedFrom, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import MadeCar from './MadeCar.svelte';
  import { MakeCar } from './make-car.svelte';
  import { POWER_UNITS, type PowerUnit } from './power';

  const make = new MakeCar();
  const t = $derived(make.typed);
  const unit = $derived(preferences.speed);
  const inUnit = (kmh: number) => speedIn(kmh / 3.6, unit);

  async function take() {
    if (await make.take()) await navigate('/new');
  }
</script>

<svelte:head><title>Make a car · Marvek</title></svelte:head>
<Header>Make a car</Header>
<main class="mx-auto max-w-6xl px-4 pb-8">
  <h1 class="text-4xl font-bold">Your car from ten facts</h1>
  <p class="text-neutral pb-3">
    What its papers and you know of it. All else is assumed, listed, and yours to change.
  </p>
  {#if make.storing.problem}<Problem
      problem={make.storing.problem}
      onclose={make.storing.clear}
    />{/if}
  <div class="desk:flex gap-8">
    <section class="desk:w-[400px] shrink-0" aria-label="Facts" data-facts>
      <TextInput label="Name" value={t.name} max={120} onchange={(name) => make.set({ name })} />
      <ChoiceInput
        label="Kind"
        value={t.kind}
        options={[
          ['car', 'car'],
          ['motorcycle', 'motorcycle'],
        ]}
        onchange={(kind) => make.set({ kind: kind as typeof t.kind })}
      />
      <NumberInput
        label="Mass without driver and fuel"
        unit="kg"
        min={60}
        max={5000}
        value={t.mass_kg}
        error={make.at('mass_kg')}
        onchange={(mass_kg) => make.set({ mass_kg })}
      />
      <ChoiceInput
        label="Power is told in"
        value={t.powerUnit}
        options={POWER_UNITS.map((u) => [u, u])}
        onchange={(u) => make.set({ powerUnit: u as PowerUnit })}
      />
      <NumberInput
        label="Power"
        unit={t.powerUnit}
        min={1}
        max={2000}
        value={t.power}
        error={make.at('power_kw')}
        onchange={(power) => make.set({ power })}
      />
      <NumberInput
        label="at"
        unit="rpm"
        min={1000}
        max={25000}
        decimals={0}
        value={t.power_rpm}
        error={make.at('power_rpm')}
        onchange={(power_rpm) => make.set({ power_rpm })}
      />
      <NumberInput
        label="Limiter"
        unit="rpm"
        min={1000}
        max={28000}
        decimals={0}
        value={t.limiter_rpm}
        error={make.at('limiter_rpm')}
        onchange={(limiter_rpm) => make.set({ limiter_rpm })}
      />
      {#if t.kind === 'car'}
        <ChoiceInput
          label="Driven wheels"
          value={t.drive}
          options={[
            ['front', 'front'],
            ['rear', 'rear'],
            ['all', 'all'],
          ]}
          onchange={(drive) => make.set({ drive: drive as typeof t.drive })}
        />
      {/if}
      <NumberInput
        label="Gears"
        whole
        min={1}
        max={12}
        value={t.gears}
        error={make.at('gears')}
        onchange={(gears) => make.set({ gears })}
      />
      <NumberInput
        label="Top speed"
        {unit}
        min={Math.round(inUnit(30))}
        max={Math.round(inUnit(450))}
        value={t.topSpeed_kmh === undefined ? undefined : inUnit(t.topSpeed_kmh)}
        error={make.at('topSpeed_kmh')}
        onchange={(v) =>
          make.set({ topSpeed_kmh: v === undefined ? undefined : 3.6 * speedFrom(v, unit) })}
      />
      <NumberInput
        label="0 to 100 km/h, if known"
        unit="s"
        optional
        min={1}
        max={60}
        value={t.zeroTo100_s}
        error={make.at('zeroTo100_s')}
        onchange={(zeroTo100_s) => make.set({ zeroTo100_s })}
      />
      <ChoiceInput
        label="Tyres"
        value={t.tyres}
        options={[
          ['road', 'road'],
          ['track-day', 'track day'],
          ['slick', 'slicks'],
          ['wet', 'wets'],
        ]}
        onchange={(tyres) => make.set({ tyres: tyres as typeof t.tyres })}
      />
      {#if t.kind === 'car'}
        <label class="flex min-h-11 items-center justify-between gap-2">
          <span>Wings that work</span>
          <input
            type="checkbox"
            class="checkbox"
            checked={t.wings}
            onchange={(e) => make.set({ wings: e.currentTarget.checked })}
          />
        </label>
      {/if}
    </section>
    <div class="min-w-0 grow" aria-busy={make.asking.running}>
      {#if make.asking.problem && !make.asking.problem.field}
        <Problem problem={make.asking.problem} />
      {/if}
      {#if make.made}
        <MadeCar made={make.made} changes={make.changes} onchange={(at, v) => make.change(at, v)} />
        <button
          class="btn btn-primary mt-4 h-12 px-8"
          disabled={make.asking.running || make.storing.busy || make.asking.problem !== undefined}
          onclick={take}
          data-take-car>{make.storing.busy ? 'Storing …' : 'Take it onto the shelf'}</button
        >
        <p class="text-neutral pt-2">
          An estimate to begin with: the laps you drive tell more. Nothing is stored before that.
        </p>
      {:else}
        <p class="text-neutral text-lg">The car stands here as soon as the facts are in.</p>
      {/if}
    </div>
  </div>
</main>
