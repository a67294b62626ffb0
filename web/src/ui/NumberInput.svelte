<!-- @component A number with its name and unit; refused whole at the field where it cannot be. -->
<script lang="ts">
  import FormField from './FormField.svelte';
  import { readNumber } from './number';

  interface Props {
    label: string;
    /** Value in the unit shown; undefined leaves the field empty. */
    value: number | null | undefined;
    unit?: string;
    min?: number;
    max?: number;
    /** Decimals that are shown at most; what is typed is kept whole. Default: 1. */
    decimals?: number;
    /** Whether it counts something: no part of one is taken. Default: false. */
    whole?: boolean;
    /** Whether it may be left empty. */
    optional?: boolean;
    /** What the server says of it. */
    error?: string;
    onchange: (value: number | undefined) => void;
  }
  const {
    label,
    value,
    unit = '',
    min,
    max,
    decimals = 1,
    whole = false,
    optional = false,
    error,
    onchange,
  }: Props = $props();
  const shown = $derived(
    value === undefined || value === null ? '' : String(Number(value.toFixed(decimals))),
  );
  /** What is typed and cannot be; it stays in the field. */
  let wrong = $state<string>();

  function commit(text: string) {
    wrong = undefined;
    if (text === shown) return;
    const read = readNumber(text, { min, max, unit, whole, optional });
    if (read.wrong !== undefined) wrong = read.wrong;
    else onchange(read.value);
  }
</script>

<FormField {label} error={wrong ?? error}>
  {#snippet children(described)}
    <span class="figures flex items-center gap-1">
      <input
        class="input h-11 w-22 px-2 text-right text-lg"
        inputmode="decimal"
        aria-label={unit ? `${label}, in ${unit}` : label}
        aria-describedby={described}
        aria-invalid={described !== undefined}
        value={shown}
        onchange={(e) => commit(e.currentTarget.value)}
      />
      <!-- As wide without one, so that fields stand below each other. -->
      <span class="w-9">{unit}</span>
    </span>
  {/snippet}
</FormField>
