<script lang="ts">
  import type { OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { between } from '../strip/lap-axis';
  import Amount from '../ui/Amount.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { usePage } from './page-context';

  /** A place on the road that can be moved: metres past or before something that is known. */
  interface Props {
    field: OwnField;
    /** Station of the place [m]. */
    at: number;
    /** Station of what it is told by [m]; without one, the start line. */
    by?: number | false;
    /** What it is told by, in words. */
    thing?: string;
    label: string;
  }
  const { field, at, by: told, thing = 'the start line', label }: Props = $props();
  const by = $derived(told || 0);

  const book = useBook();
  const page = usePage();
  const trace = $derived(book.view!.trace);
  const past = $derived(by === 0 ? at : between(trace, by, at));
  const own = $derived((page().sources[field] ?? 'model') !== 'model');

  function move(metresPast: number) {
    const station = by + metresPast;
    const lap = trace.length_m;
    book.setOwn(page().corner, field, trace.closed ? ((station % lap) + lap) % lap : station);
  }

  /** No point of a corner lies farther from what it is told by; the server holds the same bound. */
  const FARTHEST_M = 900;
  const least = $derived(by === 0 ? Math.max(0, page().from_m - FARTHEST_M) : 0);
  const most = $derived(by === 0 ? Math.min(trace.length_m, page().to_m + FARTHEST_M) : FARTHEST_M);

  function typed(value: number) {
    const metres = lengthFrom(value, preferences.length);
    move(past < -0.5 ? -metres : metres);
  }
</script>

<Amount
  value={Math.abs(lengthIn(past, preferences.length))}
  {label}
  unit={preferences.length}
  min={Math.floor(lengthIn(least, preferences.length))}
  max={Math.ceil(lengthIn(most, preferences.length))}
  {own}
  onchange={typed}
/>
{#if by === 0}
  after
{:else}
  <button
    class="link min-h-11 min-w-11 decoration-dotted"
    aria-label="{label}: {past < -0.5 ? 'before' : 'past'}, change sides"
    title="before or past"
    onclick={() => move(-past)}>{past < -0.5 ? 'before' : 'past'}</button
  >
{/if}
{thing}
