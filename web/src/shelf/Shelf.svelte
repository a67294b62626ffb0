<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { BookView } from '../api/types';
  import type { CircuitSummary } from '../circuit/types';
  import { navigate } from '../router';
  import type { KeptSession } from '../api/sessions';
  import { hourWords, inWords, nextOf, sessionName, stateWords } from '../session/words';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import { lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import FileButton from '../ui/FileButton.svelte';

  let books = $state.raw<BookView[]>();
  const working = new Working();

  let sessions = $state.raw<KeptSession[]>([]);
  const now = new Date();
  const next = $derived(nextOf(sessions, now));
  api.allSessions().then(
    (list) => (sessions = list),
    () => {},
  );
  let circuits = $state.raw<CircuitSummary[]>([]);
  api.circuits().then(
    (list) => (circuits = list),
    () => {},
  );
  void working.run(async () => (books = await api.books()));

  async function importBook(file: File) {
    await working.run(async () => {
      const { id } = await api.importBook(file);
      await navigate('/books/:id', { params: { id } });
    });
  }

  const newest = (book: BookView) => book.revisions[book.revisions.length - 1];
  const day = (iso: string) => new Date(iso).toLocaleDateString('en-GB', { dateStyle: 'medium' });
</script>

<svelte:head><title>Shelf · Marvek</title></svelte:head>
<Header>Shelf</Header>
<main class="mx-auto max-w-5xl px-4 pb-8">
  <div class="mb-4 flex flex-wrap items-center gap-3">
    <h1 class="grow text-4xl font-bold">Reference books</h1>
    <FileButton accept=".json,application/json" data-take="book" onfile={importBook}
      >Bring in a book</FileButton
    >
    <a class="btn btn-primary" href="/new">New book</a>
  </div>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
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
  {#if sessions.length}
    <p class="mb-3">
      <a class="link" href="/api/sessions.ics" download>All sessions as a calendar, iCalendar</a>
    </p>
  {/if}
  {#if !books && !working.problem}<p class="text-lg" role="status">
      Looking through the shelf …
    </p>{/if}
  {#if books?.length === 0}
    <p class="text-lg">
      No book yet. A book is one circuit with one car: <a class="link" href="/new">make the first</a
      >.
    </p>
  {/if}
  <ul class="grid gap-3 sm:grid-cols-2">
    {#each books ?? [] as book (book.id)}
      <li>
        <a
          href="/books/{book.id}"
          class="rounded-box border-base-300 bg-base-200 hover:border-base-content block border-2 border-l-8 p-4"
        >
          <span class="figures block text-2xl font-bold">{book.name}</span>
          <span class="text-neutral block">
            {book.circuit}{book.layout ? `, ${book.layout}` : ''} · {book.car}
          </span>
          <span class="mt-3 flex items-baseline gap-3">
            <span class="figures text-3xl font-semibold">{lapTime(newest(book).time_s)}</span>
            <span>revision {newest(book).number}, {day(newest(book).createdAt)}</span>
          </span>
          <span class="text-neutral block truncate">{newest(book).reason}</span>
        </a>
      </li>
    {/each}
  </ul>
  <div class="mt-8 mb-3 flex items-center gap-3">
    <h2 class="grow text-3xl font-bold">Circuits</h2>
    <a class="btn" href="/circuits/new">Bring in a circuit</a>
  </div>
  <ul class="grid gap-3 sm:grid-cols-3" aria-label="Circuits">
    {#each circuits as circuit (circuit.id)}
      <li>
        <a
          href="/circuits/{circuit.id}"
          class="rounded-box border-base-300 hover:border-base-content block border-2 p-3"
        >
          <span class="figures block text-xl font-bold">{circuit.name}</span>
          <span class="text-neutral block">
            {circuit.layout ? `${circuit.layout}, ` : ''}version {circuit.version} · {preferences.lengthText(
              circuit.length_m,
            )} · {circuit.corners} corners
          </span>
          {#if circuit.draft}<span class="font-semibold">edits not kept yet</span>{/if}
        </a>
      </li>
    {/each}
  </ul>
</main>
