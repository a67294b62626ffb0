<script lang="ts">
  import { api } from '../api/client';
  import { navigate } from '../router';
  import { hourWords, inWords, nextOf, sessionName, stateWords } from '../session/words';
  import FileButton from '../ui/FileButton.svelte';
  import { me } from '../people/me.svelte';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import BookCard from './BookCard.svelte';
  import PutAway from './PutAway.svelte';
  import { ShelfState } from './shelf-state.svelte';
  import ThingMenu from './ThingMenu.svelte';
  import { nextStep } from './way-in';
  import WayIn from './WayIn.svelte';

  const shelf = new ShelfState();
  void shelf.load();
  const now = new Date();
  const next = $derived(nextOf(shelf.sessions, now));

  const importBook = (file: File) =>
    shelf.run(async () => {
      const { id } = await api.importBook(file);
      await navigate('/books/:id', { params: { id } });
    });

  const takeLastBack = () =>
    shelf.alter(async () => {
      await api.takeBack(shelf.last!.kind, shelf.last!.id);
      shelf.last = undefined;
    });
</script>

<svelte:head><title>Shelf · Marvek</title></svelte:head>
<Header>
  Shelf
  {#snippet actions()}
    {#if me.edits}<a class="btn btn-ghost px-2" href="/people">People and devices</a>{/if}
    {#if me.now.shared}<a class="btn btn-ghost px-2" href="/me">{me.now.name || 'You'}</a>{/if}
  {/snippet}
</Header>
<main class="mx-auto max-w-5xl px-4 pb-8" aria-busy={shelf.busy}>
  {#if shelf.problem}<Problem problem={shelf.problem} onclose={shelf.clear} />{/if}
  {#if shelf.filling}
    <p class="border-base-content rounded-box mb-4 border-2 p-3 text-lg" role="status" data-filling>
      Marvek is starting: {shelf.filling}. The demo comes onto the shelf when it is there.
    </p>
  {/if}
  {#if shelf.last}
    <p class="bg-base-200 rounded-box mb-4 flex flex-wrap items-center gap-x-3 p-2" role="status">
      <span class="grow">{shelf.last.name} is put away.</span>
      <button class="btn" onclick={takeLastBack} data-take-back>Take it back</button>
    </p>
  {/if}
  {#if shelf.books}
    {#if !shelf.filling && (shelf.demo.size || nextStep(shelf.steps) >= 0)}
      <WayIn steps={shelf.steps}>
        {#if shelf.demo.size}
          <p class="text-neutral flex flex-wrap items-center gap-x-3 pt-2">
            <span class="grow basis-60">
              The demo is invented: look round in it, and put it away when you begin your own.
            </span>
            <button
              class="btn btn-ghost"
              onclick={() => shelf.alter(() => api.putDemoAway())}
              data-demo-away>Put the demo away</button
            >
          </p>
        {/if}
      </WayIn>
    {/if}
    {#if next}
      <a
        href="/books/{next.bookId}/sessions/{next.id}"
        class="rounded-box border-base-content mb-4 flex flex-wrap items-center gap-x-6 border-2 p-3"
        data-next-session
      >
        <span class="figures text-2xl font-bold">Next: {sessionName(next)}</span>
        <span class="figures text-xl"
          >{hourWords(next.session.startsAt)}, {inWords(next.begins, now)}</span
        >
        <span class="text-neutral grow">{next.session.event} · {next.circuit}</span>
        <span class="figures text-lg font-semibold">{stateWords(next.session)}</span>
      </a>
    {/if}
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <h1 class="grow text-4xl font-bold">Reference books</h1>
      <FileButton accept=".json,application/json" data-take="book" onfile={importBook}
        >Bring in a book</FileButton
      >
      <a class="btn btn-primary" href="/new">New book</a>
    </div>
    {#if shelf.books.length === 0 && !shelf.filling}
      <p class="text-lg">
        No book yet. A book is one circuit with one car: <a class="link" href="/new"
          >make the first</a
        >.
      </p>
    {/if}
    <ul class="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-[repeat(2,minmax(0,1fr))]">
      {#each shelf.books as book (book.id)}
        <BookCard
          {book}
          run={shelf.alter}
          onaway={() => (shelf.last = { kind: 'book', ...book })}
        />
      {/each}
    </ul>
    {#if shelf.sessions.length}
      <p class="mt-3">
        <a class="link inline-flex min-h-11 items-center" href="/api/sessions.ics" download
          >All sessions as a calendar, iCalendar</a
        >
      </p>
    {/if}
    <div class="mt-8 mb-3 flex flex-wrap items-center gap-3">
      <h2 class="grow text-3xl font-bold">Circuits</h2>
      <a class="btn" href="/circuits/new">Bring in a circuit</a>
    </div>
    <ul
      class="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-[repeat(3,minmax(0,1fr))]"
      aria-label="Circuits"
    >
      {#each shelf.circuits as circuit (circuit.id)}
        <li class="rounded-box border-base-300 hover:border-base-content flex items-start border-2">
          <a href="/circuits/{circuit.id}" class="block min-w-0 grow p-3">
            <span class="figures block text-xl font-bold">{circuit.name}</span>
            <span class="text-neutral block">
              {circuit.layout ? `${circuit.layout}, ` : ''}version {circuit.version} · {preferences.lengthText(
                circuit.length_m,
              )} · {circuit.corners} corners
            </span>
            {#if circuit.draft}<span class="font-semibold">edits not kept yet</span>{/if}
          </a>
          <ThingMenu
            kind="circuit"
            id={circuit.id}
            name={circuit.name}
            run={shelf.alter}
            onaway={() => (shelf.last = { kind: 'circuit', ...circuit })}
          />
        </li>
      {/each}
    </ul>
    <div class="mt-8 mb-3 flex flex-wrap items-center gap-3">
      <h2 class="grow text-3xl font-bold">Cars</h2>
      <a class="btn" href="/cars/new">Make a car</a>
    </div>
    <ul
      class="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-[repeat(3,minmax(0,1fr))]"
      aria-label="Cars"
    >
      {#each shelf.cars as car (car.id)}
        <li class="rounded-box border-base-300 flex items-center border-2">
          <span class="figures min-w-0 grow truncate p-3 text-xl font-bold">{car.name}</span>
          <ThingMenu
            kind="car"
            id={car.id}
            name={car.name}
            edition={car.edition}
            run={shelf.alter}
            onaway={() => (shelf.last = { kind: 'car', ...car })}
          />
        </li>
      {/each}
    </ul>
    {#if shelf.away.length}<PutAway away={shelf.away} run={shelf.alter} />{/if}
  {:else if !shelf.problem}
    <!-- All of it at once: what comes later pushes away what is pressed. -->
    <p class="text-lg" role="status">Looking through the shelf …</p>
  {/if}
</main>
