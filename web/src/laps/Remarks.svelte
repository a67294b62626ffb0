<script lang="ts">
  import type { DrivenLap, LapRemark } from '../api/laps';

  import type { Causes, Finding } from '../api/laps';
  import { preferences } from '../units/preferences.svelte';
  import { perLap } from './causes';
  import { findingWords, wholeWords } from './finding-words';

  interface Props {
    /** What cost the laps their time, once it is known and may be seen. */
    causes?: Causes;
    corner: number;
    remarks: LapRemark[];
    laps: DrivenLap[];
    onsay: (words: string, author: 'driver' | 'coach', lap?: string) => Promise<boolean>;
    onremove: (id: string) => void;
  }
  const { causes, corner, remarks, laps, onsay, onremove }: Props = $props();
  const here = $derived(remarks.filter((r) => r.corner === corner || r.corner == null));
  const WHO = { DRIVER: 'Driver', COACH: 'Coach' };
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  /** What the accounts say to a remark: of its lap, or of what the laps have in common there. */
  function lapsSay(remark: LapRemark): string {
    const lap = laps.find((l) => `lap ${l.number}` === remark.lap);
    const parts = causes?.laps
      .find((l) => l.id === lap?.id)
      ?.corners.find((c) => c.corner === corner)?.parts;
    if (lap) {
      return (parts ?? [])
        .map((part) => `${findingWords(part, writer)} (${part.cost_s.toFixed(2)} s)`)
        .join('; ');
    }
    const dearest = (causes?.findings ?? [])
      .filter((f: Finding) => f.corner === corner && f.cost_s != null)
      .sort((a, b) => perLap(b) - perLap(a))[0];
    return dearest ? `${wholeWords(dearest, writer)} (${dearest.cost_s!.toFixed(2)} s)` : '';
  }
  let words = $state('');
  let author = $state<'driver' | 'coach'>('driver');
  let lap = $state('');
</script>

<div data-remarks>
  {#if here.length}
    <ul>
      {#each here as remark (remark.id)}
        <li class="border-base-300 flex items-start gap-2 border-b py-1.5">
          <p class="grow leading-snug">
            <strong>{WHO[remark.author]}</strong>{remark.lap ? `, ${remark.lap}` : ''}: {remark.words}
            {#if lapsSay(remark)}<span class="text-neutral block" data-laps-say
                >The laps say: {lapsSay(remark)}</span
              >{/if}
          </p>
          <button class="btn btn-ghost" onclick={() => onremove(remark.id)}>Take back</button>
        </li>
      {/each}
    </ul>
  {:else}
    <p class="text-neutral py-1">Nothing is said of this corner yet.</p>
  {/if}
  <form
    data-say-remark
    class="flex flex-wrap items-center gap-2 pt-2"
    onsubmit={async (e) => {
      e.preventDefault();
      if (await onsay(words, author, lap || undefined)) words = '';
    }}
  >
    <select class="select h-11 w-28 text-base" aria-label="Who says it" bind:value={author}>
      <option value="driver">Driver</option>
      <option value="coach">Coach</option>
    </select>
    <select class="select h-11 w-32 text-base" aria-label="Of which lap" bind:value={lap}>
      <option value="">all laps</option>
      {#each laps as l (l.id)}<option value="lap {l.number}">lap {l.number}</option>{/each}
    </select>
    <input
      class="input h-11 min-w-40 grow px-2 text-base"
      aria-label="Remark on corner {corner}"
      placeholder="what was it?"
      maxlength="500"
      bind:value={words}
    />
    <button class="btn">Say it</button>
  </form>
</div>
