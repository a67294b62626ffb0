<script lang="ts">
  import type { Conditions } from '../api/types';
  import ChoiceInput from '../ui/ChoiceInput.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import { speedFrom, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { useSession } from './session-state.svelte';
  import { SURFACES } from './words';

  const session = useSession();
  const c = $derived(session.now!.conditions);
  const set = (part: Partial<Conditions>) => session.setConditions(part);
</script>

<h2 class="text-xl font-semibold">What is expected</h2>
<ChoiceInput
  label="Road"
  value={c.surface}
  options={Object.entries(SURFACES)}
  onchange={(surface) => set({ surface: surface as Conditions['surface'] })}
/>
<ChoiceInput
  label="Tyres are"
  value={c.tyres}
  options={[
    ['warm', 'warm'],
    ['cold', 'cold'],
    ['worn', 'worn'],
  ]}
  onchange={(tyres) => set({ tyres: tyres as Conditions['tyres'] })}
/>
{#if c.tyres === 'cold'}
  <NumberInput
    label="Lap on cold tyres"
    whole
    min={1}
    max={5}
    value={c.coldLap ?? 1}
    error={session.at('coldLap')}
    onchange={(coldLap) => set({ coldLap })}
  />
{:else if c.tyres === 'worn'}
  <NumberInput
    label="Worn, of their good laps"
    unit="%"
    min={0}
    max={200}
    value={100 * (c.wear ?? 1)}
    error={session.at('wear')}
    onchange={(wear) => set({ wear: wear! / 100 })}
  />
{/if}
<NumberInput
  label="Grip used"
  unit="%"
  min={50}
  max={100}
  value={100 * c.gripUsed}
  error={session.at('gripUsed')}
  onchange={(v) => set({ gripUsed: v! / 100 })}
/>
<NumberInput
  label="Air"
  unit="°C"
  min={-30}
  max={60}
  value={c.airTemperature_c}
  error={session.at('airTemperature_c')}
  onchange={(v) => set({ airTemperature_c: v })}
/>
<NumberInput
  label="Road temperature"
  unit="°C"
  min={-40}
  max={90}
  optional
  value={c.trackTemperature_c}
  error={session.at('trackTemperature_c')}
  onchange={(trackTemperature_c) => set({ trackTemperature_c })}
/>
<NumberInput
  label="Pressure"
  unit="hPa"
  min={500}
  max={1100}
  value={c.pressure_hpa}
  error={session.at('pressure_hpa')}
  onchange={(v) => set({ pressure_hpa: v })}
/>
<NumberInput
  label="Wind"
  unit={preferences.speed}
  min={0}
  max={Math.round(speedIn(40, preferences.speed))}
  value={speedIn(c.windSpeed_mps, preferences.speed)}
  error={session.at('windSpeed_mps')}
  onchange={(v) => set({ windSpeed_mps: speedFrom(v!, preferences.speed) })}
/>
<NumberInput
  label="Wind from"
  unit="°"
  min={0}
  max={360}
  value={c.windFrom_deg}
  error={session.at('windFrom_deg')}
  onchange={(v) => set({ windFrom_deg: v })}
/>
