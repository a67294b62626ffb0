<script lang="ts">
  import type { Finding } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { preferences } from '../units/preferences.svelte';
  import { ACTIONS, findingWords } from './finding-words';

  interface Props {
    findings: Finding[];
    pages: CornerPage[];
    /** How many laps count. */
    laps: number;
    onchoose: (corner: number) => void;
  }
  const { findings, pages, laps, onchoose }: Props = $props();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const name = (corner: number) => pages.find((p) => p.corner === corner)?.name ?? '';
</script>

<section class="pb-3" aria-label="Findings">
  {#if laps < 3}
    <p class="text-neutral">Three laps that count, and habits can be told from chance.</p>
  {:else if findings.length === 0}
    <p class="font-semibold">Nothing stands out: the laps are driven as the pages are written.</p>
  {:else}
    <ol data-findings>
      {#each findings as finding (`${finding.corner} ${finding.rule}`)}
        <li class="border-base-300 flex items-start gap-3 border-b py-1.5">
          <div class="min-w-0 grow leading-snug">
            <button
              class="figures link text-lg font-semibold"
              onclick={() => onchoose(finding.corner)}
              >{finding.corner} {name(finding.corner)}</button
            >
            <strong class="pl-1">{findingWords(finding, writer)}</strong>, on {finding.laps} of {finding.of}
            laps.
            <span class="text-neutral block">{ACTIONS[finding.rule]}</span>
          </div>
          <p class="figures w-24 shrink-0 text-right text-lg">
            {#if finding.cost_s != null}<strong>{finding.cost_s.toFixed(2)} s</strong>
              <span class="text-neutral block text-sm">a lap, by the model</span>
            {:else}<span class="text-neutral text-sm">not sized</span>{/if}
          </p>
        </li>
      {/each}
    </ol>
  {/if}
</section>
