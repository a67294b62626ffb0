<script lang="ts">
  import FormField from '../ui/FormField.svelte';
  import { readNumber } from '../ui/number';

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

  /** What is typed and cannot be; it stays in the field. */
  let wrong = $state<string>();

  function commit(text: string) {
    wrong = undefined;
    if (text === shown) return;
    const read = readNumber(text, { min, max, unit, optional });
    if (read.wrong !== undefined) wrong = read.wrong;
    else onchange(read.value);
  }
</script>

<FormField {label} error={wrong}>
  {#snippet children(described)}
    <span class="figures flex items-baseline gap-1">
      <input
        class="input h-10 w-24 text-right text-lg"
        inputmode="decimal"
        value={shown}
        aria-label={unit ? `${label}, in ${unit}` : label}
        aria-describedby={described}
        aria-invalid={described !== undefined}
        onchange={(e) => commit(e.currentTarget.value)}
      />
      <span class="w-8">{unit}</span>
    </span>
  {/snippet}
</FormField>
