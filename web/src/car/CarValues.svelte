<!-- @component Every value of the car with its unit, to be changed and seen in the lap. -->
<script lang="ts">
  import Undo from '@lucide/svelte/icons/rotate-ccw';
  import { untrack } from 'svelte';
  import { useBook } from '../book/book-state.svelte';
  import { navigate } from '../router';
  import NumberInput from '../ui/NumberInput.svelte';
  import Problem from '../ui/Problem.svelte';
  import { gain, lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { allValues } from './car-values';
  import { TriedCar } from './changed-car.svelte';

  const book = useBook();
  const tried = new TriedCar(book.id, () => book.draft());
  const answer = $derived(tried.asking.answer);
  const problem = $derived(tried.problem ?? tried.asking.problem);
  let naming = $state(false);

  $effect(() => {
    void book.history;
    untrack(() => void tried.ask());
  });

  async function keep(name: string) {
    naming = false;
    const { carId, circuitId } = book.book!;
    const id = await tried.keep(carId, circuitId, name);
    if (id) await navigate('/books/:id/car', { params: { id } });
  }
</script>

{#if problem}<Problem
    {problem}
    onclose={() => {
      tried.clear();
      tried.asking.problem = undefined;
    }}
  />{/if}
{#if answer}
  <p class="leading-snug">
    Change a figure and see what it does to the lap, on the line of this book. The car itself stays
    as it is: what is changed is kept as another car with a book of its own.
  </p>
  <div
    class={[
      'figures flex flex-wrap items-center gap-x-3 py-1 text-lg',
      tried.count && 'bg-base-100 border-base-content sticky top-0 z-10 border-b-2',
    ]}
    aria-live="polite"
    data-tried
  >
    {#if tried.count}
      <span class="grow">
        {tried.count === 1 ? 'One value' : `${tried.count} values`} changed:
        {#if tried.asking.running}computing …{:else}
          <strong>{lapTime(answer.lap_s)}</strong>, {gain(answer.lap_s - answer.was_s)} · top
          {preferences.speedText(answer.topSpeed_mps)}
        {/if}
      </span>
      <button class="btn btn-ghost" onclick={() => tried.putBack()}>Put all back</button>
      <button class="btn btn-primary" disabled={tried.busy} onclick={() => (naming = true)}
        >{tried.busy ? 'Computing …' : 'Keep as another car'}</button
      >
    {:else}
      As it is: {lapTime(answer.was_s)}, top {preferences.speedText(answer.wasTopSpeed_mps)}.
    {/if}
  </div>
  <div class="grid gap-x-8 sm:grid-cols-2 xl:grid-cols-3" data-values>
    {#each allValues(answer.car) as group (group.name)}
      <section class="min-w-0">
        <h3 class="pt-2 text-xl font-semibold">{group.name}</h3>
        {#each group.values as value (value.pointer)}
          <div class="flex items-start gap-1">
            <div class="min-w-0 grow">
              <NumberInput
                label={value.name}
                unit={value.unit}
                decimals={value.decimals}
                min={0}
                value={value.value}
                onchange={(v) => tried.change(value.pointer, v)}
              />
            </div>
            {#if tried.changes[value.pointer] !== undefined}
              <button
                class="btn btn-ghost w-11 px-0"
                aria-label="{value.name}: as it was"
                onclick={() => tried.change(value.pointer, undefined)}><Undo size={18} /></button
              >
            {/if}
          </div>
        {/each}
      </section>
    {/each}
  </div>
{:else if !problem}<p role="status">Reading the car …</p>{/if}
{#if naming}
  {#await import('../shelf/NameDialog.svelte') then { default: NameDialog }}
    <NameDialog
      title="What is the changed car called?"
      name="{book.book!.car}, changed"
      onname={keep}
      onclose={() => (naming = false)}
    />
  {/await}
{/if}
