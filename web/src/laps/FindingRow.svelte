<script lang="ts">
  import type { Finding } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { preferences } from '../units/preferences.svelte';
  import { ACTIONS, oftenWords, wholeWords } from './finding-words';

  interface Props {
    finding: Finding;
    page: CornerPage | undefined;
    /** Numbers of the laps that show it. */
    numbers: string;
    /** Its place among those to do next; 0 for the others. */
    rank?: number;
    onchoose: (corner: number) => void;
    ondismiss: (finding: Finding, reason: string) => Promise<boolean>;
  }
  const { finding, page, numbers, rank = 0, onchoose, ondismiss }: Props = $props();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const words = $derived(wholeWords(finding, writer));
  const place = $derived(`${finding.corner} ${page?.name ?? ''}`.trim());
  const least = 0.02;
  const costWords = $derived(
    [
      finding.laps.length > 1 ? `± ${(finding.spread_s ?? 0).toFixed(2)} a lap` : 'in that lap',
      (finding.share ?? 0) >= 0.01 ? `${Math.round(100 * finding.share!)} % of the loss` : '',
    ]
      .filter(Boolean)
      .join(', '),
  );
  let asking = $state(false);
  let reason = $state('');

  async function dismiss(event: SubmitEvent) {
    event.preventDefault();
    if (await ondismiss(finding, reason)) {
      asking = false;
      reason = '';
    }
  }
</script>

<li
  class={['border-base-300 border-b py-1.5', rank > 0 && 'bg-base-200 rounded px-2']}
  data-finding="{finding.corner} {finding.rule}"
>
  <div class="flex flex-wrap items-start gap-x-3">
    {#if rank}<span class="figures w-5 shrink-0 text-2xl font-bold" aria-hidden="true">{rank}</span
      >{/if}
    <div class="min-w-0 flex-1 basis-60 leading-snug">
      <button
        class="figures link min-h-11 min-w-11 text-left text-lg font-semibold"
        onclick={() => onchoose(finding.corner)}>{place}</button
      >
      <strong class="pl-1">{words}</strong>,
      <span title="laps {numbers}">{oftenWords(finding)}</span>.
      {#if (finding.later_s ?? 0) >= least}
        {finding.later_s!.toFixed(2)} s of it are paid behind the next corner’s lift.
      {/if}
      <span class="text-neutral block">{ACTIONS[finding.rule]}</span>
    </div>
    <p class="figures ml-auto shrink-0 text-right text-lg leading-snug">
      {#if finding.cost_s != null}
        <strong>{finding.cost_s.toFixed(2)} s</strong>
        <span class="text-neutral block text-sm">{costWords}</span>
        {#if finding.own_s != null}<span class="text-neutral block text-sm"
            >{finding.own_s >= least
              ? `${finding.own_s.toFixed(2)} s to your own best there`
              : 'as your own best there'}</span
          >{/if}
      {:else}<span class="text-neutral text-sm">not sized</span>{/if}
    </p>
    <button
      class="btn btn-ghost px-2"
      aria-expanded={asking}
      aria-label="Dismiss: {place} {words}"
      onclick={() => (asking = !asking)}>Dismiss</button
    >
  </div>
  {#if asking}
    <form class="flex flex-wrap gap-2 pt-1" onsubmit={dismiss}>
      <input
        class="input h-11 min-w-40 grow px-2"
        aria-label="Why it is dismissed"
        placeholder="why: traffic, a test, meant that way …"
        maxlength="500"
        bind:value={reason}
      />
      <button class="btn" disabled={!reason.trim()}>Dismiss for these laps</button>
    </form>
  {/if}
</li>
