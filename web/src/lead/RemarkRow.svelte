<!-- @component A remark: what was said, what his laps say of it, and whether it was taken. -->
<script lang="ts">
  import type { GroupRemark } from '../api/lead';
  import type { CornerPage } from '../api/types';
  import { findingWords } from '../laps/finding-words';
  import { preferences } from '../units/preferences.svelte';
  import { findingOf } from './lead-day';
  import { useLead } from './lead-state.svelte';

  const { remark, pages }: { remark: GroupRemark; pages: CornerPage[] } = $props();
  const desk = useLead();
  const finding = $derived(findingOf(desk.lead!.findings, remark));
  const place = $derived(
    remark.corner === 0
      ? 'The lap'
      : `${remark.corner} ${pages.find((p) => p.corner === remark.corner)?.name ?? ''}`,
  );
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
</script>

<li class="border-base-300 flex items-center gap-2 border-b py-1.5" data-remark={remark.state}>
  <div class="min-w-0 grow leading-snug">
    <span class="figures text-lg font-semibold">{place}: {remark.words}</span>
    <span class="text-neutral text-sm">
      {remark.own ? 'own words, ' : ''}lap {remark.lap}{remark.good
        ? ''
        : remark.state === 'taken'
          ? `, taken on lap ${remark.closedOnLap}`
          : remark.state === 'not-taken'
            ? `, not taken on lap ${remark.closedOnLap}`
            : ''}
    </span>
    {#if finding}
      <span class="block text-sm" data-found
        >Laps read in: {findingWords(finding, writer)}, on {finding.laps} of {finding.of}{finding.cost_s !=
        null
          ? `, ${finding.cost_s.toFixed(2)} s a lap`
          : ''}.</span
      >
    {/if}
  </div>
  {#if remark.good}
    <span class="figures">✓</span>
  {:else if remark.state === 'open'}
    <button class="btn px-3" onclick={() => desk.see(remark, 'taken')}>✓ Taken</button>
    <button class="btn px-3" onclick={() => desk.see(remark, 'not-taken')}>✕ Not yet</button>
  {:else}
    <span class="figures whitespace-nowrap"
      >{remark.state === 'taken' ? '✓ taken' : '✕ not taken'}</span
    >
    <button class="btn btn-ghost px-2" onclick={() => desk.see(remark, 'open')}>Open again</button>
  {/if}
  <button
    class="btn btn-ghost px-2"
    aria-label="Take back: {place}, {remark.words}"
    onclick={() => desk.takeBack(remark)}>Take back</button
  >
</li>
