<!-- @component The car as the laps have it, value by value, kept whole or in part as another car. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { lapCalls } from '../api/lap-calls';
  import type { CarOfLaps } from '../api/laps';
  import { Working } from '../api/working.svelte';
  import { useBook } from '../book/book-state.svelte';
  import { TriedCar } from '../car/changed-car.svelte';
  import { navigate } from '../router';
  import { gain, lapTime } from '../units/format';
  import NumberInput from '../ui/NumberInput.svelte';
  import Problem from '../ui/Problem.svelte';
  import { changesOf, differing, lineOf } from './car-of-laps';

  interface Props {
    session: string;
  }
  const { session }: Props = $props();
  const book = useBook();
  // What the sheet does is among the changes: without it nothing counts twice.
  const tried = new TriedCar(book.id, () => ({ ...book.draft(), setup: undefined }));
  const working = new Working();
  /** With driver and fuel, as the book has it. */
  let bookKg = $state(0);
  let car = $state.raw<CarOfLaps>();
  let chosen = $state.raw<Set<string>>(new Set());
  let weighed = $state<number>();
  let usedPct = $state<number>();
  let naming = $state(false);
  const lines = $derived(car?.values.map(lineOf) ?? []);
  const answer = $derived(tried.asking.answer);
  const problem = $derived(working.problem ?? tried.problem ?? tried.asking.problem);

  const load = () =>
    working.run(async () => {
      const first = car === undefined;
      car = await lapCalls.carOfLaps(
        session,
        weighed ?? undefined,
        usedPct ? usedPct / 100 : undefined,
      );
      if (first) {
        chosen = differing(car);
        bookKg = car.mass_kg;
      }
      tried.set(changesOf(car, chosen));
    });
  untrack(() => void load());

  function choose(key: string, take: boolean) {
    const others = [...chosen].filter((k) => k !== key);
    chosen = new Set(take ? [...others, key] : others);
    if (car) tried.set(changesOf(car, chosen));
  }

  async function keep(name: string) {
    naming = false;
    const { carId, circuitId } = book.book!;
    const id = await tried.keep(carId, circuitId, name);
    if (id) await navigate('/books/:id/car', { params: { id } });
  }
</script>

<section class="border-base-300 rounded border-2 p-3 leading-snug" data-car-of-laps>
  <h2 class="figures text-xl font-semibold">The car by these laps</h2>
  {#if problem}<Problem
      {problem}
      onclose={() => {
        working.clear();
        tried.clear();
        tried.asking.problem = undefined;
      }}
    />{/if}
  {#if car && lines.length === 0}
    <p class="text-neutral">
      {car.laps < 3
        ? 'Three laps that count tell the car; these are fewer.'
        : 'These laps tell nothing of the car: they have no pedals, or too little of everything.'}
    </p>
  {:else if car}
    <table class="figures w-full text-base">
      <thead>
        <tr class="border-base-content border-b-2 text-left text-sm">
          <th scope="col">take</th><th scope="col" class="text-right">book</th><th
            scope="col"
            class="text-right">laps</th
          ><th scope="col" class="text-right">±</th>
        </tr>
      </thead>
      <tbody>
        {#each lines as line (line.key)}
          <tr class="border-base-300 h-11 border-b" data-car-value={line.key}>
            <td>
              <label class="flex min-h-11 items-center gap-2"
                ><input
                  type="checkbox"
                  class="checkbox"
                  checked={chosen.has(line.key)}
                  onchange={(e) => choose(line.key, e.currentTarget.checked)}
                />{line.name}{#if line.unit}<span class="text-neutral text-sm">{line.unit}</span
                  >{/if}</label
              >
            </td>
            <td class="text-neutral text-right">{line.book}</td>
            <td class={['text-right', line.value.differs && 'font-bold']}>{line.laps}</td>
            <td class="text-neutral text-right">{line.within}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="text-neutral pt-1 text-sm">
      ± twice the standard error; bold is another value beyond doubt. Two things laps cannot tell:
      forces show over the mass alone, and what tyres have from what you leave of them. One number
      each settles it:
    </p>
    <div class="flex flex-wrap gap-x-4">
      <NumberInput
        label="Weighed with driver and fuel"
        unit="kg"
        value={weighed}
        optional
        min={Math.ceil(bookKg / 2)}
        max={Math.floor(2 * bookKg)}
        onchange={(kg) => {
          weighed = kg;
          void load();
        }}
      />
      <NumberInput
        label="Of the grip you use"
        unit="%"
        value={usedPct}
        optional
        min={50}
        max={100}
        onchange={(pct) => {
          usedPct = pct;
          void load();
        }}
      />
    </div>
    <p class="figures py-1 text-lg" aria-live="polite" data-predicted>
      {#if tried.asking.running || !answer}Computing its lap …{:else}
        With what is taken <strong>{lapTime(answer.lap_s)}</strong>, {gain(
          answer.lap_s - answer.was_s,
        )} to the book’s car.
      {/if}
      {#if car.best_s != null && car.median_s != null}
        Driven: best {lapTime(car.best_s)}, middle {lapTime(car.median_s)}.
      {/if}
    </p>
    <button class="btn" disabled={tried.busy || tried.count === 0} onclick={() => (naming = true)}
      >{tried.busy ? 'Computing …' : 'Keep as another car, with a book'}</button
    >
  {:else if !problem}<p role="status">Asking the laps for the car …</p>{/if}
</section>
{#if naming}
  {#await import('../shelf/NameDialog.svelte') then { default: NameDialog }}
    <NameDialog
      title="What is the measured car called?"
      name="{book.book!.car}, measured"
      onname={keep}
      onclose={() => (naming = false)}
    />
  {/await}
{/if}
