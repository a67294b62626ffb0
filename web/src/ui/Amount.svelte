<script lang="ts">
  interface Props {
    /** Value in the unit shown. */
    value: number;
    /** Said to those who do not see the sentence around. */
    label: string;
    /** Unit shown behind the number; empty for a count. */
    unit?: string;
    min?: number;
    max?: number;
    step?: number;
    /** A value of the driver's own is boxed and bold; the model's is dotted underneath. */
    own?: boolean;
    onchange: (value: number) => void;
  }
  const { value, label, unit = '', min, max, step = 1, own = false, onchange }: Props = $props();

  const shown = $derived(step < 1 ? value.toFixed(2).replace(/0$/, '') : String(Math.round(value)));

  function commit(input: HTMLInputElement) {
    const typed = input.valueAsNumber;
    if (input.value === shown) return;
    if (Number.isFinite(typed) && input.checkValidity()) onchange(typed);
    else input.reportValidity();
  }
</script>

<span class="figures inline-flex items-baseline gap-1 whitespace-nowrap">
  <input
    type="number"
    aria-label={unit ? `${label}, in ${unit}` : label}
    class={['amount', own && 'own']}
    value={shown}
    {min}
    {max}
    step={step < 1 ? 'any' : step}
    onchange={(e) => commit(e.currentTarget)}
    onkeydown={(e) => e.key === 'Escape' && (e.currentTarget.value = shown)}
  />{unit}
</span>

<style>
  .amount {
    field-sizing: content;
    min-width: 2.6rem;
    height: 40px;
    padding: 12px 0.25rem 0;
    font-size: 1.2rem;
    font-weight: 600;
    text-align: right;
    border-bottom: 2px dotted var(--quiet);
    background: transparent;
    appearance: textfield;
  }
  .amount:hover,
  .amount:focus {
    background: var(--color-base-200);
  }
  .amount::-webkit-inner-spin-button {
    display: none;
  }
  .own {
    padding-top: 0;
    border: 2px solid var(--ink);
    border-radius: 4px;
    font-weight: 700;
    background: var(--color-base-200);
  }
  .amount:user-invalid {
    border-color: var(--color-error);
  }
</style>
