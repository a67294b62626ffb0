<script lang="ts">
  import type { DrivenLap, Finding } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { preferences } from '../units/preferences.svelte';
  import { ACTIONS, findingWords } from './finding-words';

  interface Props {
    findings: Finding[];
    pages: CornerPage[];
    /** The laps that count. */
    laps: DrivenLap[];
    onchoose: (corner: number) => void;
    ondismiss: (finding: Finding, reason: string) => Promise<boolean>;
    onrestore: (note: string) => void;
  }
  const { findings, pages, laps, onchoose, ondismiss, onrestore }: Props = $props();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const key = (f: Finding) => `${f.corner} ${f.rule}`;
  const name = (corner: number) => pages.find((p) => p.corner === corner)?.name ?? '';
  const open = $derived(findings.filter((f) => !f.dismissed));
  const gone = $derived(findings.filter((f) => f.dismissed));
  const next = (corner: number) => {
    const i = pages.findIndex((p) => p.corner === corner);
    return pages[(i + 1) % pages.length].corner;
  };
  const numbers = (f: Finding) =>
    f.laps.map((id) => laps.find((l) => l.id === id)?.number ?? '?').join(', ');
  /** The finding that is being dismissed. */
  let asked = $state<string>();
  let reason = $state('');

  async function dismiss(event: SubmitEvent, finding: Finding) {
    event.preventDefault();
    if (await ondismiss(finding, reason)) {
      asked = undefined;
      reason = '';
    }
  }
</script>

<section class="pb-3" aria-label="Findings">
  {#if laps.length < 3}
    <p class="text-neutral">Three laps that count, and habits can be told from chance.</p>
  {:else if open.length === 0}
    <p class="font-semibold">Nothing stands out: the laps are driven as the pages are written.</p>
  {:else}
    <ol data-findings>
      {#each open as finding (key(finding))}
        <li class="border-base-300 border-b py-1.5" data-finding={key(finding)}>
          <div class="flex items-start gap-3">
            <div class="min-w-0 grow leading-snug">
              <button
                class="figures link min-h-11 min-w-11 text-left text-lg font-semibold"
                onclick={() => onchoose(finding.corner)}
                >{finding.corner} {name(finding.corner)}</button
              >
              <strong class="pl-1">{findingWords(finding, writer)}</strong>,
              <span title="laps {numbers(finding)}"
                >on {finding.laps.length} of {finding.of} laps</span
              >.
              {#if (finding.inNext_s ?? 0) >= 0.02}
                {finding.inNext_s!.toFixed(2)} s of the corner's loss fall into corner {next(
                  finding.corner,
                )}.
              {/if}
              <span class="text-neutral block">{ACTIONS[finding.rule]}</span>
            </div>
            <p class="figures w-24 shrink-0 text-right text-lg leading-snug">
              {#if finding.cost_s != null}<strong>{finding.cost_s.toFixed(2)} s</strong>
                <span class="text-neutral block text-sm"
                  >a lap, {finding.sizedBy === 'model' ? 'by the model' : 'by the laps'}</span
                >
              {:else}<span class="text-neutral text-sm">not sized</span>{/if}
            </p>
            <button
              class="btn btn-ghost px-2"
              aria-expanded={asked === key(finding)}
              aria-label="Dismiss: {finding.corner} {findingWords(finding, writer)}"
              onclick={() => (asked = asked === key(finding) ? undefined : key(finding))}
              >Dismiss</button
            >
          </div>
          {#if asked === key(finding)}
            <form class="flex gap-2 pt-1" onsubmit={(e) => dismiss(e, finding)}>
              <input
                class="input h-11 grow px-2"
                aria-label="Why it is dismissed"
                placeholder="why: traffic, a test, meant that way …"
                maxlength="500"
                bind:value={reason}
              />
              <button class="btn" disabled={!reason.trim()}>Dismiss for these laps</button>
            </form>
          {/if}
        </li>
      {/each}
    </ol>
  {/if}
  {#if gone.length}
    <details class="pt-1" data-dismissed>
      <summary class="text-neutral min-h-11 cursor-pointer py-2"
        >{gone.length} dismissed for these laps</summary
      >
      <ul>
        {#each gone as finding (key(finding))}
          <li class="text-neutral flex items-center gap-2">
            <span class="grow"
              >{finding.corner}
              {name(finding.corner)}, {findingWords(finding, writer)}: {finding.dismissed!
                .reason}</span
            >
            <button class="btn btn-ghost" onclick={() => onrestore(finding.dismissed!.id)}
              >Show again</button
            >
          </li>
        {/each}
      </ul>
    </details>
  {/if}
</section>
