<!-- @component What somebody's lap would change on one's own pages, taken over value by value. -->
<script lang="ts">
  import type { LapValue, LapValues } from '../api/laps';
  import { pairCalls } from '../api/pair-calls';
  import type { CornerPage, OwnField, Trace } from '../api/types';
  import { Working } from '../api/working.svelte';
  import { useBook } from '../book/book-state.svelte';
  import { cornerName } from '../ui/corner-name';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { setMeasured } from './measured';
  import { cautionsOf, changeWords, costWords, titleOf } from './lap-values';

  interface Props {
    lap: string;
    pages: CornerPage[];
    trace: Trace;
  }
  const { lap, pages, trace }: Props = $props();
  const book = useBook();
  const working = new Working();
  let answer = $state.raw<LapValues>();
  let taken = $state.raw<Set<string>>(new Set());
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    across: (m: number) => preferences.acrossText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  /** The page is faster as it is from so much on. */
  const SLOWER_S = 0.02;
  const keyOf = (v: LapValue) => `${v.corner} ${v.field}`;
  /** What gains most first; what the page is faster without stands by itself. */
  const values = $derived(
    [...(answer?.values ?? [])].sort((a, b) => (a.page_s ?? 0) - (b.page_s ?? 0)),
  );
  const worth = $derived(values.filter((v) => (v.page_s ?? 0) <= SLOWER_S));
  const slower = $derived(values.filter((v) => (v.page_s ?? 0) > SLOWER_S));

  $effect(() => {
    const of = lap;
    answer = undefined;
    taken = new Set();
    void working.run(async () => {
      const told = await pairCalls.values(book.id, of);
      if (of === lap) answer = told;
    });
  });

  function take(value: LapValue) {
    const { corner, field, after } = value;
    void book.takeDraft(
      setMeasured(book.history!.now, corner, field as OwnField, after, [answer!.name]),
    );
    taken = new Set([...taken, keyOf(value)]);
  }
</script>

{#snippet rows(values: LapValue[])}
  {#each values as value (keyOf(value))}
    {@const page = pages.find((p) => p.corner === value.corner)}
    <li
      class="border-base-300 flex items-start gap-3 border-b py-2 leading-snug"
      data-lap-value={keyOf(value)}
    >
      <div class="min-w-0 grow">
        <span class="figures text-lg font-semibold">{page ? cornerName(page) : value.corner}</span>
        <span class="text-neutral">{titleOf(value.field)}</span>
        <strong class="figures block text-lg">{changeWords(value, trace, writer)}</strong>
        {#if value.copy}<span class="figures block">{costWords(value)}</span>{/if}
        {#each cautionsOf(value, trace, writer) as words (words)}
          <span class="block">{words}</span>
        {/each}
      </div>
      {#if value.copy}
        {#if taken.has(keyOf(value))}
          <span class="figures flex min-h-11 items-center" role="status">✓ in the draft</span>
        {:else}
          <button class="btn" onclick={() => take(value)}>Take over</button>
        {/if}
      {:else}
        <span class="text-neutral flex min-h-11 items-center">not copied</span>
      {/if}
    </li>
  {/each}
{/snippet}

{#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
{#if answer}
  <p class="pb-2 leading-snug">
    {answer.name}: grip <strong class="figures">{Math.round(100 * answer.grip)} %</strong> of the
    page’s; brake points and speeds are brought to yours.
    {answer.otherVehicle
      ? ' Another vehicle: its gears, pressures and full throttle are not copied.'
      : ''}
    What goes past your limits less their margin is held back. Work up to it from the safe mark; flags,
    officials and your instructor come first.
  </p>
  {#if values.length === 0}
    <p class="py-2 text-lg" data-no-values>
      Nothing that a driver could tell apart: this lap drives the page’s points.
    </p>
  {/if}
  <ul data-lap-values>{@render rows(worth)}</ul>
  {#if slower.length}
    <details>
      <summary class="link min-h-11 content-center decoration-dotted"
        >{slower.length} that the page is faster without</summary
      >
      <ul>{@render rows(slower)}</ul>
    </details>
  {/if}
{:else if !working.problem}<p role="status">Asking what this lap would change …</p>{/if}
