<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import type { Proposal } from '../api/laps';
  import type { CornerPage, Trace } from '../api/types';
  import { between } from '../strip/lap-axis';
  import Altered from '../ui/Altered.svelte';
  import Decide from '../ui/Decide.svelte';
  import { typedAs } from '../units/altered';
  import { preferences } from '../units/preferences.svelte';
  import { altered, changeOf, isJudgement, KINDS, valueOf, type Said } from './proposal-words';

  interface Props {
    proposal: Proposal;
    page: CornerPage;
    trace: Trace;
    said: Said | undefined;
    onsay: (said: Said) => void;
  }
  const { proposal, page, trace, said, onsay }: Props = $props();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const kind = $derived(KINDS[proposal.kind]);
  const now = $derived(said?.choice === 'alter' ? { ...proposal, after: said.value } : proposal);
  const judgement = $derived(isJudgement(proposal));
  const typed = $derived(typedAs(proposal.field));
  let altering = $state(false);

  function alter(si: number) {
    onsay({ choice: 'alter', value: altered(proposal, si, trace) });
    altering = false;
  }

  function choose(choice: 'accept' | 'refuse') {
    altering = false;
    onsay({ choice });
  }
  const seconds = (s: number) => `${Math.abs(s).toFixed(2)} s`;
</script>

<li class="border-base-300 border-b py-2" data-proposal="{proposal.corner} {proposal.kind}">
  <div class="flex items-start gap-3">
    <span
      class="figures border-base-content flex h-8 w-8 shrink-0 items-center justify-center rounded border-2 font-bold"
      aria-hidden="true">{kind.letter}</span
    >
    <div class="min-w-0 grow leading-snug">
      <span class="figures text-lg font-semibold">{cornerName(page)}</span>
      <span class="text-neutral">{kind.title}</span>
      <strong class="figures pl-1 text-xl">{changeOf(now, trace, writer)}</strong>
      {#if judgement}
        <span class="figures text-neutral"
          >{proposal.before == null ? 'not said before' : ''} · {proposal.count} laps</span
        >
        <span class="text-neutral block">{kind.why}</span>
      {:else}
        <span class="figures block"
          >{valueOf(proposal, proposal.before, page, trace, writer)} →
          <strong>{valueOf(now, now.after, page, trace, writer)}</strong>
          · {proposal.count}
          {proposal.count === 1 ? 'lap' : 'laps'}
          <span class="text-neutral text-sm">({proposal.laps.join('; ')})</span></span
        >
        <span class="text-neutral block">{kind.why}</span>
      {/if}
      {#if proposal.gain_s != null || proposal.page_s != null}
        <span class="figures block">
          {#if proposal.gain_s != null}Against how it is driven now: <strong
              >{seconds(proposal.gain_s)} a lap gained</strong
            >{/if}
          {#if proposal.page_s != null && Math.abs(proposal.page_s) >= 0.005}
            {proposal.gain_s != null ? '·' : ''} the page's own lap: {seconds(proposal.page_s)}
            {proposal.page_s > 0 ? 'slower' : 'faster'}{/if}
          <span class="text-neutral text-sm">(model)</span>
        </span>
      {/if}
    </div>
    <Decide
      label="{proposal.corner}, {kind.title}"
      choices={[
        ['accept', 'Accept'],
        ['refuse', 'Refuse'],
      ] as const}
      chosen={said?.choice}
      {altering}
      onchoose={choose}
      onalter={() => (altering = !altering)}
    />
  </div>
  {#if altering}
    <Altered
      label="{proposal.corner}, {kind.title}"
      {typed}
      value={typed === 'way' ? between(trace, now.before ?? now.after, now.after) : now.after}
      onalter={alter}
    />
  {/if}
</li>
