<script lang="ts">
  import Field from './Field.svelte';

  interface Props {
    label: string;
    /** Value in the unit shown; undefined leaves the field empty. */
    value: number | null | undefined;
    unit?: string;
    min?: number;
    max?: number;
    decimals?: number;
    /** Whether it may be left empty. */
    optional?: boolean;
    onchange: (value: number | undefined) => void;
  }
  const {
    label,
    value,
    unit = '',
    min,
    max,
    decimals = 1,
    optional = false,
    onchange,
  }: Props = $props();
  const shown = $derived(
    value === null || value === undefined ? '' : String(Number(value.toFixed(decimals))),
  );

  function commit(input: HTMLInputElement) {
    if (input.value === shown) return;
    if (input.value === '' && optional) onchange(undefined);
    else if (input.checkValidity() && Number.isFinite(input.valueAsNumber)) {
      onchange(input.valueAsNumber);
    } else input.reportValidity();
  }
</script>

<Field {label}>
  <span class="figures flex items-baseline gap-1">
    <input
      type="number"
      class="input h-10 w-24 text-right text-lg"
      value={shown}
      aria-label={unit ? `${label}, in ${unit}` : label}
      {min}
      {max}
      step="any"
      required={!optional}
      onchange={(e) => commit(e.currentTarget)}
    />
    <span class="w-8">{unit}</span>
  </span>
</Field>
