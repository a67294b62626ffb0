<!-- @component Notes at a metre of a lap: kept, and shown when the replay comes by. -->
<script lang="ts">
  import type { LapPair, LapRemark } from '../api/laps';
  import { pairCalls } from '../api/pair-calls';
  import type { Working } from '../api/working.svelte';
  import { preferences } from '../units/preferences.svelte';

  interface Props {
    pair: LapPair;
    at: number;
    names: [string, string];
    working: Working;
    onlook: (station: number) => void;
    onchange: (pins: LapRemark[]) => void;
  }
  const { pair, at, names, working, onlook, onchange }: Props = $props();
  let words = $state('');
  const pins = $derived([...pair.pins].sort((a, b) => a.at_m! - b.at_m!));
  /** A note is of a driven lap: of the first one, unless that is the page. */
  const side = $derived(pair.first.session ? pair.first : pair.second);

  const pin = (event: SubmitEvent) => {
    event.preventDefault();
    return working.run(async () => {
      const kept = await pairCalls.pin(side.session!, {
        lap: side.id,
        at_m: Math.round(at),
        words: words.trim(),
      });
      words = '';
      onchange([...pair.pins, kept]);
    });
  };
  const remove = (id: string) =>
    working.run(async () => {
      await pairCalls.unpin(id);
      onchange(pair.pins.filter((p) => p.id !== id));
    });
</script>

{#if side.session}
  <form class="flex flex-wrap items-end gap-2 pb-2" onsubmit={pin}>
    <label class="grow"
      ><span class="block text-sm"
        >At {preferences.lengthText(at)}, of {side === pair.first ? names[0] : names[1]}</span
      ><input
        class="input h-11 w-full text-base"
        maxlength="500"
        placeholder="What is seen here"
        bind:value={words}
      /></label
    >
    <button class="btn" disabled={!words.trim() || working.busy}>Pin it here</button>
  </form>
{/if}
{#if pins.length === 0}
  <p class="text-neutral">
    No note is pinned to these laps yet. One shows whenever the replay comes by.
  </p>
{/if}
<ul data-pins>
  {#each pins as note (note.id)}
    <li class="border-base-300 flex items-center gap-3 border-b">
      <button class="link figures min-h-11 shrink-0" onclick={() => onlook(note.at_m!)}
        >{preferences.lengthText(note.at_m!)}</button
      >
      <span class="min-w-0 grow">{note.words}</span>
      <button
        class="btn btn-ghost"
        aria-label="Remove the note “{note.words}”"
        onclick={() => remove(note.id)}>Remove</button
      >
    </li>
  {/each}
</ul>
