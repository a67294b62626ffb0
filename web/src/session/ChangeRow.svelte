<script lang="ts">
  import type { Change, Decision } from '../api/sessions';
  import type { CornerPage, KerbUse, Trace } from '../api/types';
  import { FIELDS } from '../page/fields';
  import { KERB_USE, markWords } from '../page/words';
  import { between } from '../strip/lap-axis';
  import PlateShape from '../strip/PlateShape.svelte';
  import { platesOf } from '../strip/plates';
  import Altered from '../ui/Altered.svelte';
  import Decide from '../ui/Decide.svelte';
  import { typedAs } from '../units/altered';
  import { preferences } from '../units/preferences.svelte';
  import { alteredValue, changeWords, decide, valueWords } from './prepared';
  import { WHY } from './words';

  interface Props {
    change: Change;
    /** The page as it would be issued, and as it is. */
    page: CornerPage;
    before: CornerPage;
    trace: Trace;
    decision?: Decision;
    decisions: Decision[];
    busy: boolean;
    ondecide: (decisions: Decision[]) => void;
  }
  const { change, page, before, trace, decision, decisions, busy, ondecide }: Props = $props();

  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const field = $derived(change.field);
  const shape = $derived(
    platesOf(page).find((p) => p.letter === FIELDS[field].letter)?.shape ?? 'plain',
  );
  const value = $derived(
    decision?.choice === 'leave'
      ? change.before
      : decision?.choice === 'alter'
        ? decision.value
        : change.after,
  );
  const typed = $derived(typedAs(field));
  const kerb = $derived(field === 'kerbs.apex' || field === 'kerbs.exit');
  let altering = $state(false);

  function alter(si: number) {
    ondecide(decide(decisions, change, 'alter', alteredValue(change, si, trace)));
    altering = false;
  }

  function choose(choice: 'accept' | 'leave') {
    altering = false;
    ondecide(decide(decisions, change, choice));
  }

  const alterKerb = (use: string) =>
    ondecide(
      decide(
        decisions,
        change,
        'alter',
        (Object.keys(KERB_USE) as KerbUse[]).indexOf(use as KerbUse),
      ),
    );
</script>

<li class="border-base-300 border-b py-1.5" data-change={field}>
  <div class="flex items-center gap-3">
    <svg viewBox="-14 -14 28 28" class="h-7 w-7 shrink-0" aria-hidden="true"
      ><PlateShape letter={FIELDS[field].letter ?? ''} {shape} /></svg
    >
    <div class="min-w-0 grow leading-snug">
      <span class="text-neutral">{FIELDS[field].name}</span>
      <strong class="figures pl-1 text-xl">{changeWords(change, value, trace, writer)}</strong>
      <span class="block">
        {#if field === 'brake.at_m' && before.brake.target}{markWords(
            before.brake.target,
            writer.length,
          )}{:else}{valueWords(field, change.before, before, trace, writer)}{/if} →
        {#if field === 'brake.at_m' && page.brake.target && decision?.choice !== 'leave'}
          <strong>{markWords(page.brake.target, writer.length)}</strong>
        {:else}{valueWords(field, value, before, trace, writer)}{/if}
        <span class="text-neutral text-sm">· {WHY[change.why]}</span>
      </span>
    </div>
    <Decide
      label={FIELDS[field].name}
      choices={[
        ['accept', 'Accept'],
        ['leave', 'Leave'],
      ] as const}
      chosen={decision?.choice}
      closed={[
        ...(change.before == null ? (['leave'] as const) : []),
        ...(change.after == null ? (['alter'] as const) : []),
      ]}
      {busy}
      {altering}
      onchoose={choose}
      onalter={() => (altering = !altering)}
    />
  </div>
  {#if altering && kerb}
    <div class="figures flex items-center justify-end gap-2 pt-1">
      <select
        class="select h-11 w-40 text-base"
        aria-label="{FIELDS[field].name}, altered"
        onchange={(e) => alterKerb(e.currentTarget.value)}
      >
        {#each Object.entries(KERB_USE) as [use, words], i (use)}
          <option value={use} selected={i === value}>{words}</option>
        {/each}
      </select>
    </div>
  {:else if altering && value != null}
    <Altered
      label={FIELDS[field].name}
      {typed}
      value={typed === 'way' ? between(trace, change.before ?? value, value) : value}
      onalter={alter}
    />
  {/if}
</li>
