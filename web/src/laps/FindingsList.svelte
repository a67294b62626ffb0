<script lang="ts">
  import type { Causes, DrivenLap, Finding, Rule } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { preferences } from '../units/preferences.svelte';
  import { told, unexplained } from './causes';
  import { wholeWords } from './finding-words';
  import FindingRow from './FindingRow.svelte';
  import GuessFirst from './GuessFirst.svelte';
  import LapTold from './LapTold.svelte';

  interface Props {
    /** Undefined while they are looked for. */
    causes: Causes | undefined;
    pages: CornerPage[];
    /** The laps that count. */
    laps: DrivenLap[];
    onchoose: (corner: number) => void;
    ondismiss: (finding: Finding, reason: string) => Promise<boolean>;
    onrestore: (note: string) => void;
    onguess: (corner: number, rule: Rule) => Promise<boolean>;
    /** Somebody wants to say it himself before he sees it. */
    guessing: boolean;
  }
  let {
    causes,
    pages,
    laps,
    onchoose,
    ondismiss,
    onrestore,
    onguess,
    guessing = $bindable(),
  }: Props = $props();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const shown = $derived(causes ? told(causes.findings, laps.length) : undefined);
  const rest = $derived(causes ? unexplained(causes) : undefined);
  const pageOf = (corner: number) => pages.find((p) => p.corner === corner);
  const numbers = (f: Finding) =>
    f.laps.map((id) => laps.find((l) => l.id === id)?.number ?? '?').join(', ');
  const key = (f: Finding) => `${f.corner} ${f.rule}`;
</script>

{#snippet row(finding: Finding, rank: number)}
  <FindingRow
    {finding}
    page={pageOf(finding.corner)}
    numbers={numbers(finding)}
    {rank}
    {onchoose}
    {ondismiss}
  />
{/snippet}

<section class="pb-3" aria-label="What cost the time">
  {#if !causes || !shown}
    <p class="text-neutral py-2 text-lg" role="status">Finding what cost the time …</p>
  {:else}
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h2 class="text-xl font-bold">
        {laps.length === 1 ? 'What cost this lap its time' : 'Three things to do next'}
      </h2>
      {#if causes.guesses.length === 0}
        <button
          class="btn btn-ghost px-2"
          aria-expanded={guessing}
          onclick={() => (guessing = !guessing)}
          >{guessing ? 'Show what the laps say' : 'Say it yourself first'}</button
        >
      {/if}
    </div>
    {#if guessing || causes.guesses.length > 0}
      <GuessFirst
        {pages}
        guesses={causes.guesses}
        findings={causes.findings}
        open={guessing}
        {onguess}
        onshow={() => (guessing = false)}
        ontakeback={onrestore}
      />
    {/if}
    {#if !guessing}
      {#if shown.next.length === 0}
        <p class="font-semibold">
          Nothing stands out: the laps are driven as the pages are written.
        </p>
      {:else}
        <ol class="flex flex-col gap-1" data-findings>
          {#each shown.next as finding, i (key(finding))}{@render row(finding, i + 1)}{/each}
        </ol>
      {/if}
      {#if laps.length < 3}
        <p class="text-neutral py-1">Three laps that count, and habits can be told from chance.</p>
      {/if}
      {#if shown.more.length}
        <details class="pt-1" data-more>
          <summary class="min-h-11 cursor-pointer py-2"
            >{shown.more.length} more that cost 0.03 s or more</summary
          >
          <ul>
            {#each shown.more as finding (key(finding))}{@render row(finding, 0)}{/each}
          </ul>
        </details>
      {/if}
      {#if shown.small.length}
        <details data-small>
          <summary class="text-neutral min-h-11 cursor-pointer py-2"
            >{shown.small.length} small or without a size</summary
          >
          <ul>
            {#each shown.small as finding (key(finding))}{@render row(finding, 0)}{/each}
          </ul>
        </details>
      {/if}
      {#if rest !== undefined && Math.abs(rest) >= 0.02}
        <p class="text-neutral py-1" data-unexplained>
          Not explained: <strong class="figures">{rest.toFixed(2)} s</strong> a lap. It is given to no
          cause.
        </p>
      {/if}
      <LapTold {causes} {pages} {laps} {onchoose} />
      {#if shown.dismissed.length}
        <details class="pt-1" data-dismissed>
          <summary class="text-neutral min-h-11 cursor-pointer py-2"
            >{shown.dismissed.length} dismissed for these laps</summary
          >
          <ul>
            {#each shown.dismissed as finding (key(finding))}
              <li class="text-neutral flex items-center gap-2">
                <span class="grow"
                  >{finding.corner}
                  {pageOf(finding.corner)?.name ?? ''}, {wholeWords(finding, writer)}: {finding
                    .dismissed!.reason}</span
                >
                <button class="btn btn-ghost" onclick={() => onrestore(finding.dismissed!.id)}
                  >Show again</button
                >
              </li>
            {/each}
          </ul>
        </details>
      {/if}
    {/if}
  {/if}
</section>
