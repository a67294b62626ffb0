<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { CarSummary, CircuitSummary } from '../circuit/types';
  import { leaveJob, waitForJob } from '../api/jobs';
  import type { LineChoice } from '../api/types';
  import { navigate } from '../router';
  import { say } from '../say/every';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import FileButton from '../ui/FileButton.svelte';
  import LongWork from '../ui/LongWork.svelte';

  let circuits = $state.raw<CircuitSummary[]>([]);
  let cars = $state.raw<CarSummary[]>([]);
  let circuitId = $state('');
  let carId = $state('');
  let name = $state('');
  let line = $state<LineChoice>('fastest');
  const working = new Working();
  const reading = new Working();
  const problem = $derived(working.problem ?? reading.problem);
  let news = $state<string[]>([]);
  let job = $state<{ id: string; progress: number }>();

  async function refresh() {
    [circuits, cars] = await Promise.all([api.circuits(), api.cars()]);
    // What was brought in last is what a book is most likely wanted of.
    circuitId ||= circuits.at(-1)?.id ?? '';
    carId ||= cars.at(-1)?.id ?? '';
  }
  void reading.run(refresh);

  async function takeCar(file: File) {
    news = [];
    await reading.run(async () => {
      const done = await api.importCar(file);
      carId = done.id;
      news = [`Taken in: ${done.name}.`, ...done.said.map(say)];
      await refresh();
    });
  }

  async function create(event: SubmitEvent) {
    event.preventDefault();
    reading.clear();
    await working.run(async () => {
      const answer = await api.createBook(circuitId, carId, name, line);
      const id =
        'id' in answer ? answer.id : await waitForJob(answer.job, (waiting) => (job = waiting));
      if (id) await navigate('/books/:id', { params: { id } });
    });
    job = undefined;
  }
</script>

<svelte:head><title>New book · Marvek</title></svelte:head>
<Header>New book</Header>
<main class="mx-auto max-w-3xl px-4 pb-8">
  <h1 class="mb-4 text-4xl font-bold">New book</h1>
  {#if problem}<div class="mb-4">
      <Problem
        {problem}
        onclose={() => {
          working.clear();
          reading.clear();
        }}
      />
    </div>{/if}
  {#if news.length}
    <ul role="status" class="rounded-box border-accent bg-base-200 mb-4 border-2 p-3">
      {#each news as line (line)}<li>{line}</li>{/each}
    </ul>
  {/if}
  <form class="grid gap-5" onsubmit={create}>
    {#snippet choice(
      label: string,
      list: (CircuitSummary | CarSummary)[],
      what: 'circuit' | 'car',
      hint: string,
    )}
      <fieldset class="grid gap-1">
        <label class="figures text-xl font-semibold" for={what}>{label}</label>
        <div class="flex gap-3">
          {#if what === 'circuit'}
            <select id={what} class="select h-12 grow" bind:value={circuitId} required>
              {#each list as item (item.id)}<option value={item.id}>{item.name}</option>{/each}
            </select>
          {:else}
            <select id={what} class="select h-12 grow" bind:value={carId} required>
              {#each list as item (item.id)}<option value={item.id}>{item.name}</option>{/each}
            </select>
          {/if}
          {#if what === 'circuit'}
            <a class="btn h-12" href="/circuits/new">Bring one in</a>
          {:else}
            <FileButton look="h-12" data-take="car" onfile={takeCar}>From a file</FileButton>
          {/if}
        </div>
        <p class="text-neutral">{hint}</p>
      </fieldset>
    {/snippet}
    {@render choice(
      'Circuit',
      circuits,
      'circuit',
      'One that is brought in is shown first, with what was understood of its file.',
    )}
    {@render choice('Car', cars, 'car', 'Car JSON; its schema is at /api/schemas/car.schema.json.')}
    <p class="-mt-4">
      No file of your car? <a class="link" href="/cars/new">Make it from ten facts.</a>
    </p>
    <label class="grid gap-1">
      <span class="figures text-xl font-semibold">Name of the book</span>
      <input
        class="input h-12 w-full"
        bind:value={name}
        maxlength="120"
        placeholder="left empty: circuit and car"
      />
    </label>
    <label class="grid gap-1">
      <span class="figures text-xl font-semibold">Line</span>
      <select class="select h-12 w-full" bind:value={line}>
        <option value="fastest">fastest: least time, found in a few seconds</option>
        <option value="smooth">smooth: bends least, found at once</option>
        <option value="centreline">centreline, to check the model against</option>
      </select>
    </label>
    <div class="flex items-center gap-3">
      <button class="btn btn-primary h-12 px-8" disabled={working.busy || !circuitId || !carId}>
        {working.busy ? 'Computing …' : 'Compute the reference'}
      </button>
      {#if job}
        <LongWork
          label="Computing the book"
          share={job.progress}
          oncancel={() => leaveJob(job!.id)}
        />
      {/if}
    </div>
  </form>
</main>
