<script lang="ts">
  import { lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { useBook } from './book-state.svelte';
  import CircuitPlan from './CircuitPlan.svelte';
  import ConditionsForm from './ConditionsForm.svelte';
  import LapBand from './LapBand.svelte';
  import LayoutNews from './LayoutNews.svelte';
  import Ledger from './Ledger.svelte';
  import LineForm from './LineForm.svelte';
  import MarksWanted from './MarksWanted.svelte';

  const book = useBook();
  const view = $derived(book.view!);
  let pointed = $state(0);
</script>

<svelte:head><title>{book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20 print:pb-0">
  <div class="desk:flex-nowrap desk:whitespace-nowrap flex flex-wrap items-baseline gap-x-5">
    <h1 class="text-3xl font-bold">{book.book!.name}</h1>
    <p class="figures text-lg" data-lap>
      <strong class="text-3xl">{lapTime(view.revision.lap.time_s)}</strong>
      · top {preferences.speedText(view.revision.lap.topSpeed_mps)} · {view.trace.topLateral_g.toFixed(
        2,
      )} g sideways · {view.trace.topBraking_g.toFixed(2)} g braking
    </p>
    <p class="text-neutral min-w-0 grow truncate text-right" title={book.base!.revision.reason}>
      {book.base!.revision.reason}
    </p>
  </div>
  <div class="print:hidden">
    <LayoutNews />
    <MarksWanted />
  </div>
  <LapBand {view} bookId={book.id} {pointed} />
  <div class="desk:flex gap-5 pt-1 print:block">
    <div class="min-w-0 grow"><Ledger bind:pointed /></div>
    <div
      class="desk:w-[296px] shrink-0 print:flex print:w-auto print:items-start print:gap-6 print:pt-3"
    >
      <div class="print:w-1/2 print:shrink-0"><CircuitPlan {view} {pointed} /></div>
      <div class="print:grow">
        <ConditionsForm />
        <LineForm />
      </div>
      <p class="text-neutral pt-3 text-[0.95rem] leading-snug print:hidden">
        Open a corner, type another number, and see what it costs. <kbd class="figures">?</kbd> shows
        the keys. Estimates of a model: work up from the safe marks, on closed courses only.
      </p>
    </div>
  </div>
</div>
