<!-- @component Takes a value that is typed anew, in the driver's units. -->
<script lang="ts">
  import { boundsOf, figureOf, siOf, unitOf, type Typed } from '../units/altered';
  import { preferences } from '../units/preferences.svelte';
  import Amount from './Amount.svelte';

  interface Props {
    label: string;
    typed: Typed;
    /** As it stands, in m from the old place, m/s or plain. */
    value: number;
    /** With the new value in the same unit. */
    onalter: (si: number) => void;
  }
  const { label, typed, value, onalter }: Props = $props();
</script>

<div class="figures flex items-center justify-end gap-2 pt-1">
  <span>{typed === 'way' ? 'from the old place, minus is earlier' : 'altered to'}</span>
  <Amount
    label="{label}, altered"
    own
    value={figureOf(typed, value, preferences)}
    unit={unitOf(typed, preferences)}
    {...boundsOf(typed, preferences)}
    onchange={(figure) => onalter(siOf(typed, figure, preferences))}
  />
</div>
