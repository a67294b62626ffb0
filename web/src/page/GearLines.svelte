<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { GearChange, OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { between, onLap } from '../strip/lap-axis';
  import Amount from '../ui/Amount.svelte';
  import Problem from '../ui/Problem.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import Line from './Line.svelte';
  import { usePage } from './page-context';
  import { FEET, gearWords, ownChanges, ownGear } from './work-words';

  /** Gears and their changes up to the next corner: in words, and to be written as driven. */
  const FIELDS: OwnField[] = ['gears.in', 'gears.out', 'gears.changes', 'feet'];
  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const gears = $derived({ in: p.gears.corner, out: p.gears.corner, changes: [], ...p.gears });
  const trace = $derived(book.view!.trace);
  const apex = $derived(p.apexes[0].at_m);
  const own = (field: OwnField) => (p.sources[field] ?? 'model') !== 'model';
  const along = (station: number) => between(trace, apex, station);
  const words = $derived(
    gearWords(gears, (station) => {
      const metres = along(station);
      return `${preferences.lengthText(Math.abs(metres))} ${metres < 0 ? 'before' : 'past'}`;
    }),
  );
  const wrapped = (station: number) => onLap(trace, station);

  const put = (changes: GearChange[]) => book.setOwnAll(p.corner, ownChanges(changes));
  const replaced = (i: number, change: GearChange) =>
    put(gears.changes.map((other, k) => (k === i ? change : other)));
  /** One more, a little behind the last. */
  function add(by: 1 | -1) {
    const last = gears.changes.at(-1);
    const from = last ? along(last.at_m) + 30 : along(p.exit.trackOut_m);
    const to = Math.max(1, (last?.to ?? gears.approach) + by);
    put([...gears.changes, { at_m: wrapped(apex + from), to }]);
  }
  const refused = $derived(
    book.problem?.field?.includes('gears.changes/') ? book.problem : undefined,
  );
</script>

{#snippet gear(field: 'gears.in' | 'gears.out', value: number, label: string)}
  <Amount
    {value}
    {label}
    min={1}
    max={12}
    own={own(field)}
    onchange={(v) => book.setOwnAll(p.corner, ownGear(field, v))}
  />
{/snippet}
<Line
  letter="G"
  shape="plain"
  title="Gears, as changed"
  screenOnly={!FIELDS.some(own)}
  fields={FIELDS}
>
  <span data-gear-work>{words}{own('feet') ? `; ${FEET[p.feet!]}` : ''}.</span>
  <details data-own-gears class="print:hidden">
    <summary class="link min-h-11 content-center decoration-dotted"
      >Write it as you drive it</summary
    >
    {#if refused}<Problem problem={refused} onclose={book.clear} />{/if}
    {#key book.problem}
      <p>
        {@render gear('gears.in', gears.in, 'Gear on the way in')} on the way in,
        {@render gear('gears.out', gears.out, 'Gear on the way out')} on the way out.
      </p>
      <ul>
        {#each gears.changes as change, i (i)}
          <li class="flex flex-wrap items-baseline gap-x-3">
            <span class="w-20">change to</span>
            <Amount
              value={change.to}
              label="Change {i + 1}, to which gear"
              min={1}
              max={12}
              own={own('gears.changes')}
              onchange={(to) => replaced(i, { ...change, to })}
            />
            <Amount
              value={lengthIn(along(change.at_m), preferences.length)}
              label="Change {i + 1}, past the apex"
              unit={preferences.length}
              min={-900}
              max={5000}
              own={own('gears.changes')}
              onchange={(v) =>
                replaced(i, {
                  ...change,
                  at_m: wrapped(apex + lengthFrom(v, preferences.length)),
                })}
            />
            <button
              class="btn btn-ghost w-11 self-center px-0"
              aria-label="Change {i + 1}: take it out"
              title="take it out"
              onclick={() => put(gears.changes.filter((_, k) => k !== i))}><X size={18} /></button
            >
          </li>
        {/each}
      </ul>
    {/key}
    <label class="flex flex-wrap items-center gap-2">
      Braking foot
      <select
        data-feet
        class="select h-11 w-72 px-2 text-base"
        value={own('feet') ? p.feet : ''}
        onchange={(e) => book.setOwn(p.corner, 'feet', e.currentTarget.value || undefined)}
      >
        <option value="">as on the rest of the lap</option>
        {#each Object.entries(FEET) as [value, said] (value)}<option {value}>{said}</option>{/each}
      </select>
    </label>
    <button class="btn btn-ghost font-normal" onclick={() => add(1)}>+ change up</button>
    <button class="btn btn-ghost font-normal" onclick={() => add(-1)}>+ change down</button>
    <p class="text-neutral text-sm">
      Places are past the apex, up to the next corner. A change up that is taken out holds the
      engine on its limiter.
    </p>
  </details>
</Line>
