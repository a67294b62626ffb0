<script lang="ts">
  import Printer from '@lucide/svelte/icons/printer';
  import type { Snippet } from 'svelte';
  import { navigate, route } from '../router';
  import Header from '../ui/Header.svelte';
  import { controlKey, hasOwnKeys, plainKey } from '../ui/keys';
  import Menu from '../ui/Menu.svelte';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { BookState, provideBook } from './book-state.svelte';
  import DraftBar from './DraftBar.svelte';
  import OtherDrafts from './OtherDrafts.svelte';
  import { OwnLineState, provideOwnLine } from './own-line.svelte';
  import NotedBar from '../page/NotedBar.svelte';
  import { NotedMarks, provideNoted } from '../page/noted-marks.svelte';
  import CardMenu from '../session/CardMenu.svelte';
  import Tabs from './Tabs.svelte';

  interface Props {
    /** Book that is opened; the room is made anew for another one. */
    id: string;
    children: Snippet;
  }
  const { id, children }: Props = $props();

  // svelte-ignore state_referenced_locally
  const book = new BookState(id);
  provideBook(book);
  provideOwnLine(new OwnLineState(book));
  const noted = new NotedMarks(book);
  provideNoted(noted);
  void book.open().then(() => noted.look());

  let keysShown = $state(false);
  let keeping = $state(false);
  const number = $derived(Number(route.params.number) || 0);
  const corners = $derived(book.view?.revision.pages.map((page) => page.corner) ?? []);
  const cardUrl = $derived(
    `/api/books/${book.id}/revisions/${book.base?.revision.number}/card.pdf` +
      `?speed=${encodeURIComponent(preferences.speed)}&length=${preferences.length}`,
  );

  const exports = $derived([
    {
      name: 'The whole book, JSON',
      href: `/api/books/${book.id}/export`,
      as: 'download' as const,
    },
    {
      name: 'Action points, GPX',
      href: `/api/books/${book.id}/revisions/${book.base?.revision.number}/points.gpx`,
      as: 'download' as const,
    },
    { name: 'The lap spoken, call-outs', href: `/books/${book.id}/calls` },
  ]);

  function turn(step: number) {
    if (corners.length === 0) return;
    const at = corners.indexOf(number);
    const next =
      at < 0 ? (step > 0 ? 0 : corners.length - 1) : (at + step + corners.length) % corners.length;
    goTo(corners[next]);
  }

  function goTo(corner: number) {
    if (corners.includes(corner)) {
      navigate('/books/:id/corner/:number', { params: { id: book.id, number: String(corner) } });
    }
  }

  const plain: Record<string, () => void> = {
    ArrowRight: () => turn(1),
    ArrowLeft: () => turn(-1),
    b: () => navigate('/books/:id', { params: { id: book.id } }),
    c: () => navigate('/books/:id/compare', { params: { id: book.id } }),
    v: () => navigate('/books/:id/car', { params: { id: book.id } }),
    o: () => navigate('/books/:id/calls', { params: { id: book.id } }),
    s: () => navigate('/books/:id/sessions', { params: { id: book.id } }),
    h: () => navigate('/books/:id/rehearse', { params: { id: book.id } }),
    l: () => navigate('/books/:id/laps', { params: { id: book.id } }),
    p: () => window.open(cardUrl, '_blank'),
    t: () => preferences.toggleTheme(),
    '?': () => (keysShown = true),
  };
  const withControl: Record<string, () => void> = {
    z: () => book.undo(),
    y: () => book.redo(),
    s: () => {
      // What stands typed in a field counts once the field is left.
      (document.activeElement as HTMLElement | null)?.blur();
      keeping = book.changes > 0;
    },
  };

  function onkeydown(event: KeyboardEvent) {
    const control = controlKey(event);
    const key = plainKey(event);
    // What is typed is undone by its field; keeping is asked for from there too.
    const typing = hasOwnKeys(event.target) && control !== 's';
    const action = control ? !typing && withControl[control] : key && plain[key];
    if (action) {
      event.preventDefault();
      action();
    } else if (key && /^[1-9]$/.test(key)) {
      goTo(Number(key));
    }
  }
</script>

<svelte:window {onkeydown} />
<Header>
  {#if book.book && book.base}
    <a class="link" href="/circuits/{book.book.circuitId}"
      >{book.book.circuit}{book.book.layout ? `, ${book.book.layout}` : ''}</a
    >
    · <a class="link" href="/books/{book.id}/car">{book.book.car}</a>
  {/if}
  {#snippet actions()}
    {#if book.book && book.base}
      <label class="figures">
        <span class="sr-only">Revision</span>
        <select
          class="select text-base h-11 w-32"
          value={book.base.revision.number}
          disabled={book.changes > 0}
          title={book.changes > 0 ? 'Keep or discard the draft first' : undefined}
          onchange={(e) => book.open(Number(e.currentTarget.value))}
        >
          {#each book.book.revisions as line (line.number)}
            <option value={line.number}>revision {line.number}</option>
          {/each}
        </select>
      </label>
      <a class="btn btn-ghost px-2" href="/books/{book.id}/sessions">Sessions</a>
      <a class="btn btn-ghost px-2" href="/books/{book.id}/rehearse">Rehearse</a>
      <a class="btn btn-ghost px-2" href="/books/{book.id}/car">Car</a>
      <a class="btn btn-ghost px-2" href="/books/{book.id}/compare">Compare</a>
      <CardMenu bookId={book.id} revision={book.base.revision.number}>
        <Printer size={18} /> Card
      </CardMenu>
      <Menu items={exports}>Export</Menu>
    {/if}
    <button class="btn btn-ghost w-11 px-0" onclick={() => (keysShown = true)} aria-label="Keys"
      >?</button
    >
  {/snippet}
</Header>

{#if book.problem}
  <div class="px-4 pb-2">
    <Problem problem={book.problem} onclose={book.clear}>
      {#if !book.view}<a class="btn btn-primary" href="/shelf">To the shelf</a>{/if}
    </Problem>
  </div>
{/if}
{#if book.view}
  <div class="desk:flex">
    <main
      class="desk:pr-0 desk:pb-0 min-w-0 grow px-4 pb-16 print:px-0 print:pb-0"
      aria-busy={book.computing}
    >
      <OtherDrafts />
      <NotedBar />
      {#key `${route.params.session} ${route.params.other}`}{@render children()}{/key}
    </main>
    <Tabs
      id={book.id}
      pages={book.view.revision.pages}
      current={/\/(compare|car|calls|steps|rehearse.*|laps.*|beside\/.*|sessions.*)$/.test(
        route.pathname,
      )
        ? -1
        : number}
      onturn={turn}
    />
  </div>
  <DraftBar bind:keeping />
{:else if !book.problem}
  <p class="p-8 text-lg" role="status">Computing the lap …</p>
{/if}
{#if keysShown}
  {#await import('../ui/Keys.svelte') then { default: Keys }}
    <Keys onclose={() => (keysShown = false)} />
  {/await}
{/if}
