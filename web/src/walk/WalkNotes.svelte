<script lang="ts">
  import { say } from '../say/every';
  import { preferences } from '../units/preferences.svelte';
  import type { WalkState } from './walk-state.svelte';
  import FileButton from '../ui/FileButton.svelte';

  const { walk }: { walk: WalkState } = $props();
  const notes = $derived(walk.walk!.notes);

  function send(file: File | undefined) {
    if (file) void walk.waypoints(file);
  }
</script>

<section aria-label="Notes of this walk">
  <div class="flex items-center justify-between">
    <h2 class="text-2xl font-bold">Noted so far</h2>
    <FileButton data-waypoints onfile={send}>Waypoints from GPX</FileButton>
  </div>
  <ul>
    {#each notes as note (note.id)}
      <li class="border-base-300 grid grid-cols-[4rem_1fr] gap-2 border-b py-2">
        <span class="figures text-right text-lg font-semibold"
          >{preferences.lengthText(note.station_m)}</span
        >
        <div>
          <p class="leading-snug">
            {note.words || 'photo'} <span class="text-neutral">({note.side})</span>
          </p>
          {#if note.photo}
            <img
              src="/api/walks/{walk.walk!.id}/notes/{note.id}/photo"
              alt="taken at {preferences.lengthText(note.station_m)}: {note.words}"
              class="mt-1 max-h-40 rounded"
              loading="lazy"
            />
          {/if}
          <div class="flex gap-2 pt-1">
            <button class="btn" onclick={() => walk.makeMark(note)}>Make it a mark</button>
            <button class="btn btn-ghost" onclick={() => walk.drop(note.id)}>Remove</button>
          </div>
        </div>
      </li>
    {:else}<li class="text-neutral py-2">Nothing yet.</li>{/each}
  </ul>
  {#if walk.walk!.changes.length}
    <h3 class="pt-3 text-lg font-semibold">Changed on this walk</h3>
    <ul class="list-disc pl-5" data-changes>
      {#each walk.walk!.changes as change, i (i)}<li>{say(change.said)}</li>{/each}
    </ul>
  {/if}
</section>
