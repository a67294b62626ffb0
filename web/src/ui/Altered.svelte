<!-- @component Takes a value that is typed anew, in the driver's units. -->
<script lang="ts">
  import { figureOf, siOf, unitOf, type Typed } from '../units/altered';
  import { preferences } from '../units/preferences.svelte';

  interface Props {
    label: string;
    typed: Typed;
    /** As it stands, in m from the old place, m/s or plain. */
    value: number;
    /** With the new value in the same unit. */
    onalter: (si: number) => void;
  }
  const { label, typed, value, onalter }: Props = $props();
  let wrong = $state<string>();

  function alter(text: string) {
    const si = siOf(typed, text, preferences);
    wrong = si === undefined ? `"${text}" is no number.` : undefined;
    if (si !== undefined) onalter(si);
  }
</script>

<div class="figures flex items-center justify-end gap-2 pt-1">
  <span>{typed === 'way' ? 'from the old place, minus is earlier' : 'altered to'}</span>
  <input
    class="input h-11 w-20 px-2 text-right text-lg"
    inputmode="text"
    aria-label="{label}, altered"
    aria-invalid={wrong !== undefined}
    value={figureOf(typed, value, preferences)}
    onchange={(e) => alter(e.currentTarget.value)}
  />{unitOf(typed, preferences)}
</div>
{#if wrong}<p role="alert" class="text-error text-right font-semibold">! {wrong}</p>{/if}
