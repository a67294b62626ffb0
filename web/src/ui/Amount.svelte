<script lang="ts">
  import { readNumber } from './number';

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

  /** What was typed here stands as it was typed, as long as it is the value. */
  let typed = $state.raw<{ text: string; value: number }>();
  const rounded = $derived(
    step < 1 ? value.toFixed(2).replace(/0$/, '') : String(Math.round(value)),
  );
  const shown = $derived(typed && Math.abs(typed.value - value) < 1e-6 ? typed.text : rounded);

  /** What is typed and cannot be; it stays in the field until it is put right or left with Esc. */
  let wrong = $state<string>();
  const id = $props.id();

  function commit(text: string) {
    wrong = undefined;
    if (text === shown) return;
    const read = readNumber(text, { min, max, unit });
    if (read.wrong !== undefined) {
      wrong = read.wrong;
      return;
    }
    typed = { text: text.trim(), value: read.value! };
    onchange(read.value!);
  }
  function leave(input: HTMLInputElement) {
    wrong = undefined;
    input.value = shown;
  }
</script>

<span class="figures relative inline-flex items-baseline gap-1 whitespace-nowrap">
  <input
    inputmode="decimal"
    aria-label={unit ? `${label}, in ${unit}` : label}
    aria-describedby={wrong ? id : undefined}
    aria-invalid={wrong !== undefined}
    class={['amount', own && 'own']}
    value={shown}
    onchange={(e) => commit(e.currentTarget.value)}
    onkeydown={(e) => e.key === 'Escape' && leave(e.currentTarget)}
  />{unit}
  {#if wrong}
    <span {id} role="alert" class="wrong"><span aria-hidden="true">!</span> {wrong}</span>
  {/if}
</span>

<style>
  .amount {
    field-sizing: content;
    min-width: 44px;
    height: 44px;
    padding: 14px 0.25rem 0;
    font-size: 1.2rem;
    font-weight: 600;
    text-align: right;
    border-bottom: 2px dotted var(--quiet);
    background: transparent;
  }
  .amount:hover,
  .amount:focus {
    background: var(--color-base-200);
  }
  .own {
    padding-top: 0;
    border: 2px solid var(--ink);
    border-radius: 4px;
    font-weight: 700;
    background: var(--color-base-200);
  }
  .amount[aria-invalid='true'] {
    border-color: var(--color-error);
  }
  .wrong {
    position: absolute;
    top: 100%;
    left: 0;
    z-index: 20;
    width: max-content;
    max-width: 17rem;
    padding: 0.25rem 0.5rem;
    white-space: normal;
    font-size: 0.95rem;
    font-weight: 600;
    color: var(--color-error);
    background: var(--color-base-100);
    border: 2px solid var(--color-error);
    border-radius: 4px;
  }
</style>
