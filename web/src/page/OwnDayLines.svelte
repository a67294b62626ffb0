<!-- @component What the driver does on other days, beside what stands on the page. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Variant } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import Problem from '../ui/Problem.svelte';
  import { between } from '../strip/lap-axis';
  import { lengthFrom, lengthIn, speedFrom, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import {
    bolderWords,
    daysOf,
    earlier,
    OWN_DAYS,
    placeOf,
    variantWords,
    withVariant,
    type OwnDay,
  } from './annotations';
  import Line from './Line.svelte';
  import { usePage } from './page-context';
  import { KERB_USE } from './words';

  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const trace = $derived(book.view!.trace);
  let day = $state<OwnDay>('cold');
  const values = $derived<Variant>(p.variants?.[day] ?? {});

  const put = (field: keyof Variant, value: number | string | undefined) =>
    book.setOwn(p.corner, 'variants', withVariant(p.variants, day, field, value));
  const PLACES = [
    ['brake.at_m', 'Brake earlier'],
    ['turnIn.at_m', 'Turn in earlier'],
    ['throttle.first_m', 'Throttle earlier'],
    ['throttle.full_m', 'Flat earlier'],
  ] as const;
  const KERBS = [
    ['kerbs.apex', 'Kerb at the apex'],
    ['kerbs.exit', 'Kerb at the exit'],
  ] as const;
  function shift(field: (typeof PLACES)[number][0]): number | undefined {
    const then = values[field];
    return then === undefined ? undefined : -between(trace, placeOf(p, field)!, then);
  }
  function clear(of: OwnDay) {
    const rest = Object.entries(p.variants ?? {}).filter(([each]) => each !== of);
    book.setOwn(p.corner, 'variants', rest.length ? Object.fromEntries(rest) : undefined);
  }
  const refused = $derived(book.problem?.field?.includes('variants') ? book.problem : undefined);
</script>

<Line letter="O" shape="plain" title="Other days" screenOnly={!daysOf(p).length}>
  <ul data-own-days>
    {#each daysOf(p) as each (each)}
      <li class="flex items-center gap-2">
        <span class="grow" data-own-day={each}
          ><strong class="inline-block first-letter:uppercase">{OWN_DAYS[each]}</strong>: {variantWords(
            p,
            p.variants![each]!,
            trace,
            preferences.writer,
          )}.{#if p.variantsBolder?.[each]}
            <span class="text-warning block font-semibold" data-bolder
              >Not told: {bolderWords(p, each, trace, preferences.writer)}. That is bolder than the
              page.</span
            >{/if}</span
        >
        <button
          class="btn btn-ghost w-11 px-0 print:hidden"
          aria-label="{OWN_DAYS[each]}: as the page has it"
          title="as the page has it"
          onclick={() => clear(each)}><X size={18} /></button
        >
      </li>
    {:else}<li>As the page has it.</li>{/each}
  </ul>
  <details data-write-days class="print:hidden">
    <summary class="link min-h-11 content-center decoration-dotted"
      >Write what is otherwise then</summary
    >
    {#if refused}<Problem problem={refused} onclose={book.clear} />{/if}
    <label class="flex min-h-11 items-center gap-2"
      >On
      <select class="select h-11 w-40 px-2 text-base" data-day bind:value={day}>
        {#each Object.entries(OWN_DAYS) as [value, words] (value)}<option {value}>{words}</option
          >{/each}
      </select>
    </label>
    <div class="grid max-w-80">
      {#each PLACES.filter(([field]) => placeOf(p, field) !== undefined) as [field, label] (field)}
        <NumberInput
          {label}
          unit={preferences.length}
          decimals={0}
          optional
          value={shift(field) === undefined
            ? undefined
            : lengthIn(shift(field)!, preferences.length)}
          min={-200}
          max={300}
          onchange={(v) =>
            put(
              field,
              v === undefined
                ? undefined
                : earlier(trace, placeOf(p, field)!, lengthFrom(v, preferences.length)),
            )}
        />
      {/each}
      <NumberInput
        label="Gear in the corner"
        whole
        optional
        value={values['gears.corner']}
        min={1}
        max={12}
        onchange={(v) => put('gears.corner', v)}
      />
      <NumberInput
        label="Lowest speed"
        unit={preferences.speed}
        optional
        decimals={0}
        value={values['apexes.speed_mps'] === undefined
          ? undefined
          : speedIn(values['apexes.speed_mps'], preferences.speed)}
        min={5}
        max={500}
        onchange={(v) =>
          put('apexes.speed_mps', v === undefined ? v : speedFrom(v, preferences.speed))}
      />
      {#each KERBS as [field, label] (field)}
        <label class="flex min-h-11 items-center justify-between gap-2"
          >{label}
          <select
            class="select h-11 w-36 px-2 text-base"
            value={values[field] ?? ''}
            onchange={(e) => put(field, e.currentTarget.value || undefined)}
          >
            <option value="">as on the page</option>
            {#each Object.entries(KERB_USE) as [value, words] (value)}<option {value}
                >{words}</option
              >{/each}
          </select>
        </label>
      {/each}
    </div>
  </details>
</Line>
