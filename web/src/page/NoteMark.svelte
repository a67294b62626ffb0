<!-- @component What stands here? The second of the two touches that note a mark. -->
<script lang="ts">
  import type { CornerPage, Trace } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { between } from '../strip/lap-axis';
  import Dialog from '../ui/Dialog.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import Problem from '../ui/Problem.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { MARK_KINDS, type MarkKind } from './mark-kinds';
  import { useNoted } from './noted-marks.svelte';

  interface Props {
    page: CornerPage;
    /** Where it stands: the place that was pressed. */
    station: number;
    side: 'LEFT' | 'RIGHT';
    onclose: () => void;
  }
  const { page, station: pressed, side: pressedSide, onclose }: Props = $props();
  const noted = useNoted()!;
  const book = useBook();
  const trace: Trace = $derived(book.view!.trace);
  // svelte-ignore state_referenced_locally
  let station = $state(pressed);
  // svelte-ignore state_referenced_locally
  let side = $state(pressedSide);
  /** Farther before the corner nobody aims by a mark for it. */
  const FARTHEST_M = 500;
  const before = $derived(between(trace, station, page.turnIn.at_m));

  async function note(kind: MarkKind) {
    await noted.note(kind, station, side, before);
    if (!noted.problem) onclose();
  }

  function place(metresBefore: number) {
    const lap = trace.length_m;
    const at = page.turnIn.at_m - metresBefore;
    station = trace.closed ? ((at % lap) + lap) % lap : Math.max(0, Math.min(lap, at));
  }
</script>

<Dialog title="What stands here?" {onclose}>
  {#if noted.problem}<Problem problem={noted.problem} onclose={() => noted.clear()} />{/if}
  <div class="flex flex-wrap items-center gap-x-6">
    <div class="join" role="group" aria-label="Side of the road">
      {#each ['LEFT', 'RIGHT'] as const as each (each)}
        <button
          class={['btn join-item', side === each && 'btn-neutral']}
          aria-pressed={side === each}
          onclick={() => (side = each)}>{each.toLowerCase()}</button
        >
      {/each}
    </div>
    <NumberInput
      label="Before turn-in"
      unit={preferences.length}
      decimals={0}
      value={lengthIn(before, preferences.length)}
      min={-Math.round(lengthIn(FARTHEST_M, preferences.length))}
      max={Math.round(lengthIn(FARTHEST_M, preferences.length))}
      onchange={(v) => place(lengthFrom(v!, preferences.length))}
    />
  </div>
  <div class="grid grid-cols-2 gap-2 pt-2 sm:grid-cols-3">
    {#each MARK_KINDS as kind (kind.type)}
      <button
        class="btn h-12 leading-tight font-normal"
        data-kind={kind.type}
        disabled={noted.busy}
        onclick={() => note(kind)}>{kind.words}</button
      >
    {/each}
  </div>
  <p class="text-neutral pt-2 leading-snug">
    It is noted at once. Its name, its height and how far aside it stands can be said later, on the
    circuit.
  </p>
</Dialog>
