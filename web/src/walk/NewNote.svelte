<script lang="ts">
  import NumberInput from '../ui/NumberInput.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import type { WalkState } from './walk-state.svelte';
  import FileButton from '../ui/FileButton.svelte';

  interface Props {
    walk: WalkState;
    /** Station of the note [m]; undefined takes the photo's place. */
    station: number | undefined;
  }
  let { walk, station = $bindable() }: Props = $props();

  let words = $state('');
  let side = $state('left');
  let photo = $state.raw<File>();
  let keepPlace = $state(false);
  const road = $derived(walk.circuit!.road);

  async function note(event: SubmitEvent) {
    event.preventDefault();
    if (await walk.note(words, side, station, photo, keepPlace)) {
      words = '';
      photo = undefined;
    }
  }
</script>

<form class="border-base-content grid gap-2 rounded border-2 p-3" onsubmit={note}>
  <h2 class="text-2xl font-bold">Note</h2>
  <label class="grid gap-1">
    <span class="text-neutral">What is seen</span>
    <textarea
      class="textarea h-20 w-full text-base"
      bind:value={words}
      maxlength="2000"
      required={!photo}
      placeholder="new bump on the inside, board turned away, kerb rebuilt"></textarea>
  </label>
  <NumberInput
    label="Station"
    unit={preferences.length}
    optional
    decimals={0}
    value={station === undefined ? undefined : lengthIn(station, preferences.length)}
    min={0}
    max={lengthIn(road.length_m, preferences.length)}
    onchange={(v) => (station = v === undefined ? undefined : lengthFrom(v, preferences.length))}
  />
  <div class="flex gap-2" role="radiogroup" aria-label="Side">
    {#each ['left', 'right', 'road', 'over'] as s (s)}
      <button
        type="button"
        role="radio"
        aria-checked={side === s}
        class={['btn grow', side === s && 'btn-primary']}
        onclick={() => (side = s)}>{s}</button
      >
    {/each}
  </div>
  <div class="flex items-center gap-3">
    <FileButton accept="image/png,image/jpeg" data-photo onfile={(file) => (photo = file)}
      >{photo ? 'Another photo' : 'Photo'}</FileButton
    >
    {#if photo}<span class="min-w-0 truncate">{photo.name}</span>{/if}
  </div>
  {#if photo}
    <label class="flex items-center gap-2">
      <input type="checkbox" class="checkbox h-7 w-7" bind:checked={keepPlace} />
      keep where it was taken
    </label>
  {/if}
  <button class="btn btn-primary h-12" disabled={walk.busy}>Note it down</button>
</form>
