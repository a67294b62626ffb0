<script lang="ts">
  import { preferences } from '../units/preferences.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import { joinWithNext, renumbered, splitCorner } from './edits';

  const circuit = useCircuit();
  const index = $derived(circuit.selection!.index);
  const halves = $derived(splitCorner(circuit.view!.road, circuit.edits!, index, circuit.cursor));

  function join() {
    circuit.apply(joinWithNext(circuit.edits!, index));
    circuit.selection = undefined;
  }
</script>

<div class="flex flex-wrap gap-2 pt-2">
  <button
    class="btn"
    disabled={!halves}
    title={halves ? undefined : 'Pick a metre inside the corner first'}
    onclick={() => halves && circuit.apply(halves)}
  >
    Split at {preferences.lengthText(circuit.cursor)}
  </button>
  <button class="btn" onclick={join} disabled={circuit.edits!.corners.length < 2}>
    Join with next
  </button>
  <button class="btn" onclick={() => circuit.apply(renumbered(circuit.edits!))}>
    Number all from 1
  </button>
</div>
<p class="text-neutral pt-1 text-sm">
  Pages go with the road: a book that moves to this layout keeps what you wrote.
</p>
