<script lang="ts">
  import type { Conditions, SurfacePart } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import Amount from '../ui/Amount.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { fieldWords } from './field-words';
  import { SURFACES } from './words';
  import { useSession } from './session-state.svelte';

  const session = useSession();
  const book = useBook();
  const trace = $derived(book.view!.trace);
  const parts = $derived(session.now!.conditions.parts ?? []);
  const set = (next: SurfacePart[]) =>
    session.setConditions({ parts: next.length ? next : undefined });
  const change = (i: number, part: Partial<SurfacePart>) =>
    set(parts.map((p, k) => (k === i ? { ...p, ...part } : p)));
  const shown = (m: number) => Math.round(lengthIn(m, preferences.length));
  const error = $derived(session.refusedOf('parts'));

  /** Known damp places of the circuit that are no part yet. */
  const known = $derived(
    trace.zones.filter(
      (z) =>
        ['DAMP_SHADE', 'DRAIN', 'DIP'].includes(z.type) &&
        !parts.some((p) => Math.abs(p.from_m - z.fromM) < 1),
    ),
  );

  function wetterThan(surface: Conditions['surface']): Conditions['surface'] {
    return surface === 'dry' ? 'damp' : 'wet';
  }

  function add(from_m: number, to_m: number) {
    set([...parts, { from_m, to_m, surface: wetterThan(session.now!.conditions.surface) }]);
  }
</script>

<h3 class="figures pt-2 text-lg font-semibold">Parts with another surface</h3>
{#each parts as part, i (i)}
  <div class="figures flex items-center gap-1 py-0.5" data-part={i}>
    <select
      class="select h-11 w-20 px-2 text-base"
      aria-label="Surface of part {i + 1}"
      value={part.surface}
      onchange={(e) => change(i, { surface: e.currentTarget.value as Conditions['surface'] })}
    >
      {#each Object.entries(SURFACES) as [key, words] (key)}<option value={key}>{words}</option
        >{/each}
    </select>
    {#each ['from_m', 'to_m'] as const as end (end)}
      <span>{end === 'from_m' ? '' : '–'}</span>
      <Amount
        label="Part {i + 1} {end === 'from_m' ? 'from' : 'to'}"
        own
        value={lengthIn(part[end], preferences.length)}
        unit={end === 'to_m' ? preferences.length : ''}
        min={0}
        max={Math.round(lengthIn(trace.length_m, preferences.length))}
        onchange={(figure) => change(i, { [end]: lengthFrom(figure, preferences.length) })}
      />
    {/each}
    <button
      class="btn btn-ghost w-11 px-0"
      aria-label="Remove part {i + 1}"
      onclick={() => set(parts.filter((_, k) => k !== i))}>×</button
    >
  </div>
{/each}
{#if error}
  <p role="alert" class="text-error font-semibold">! {fieldWords(error)}</p>
{/if}
<div class="flex flex-wrap gap-1 pt-1">
  {#each known.slice(0, 3) as zone (zone.fromM)}
    <button class="btn font-normal" onclick={() => add(zone.fromM, zone.toM)}
      >+ {zone.note || 'damp place'}, {shown(zone.fromM)} {preferences.length}</button
    >
  {/each}
  <button class="btn btn-ghost" onclick={() => add(0, Math.min(200, trace.length_m))}
    >+ another part</button
  >
</div>
