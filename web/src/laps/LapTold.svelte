<script lang="ts">
  import type { Causes, DrivenLap } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { preferences } from '../units/preferences.svelte';
  import { lapTime } from '../units/format';
  import { toldOf } from './causes';
  import { findingWords } from './finding-words';

  interface Props {
    causes: Causes;
    pages: CornerPage[];
    /** The laps that count. */
    laps: DrivenLap[];
    onchoose: (corner: number) => void;
  }
  const { causes, pages, laps, onchoose }: Props = $props();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  let wanted = $state('');
  const best = $derived(laps.reduce((a, b) => (a.time_s! <= b.time_s! ? a : b)));
  const lap = $derived(laps.find((l) => l.id === wanted) ?? best);
  const accounts = $derived(causes.laps.find((l) => l.id === lap.id));
  const corners = $derived(accounts ? toldOf(accounts) : []);
  const name = (corner: number) => pages.find((p) => p.corner === corner)?.name ?? '';
  const seconds = (s: number) => `${s >= 0 ? '+' : '−'}${Math.abs(s).toFixed(2)} s`;
  /** What the corners do not have: brought over the line, less what the next lap pays. */
  const overTheLine = $derived(accounts ? accounts.brought_s - accounts.handedOn_s : 0);
</script>

<details class="pt-1" data-lap-told>
  <summary class="min-h-11 cursor-pointer py-2">One lap, told in the order it was driven</summary>
  <label class="flex flex-wrap items-center gap-2 pb-1"
    >Lap
    <select class="select h-11 w-44" bind:value={wanted} aria-label="Lap that is told">
      {#each laps as l (l.id)}
        <option value={l === best ? '' : l.id}
          >{l.number} · {lapTime(l.time_s!)}{l === best ? ' best' : ''}</option
        >
      {/each}
    </select>
    {#if accounts}<span class="figures">{seconds(accounts.lost_s)} to the page</span>{/if}
  </label>
  {#if corners.length === 0}
    <p class="text-neutral">It was driven as the pages are written.</p>
  {:else}
    <ol>
      {#each corners as c (c.corner)}
        <li class="border-base-300 flex items-baseline gap-3 border-b py-1" data-told={c.corner}>
          <div class="min-w-0 grow leading-snug">
            <button
              class="figures link min-h-11 min-w-11 text-left font-semibold"
              onclick={() => onchoose(c.corner)}>{c.corner} {name(c.corner)}</button
            >
            {#each c.parts as part, i (part.rule)}<span
                >{i ? '; ' : ''}{findingWords(part, writer)}
                <span class="figures text-neutral">({part.cost_s.toFixed(2)} s)</span></span
              >{/each}{#if Math.abs(c.unexplained_s) >= 0.03}<span class="text-neutral"
                >{c.parts.length ? '; ' : ''}not explained {seconds(c.unexplained_s)}</span
              >{/if}
          </div>
          <strong class="figures shrink-0">{seconds(c.lost_s)}</strong>
        </li>
      {/each}
    </ol>
    {#if Math.abs(overTheLine) >= 0.01}
      <p class="text-neutral pt-1">
        {seconds(overTheLine)} came over the start line from the lap before, less what the next one pays.
      </p>
    {/if}
  {/if}
</details>
