<script lang="ts">
  import { say } from '../say/every';
  import { today } from '../units/format';
  import Redo from '@lucide/svelte/icons/redo-2';
  import Undo from '@lucide/svelte/icons/undo-2';
  import { navigate } from '../router';
  import Dialog from '../ui/Dialog.svelte';
  import { useCircuit } from './circuit-state.svelte';

  const circuit = useCircuit();
  let keeping = $state(false);
  let reason = $state('');
  let validFrom = $state(today());
  const next = $derived((circuit.view?.version ?? 0) + 1);
  const inUse = $derived(circuit.view!.inUse);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const id = await circuit.keep(reason || 'Edited', validFrom);
    keeping = false;
    if (id && id !== circuit.id) await navigate('/circuits/:id', { params: { id } });
  }
</script>

{#if circuit.changed && circuit.isNewest}
  <aside
    aria-label="Draft of the layout"
    class="border-base-content bg-base-100 rounded-box fixed bottom-3 left-4 z-10 flex items-center gap-2 border-2 py-1 pr-2 pl-4 shadow-lg"
  >
    <span class="figures text-lg" aria-live="polite" data-draft>
      draft, {circuit.changes.length}
      {circuit.changes.length === 1 ? 'change' : 'changes'}{circuit.saving
        ? ' · saving …'
        : ', saved'}
    </span>
    <button
      class="btn btn-ghost px-3"
      onclick={() => circuit.undo()}
      disabled={circuit.steps!.past.length === 0}><Undo size={18} /> Undo</button
    >
    <button
      class="btn btn-ghost px-3"
      onclick={() => circuit.redo()}
      disabled={circuit.steps!.future.length === 0}><Redo size={18} /> Redo</button
    >
    <button class="btn btn-ghost" onclick={() => circuit.discard()}>Discard</button>
    <button
      class="btn btn-primary"
      onclick={() => (keeping = true)}
      disabled={circuit.changes.length === 0}
    >
      {inUse ? `Keep as layout version ${next}` : 'Keep'}
    </button>
  </aside>
{/if}
{#if keeping}
  <Dialog
    title={inUse ? `Keep as layout version ${next}` : 'Keep the changes'}
    onclose={() => (keeping = false)}
  >
    <form onsubmit={keep} class="grid gap-3">
      <ul class="max-h-56 list-disc overflow-y-auto pl-5">
        {#each circuit.changes as change, i (i)}<li>{say(change.said)}</li>{/each}
      </ul>
      {#if inUse}
        <p>
          Version {circuit.view!.version} is used by a book and stays as it is. Books move to the new
          version when you say so; pages that a change touches are then to be checked on track.
        </p>
        <label class="grid gap-1">
          <span>What happened?</span>
          <input
            class="input h-12 w-full"
            bind:value={reason}
            required
            maxlength="500"
            placeholder="track walk, kerbs rebuilt, boards moved"
          />
        </label>
        <label class="grid gap-1">
          <span>Valid from</span>
          <input type="date" class="input h-12 w-48" bind:value={validFrom} />
        </label>
      {:else}
        <p>No book uses this version yet, so it is changed in place.</p>
      {/if}
      <div class="flex justify-end gap-2">
        <button type="button" class="btn" onclick={() => (keeping = false)}>Back</button>
        <button class="btn btn-primary">Keep</button>
      </div>
    </form>
  </Dialog>
{/if}
