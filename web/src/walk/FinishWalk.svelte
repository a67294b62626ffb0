<script lang="ts">
  import { today } from '../units/format';
  import { navigate } from '../router';
  import Dialog from '../ui/Dialog.svelte';
  import { say } from '../say/every';
  import type { WalkState } from './walk-state.svelte';

  interface Props {
    walk: WalkState;
    onclose: () => void;
  }
  const { walk, onclose }: Props = $props();
  let reason = $state('Track walk');
  let validFrom = $state(today());
  const changes = $derived(walk.walk!.changes);

  async function finish(event: SubmitEvent) {
    event.preventDefault();
    const done = await walk.finish(reason, validFrom);
    onclose();
    if (done) await navigate('/circuits/:id', { params: { id: done.circuitId } });
  }
</script>

<Dialog title="Finish the walk" {onclose}>
  <form class="grid gap-3" onsubmit={finish}>
    {#if changes.length}
      <p>This becomes layout version {walk.circuit!.version + 1}:</p>
      <ul class="max-h-56 list-disc overflow-y-auto pl-5">
        {#each changes as change, i (i)}<li>{say(change.said)}</li>{/each}
      </ul>
      <label class="grid gap-1">
        <span>What for?</span>
        <input class="input h-12 w-full" bind:value={reason} required maxlength="500" />
      </label>
      <label class="grid gap-1">
        <span>Valid from</span>
        <input type="date" class="input h-12 w-48" bind:value={validFrom} />
      </label>
    {:else}
      <p>
        Nothing was changed on the circuit: the layout stays version {walk.circuit!.version}. The
        notes of this walk are put away with it.
      </p>
    {/if}
    {#if walk.left > 0}<p class="font-semibold">{walk.left} items were not looked at.</p>{/if}
    <div class="flex justify-end gap-2">
      <button type="button" class="btn" onclick={onclose}>Back</button>
      <button class="btn btn-primary">Finish</button>
    </div>
  </form>
</Dialog>
