<script lang="ts">
  import ChoiceField from './ChoiceField.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import { LIMIT_RULES } from './edits';
  import Field from './Field.svelte';
  import type { CircuitEdits } from './types';

  const circuit = useCircuit();
  const edits = $derived(circuit.edits!);
  const zones = Intl.supportedValuesOf('timeZone');
  const set = (part: Partial<CircuitEdits>) => circuit.apply({ ...edits, ...part });
</script>

<section aria-label="The circuit itself">
  <Field label="Name">
    <input
      class="input h-11 w-52"
      aria-label="Name"
      value={edits.name}
      maxlength="120"
      required
      onchange={(e) => e.currentTarget.value.trim() && set({ name: e.currentTarget.value.trim() })}
    />
  </Field>
  <Field label="Layout">
    <input
      class="input h-11 w-52"
      aria-label="Layout"
      value={edits.layout}
      maxlength="120"
      onchange={(e) => set({ layout: e.currentTarget.value.trim() })}
    />
  </Field>
  <Field label="Time zone">
    <input
      class="input h-11 w-52"
      aria-label="Time zone"
      list="time-zones"
      value={edits.timeZone}
      onchange={(e) => set({ timeZone: e.currentTarget.value.trim() || 'UTC' })}
    />
  </Field>
  <datalist id="time-zones">
    {#each zones as zone (zone)}<option value={zone}></option>{/each}
  </datalist>
  <ChoiceField
    label="Track limits"
    value={edits.trackLimits}
    options={LIMIT_RULES}
    onchange={(trackLimits) => set({ trackLimits })}
  />
</section>
