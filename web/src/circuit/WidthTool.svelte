<script lang="ts">
  import { valueAt } from '../strip/lap-axis';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import { wrapped } from './edits';

  const { onclose }: { onclose: () => void } = $props();
  const circuit = useCircuit();
  const road = circuit.road!;
  const shown = (m: number) => lengthIn(m, preferences.length);
  const metres = (v: number) => lengthFrom(v, preferences.length);
  let from = $state(wrapped(road, circuit.cursor - 25));
  let to = $state(wrapped(road, circuit.cursor + 25));
  let left = $state(valueAt(road, road.left_m, circuit.cursor));
  let right = $state(valueAt(road, road.right_m, circuit.cursor));

  function take() {
    const edit = { fromM: from, toM: to, leftM: left, rightM: right };
    circuit.apply({ ...circuit.edits!, widths: [...circuit.edits!.widths, edit] });
    onclose();
  }
</script>

<section aria-label="Width" class="border-base-content rounded border-2 p-2">
  <h2 class="text-xl font-bold">Width, measured anew</h2>
  <NumberInput
    label="From"
    unit={preferences.length}
    value={shown(from)}
    min={0}
    max={shown(road.length_m)}
    onchange={(v) => (from = metres(v!))}
  />
  <NumberInput
    label="To"
    unit={preferences.length}
    value={shown(to)}
    min={0}
    max={shown(road.length_m)}
    onchange={(v) => (to = metres(v!))}
  />
  <NumberInput
    label="Left of the middle"
    unit={preferences.length}
    value={shown(left)}
    min={shown(0.5)}
    max={shown(60)}
    onchange={(v) => (left = metres(v!))}
  />
  <NumberInput
    label="Right of the middle"
    unit={preferences.length}
    value={shown(right)}
    min={shown(0.5)}
    max={shown(60)}
    onchange={(v) => (right = metres(v!))}
  />
  <p class="text-neutral text-sm">Kept with the layout, linear to the surveyed points beside it.</p>
  <div class="flex justify-end gap-2 pt-1">
    <button class="btn" onclick={onclose}>Back</button>
    <button class="btn btn-primary" onclick={take}>Set the width</button>
  </div>
</section>
