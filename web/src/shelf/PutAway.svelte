<!-- @component What is put away: to be taken back, or removed for good once it is read what goes. -->
<script lang="ts">
  import { api } from '../api/client';
  import type { Away } from '../api/put-away-calls';
  import Dialog from '../ui/Dialog.svelte';
  import { goesWords, KIND_WORDS } from './away-words';

  interface Props {
    away: Away[];
    /** Does it; what the server refuses is shown around, and the shelf is looked through again. */
    run: (work: () => Promise<unknown>) => Promise<boolean>;
  }
  const { away, run }: Props = $props();
  let removing = $state<Away>();
  const day = (iso: string) => new Date(iso).toLocaleDateString('en-GB', { dateStyle: 'medium' });

  async function remove() {
    const { kind, id } = removing!;
    removing = undefined;
    await run(() => api.removeForGood(kind, id));
  }
</script>

<section class="mt-8" aria-label="Put away" data-away>
  <h2 class="text-3xl font-bold">Put away</h2>
  <p class="text-neutral">
    Taken back, it is where it was. After thirty days it goes for good; what a book needs stays.
  </p>
  <ul>
    {#each away as thing (thing.id)}
      <li class="border-base-300 flex flex-wrap items-center gap-x-3 border-b py-1">
        <span class="grow basis-60 py-2">
          <strong class="figures text-xl">{thing.name}</strong>
          <span class="text-neutral"
            >{KIND_WORDS[thing.kind]}, {thing.keptBy.length
              ? `needed by ${thing.keptBy.join(', ')}`
              : `until ${day(thing.until)}`}</span
          >
        </span>
        <button class="btn" onclick={() => run(() => api.takeBack(thing.kind, thing.id))}
          >Take back</button
        >
        <button
          class="btn btn-ghost text-error"
          disabled={thing.keptBy.length > 0}
          title={thing.keptBy.length ? 'A book needs it' : undefined}
          onclick={() => (removing = thing)}>Remove for good</button
        >
      </li>
    {/each}
  </ul>
</section>
{#if removing}
  <Dialog title="Remove {removing.name} for good" onclose={() => (removing = undefined)}>
    <p>
      What goes: the {KIND_WORDS[removing.kind]} itself{goesWords(removing.goes)}. It cannot be had
      back.
    </p>
    <div class="flex justify-end gap-2 pt-4">
      <button class="btn btn-ghost" onclick={() => (removing = undefined)}>Leave it there</button>
      <button class="btn btn-error" onclick={remove} data-remove>Remove for good</button>
    </div>
  </Dialog>
{/if}
