<!-- @component What is looked for by its name: books, corners, marks, notes, sessions, circuits. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { route } from '../router';
  import Dialog from '../ui/Dialog.svelte';
  import Problem from '../ui/Problem.svelte';
  import { help } from './help.svelte';
  import { hits, matching, type Hit } from './search';

  const reading = new Working();
  let all = $state.raw<Hit[]>([]);
  let typed = $state('');
  let chosen = $state(0);
  const found = $derived(matching(all, typed));
  const close = () => (help.searching = false);

  untrack(() => {
    void reading.run(async () => {
      const id = /^\/books\/([^/]+)/.exec(route.pathname)?.[1];
      const [books, circuits, sessions, corners, marks] = await Promise.all([
        api.books(),
        api.circuits(),
        api.allSessions(),
        api.cornersToFind(),
        api.marksToFind(),
      ]);
      const book = books.find((b) => b.id === id);
      const view =
        book && (await api.view(book.id, book.revisions[book.revisions.length - 1].number));
      const open = view && {
        id: book.id,
        circuitId: book.circuitId,
        pages: view.revision.pages,
        marks: view.trace.marks,
      };
      all = hits({ books, circuits, sessions, corners, marks, open });
    });
  });

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step && found.length) {
      event.preventDefault();
      chosen = (chosen + step + found.length) % found.length;
    } else if (event.key === 'Enter' && found[chosen]) {
      event.preventDefault();
      document.getElementById(`hit-${chosen}`)?.click();
    }
  }
</script>

<Dialog title="Look for" onclose={close}>
  {#if reading.problem}<Problem problem={reading.problem} onclose={() => reading.clear()} />{/if}
  <input
    class="input h-12 w-full text-lg"
    aria-label="Look for a book, corner, mark, note, session or circuit"
    type="search"
    placeholder="book, corner, mark, note …"
    bind:value={typed}
    oninput={() => (chosen = 0)}
    {onkeydown}
    role="combobox"
    aria-expanded={found.length > 0}
    aria-controls="hits"
    aria-activedescendant={found[chosen] && `hit-${chosen}`}
  />
  <p class="sr-only" role="status">
    {typed.trim() && !reading.busy ? `${found.length} found` : ''}
  </p>
  <div id="hits" role="listbox" aria-label="Found" class="pt-2">
    {#each found as hit, i (i)}
      <a
        id="hit-{i}"
        role="option"
        tabindex="-1"
        aria-selected={i === chosen}
        class={['flex min-h-11 items-center gap-3 rounded px-2', i === chosen && 'bg-base-200']}
        href={hit.href}
        onclick={close}
      >
        <span class="text-neutral w-16 shrink-0">{hit.kind}</span>
        <span class="figures min-w-0 truncate text-lg font-semibold">{hit.name}</span>
        {#if hit.words}<span class="text-neutral min-w-0 truncate">{hit.words}</span>{/if}
      </a>
    {/each}
  </div>
  {#if !found.length}
    <p class="text-neutral py-2">
      {reading.busy
        ? 'Reading …'
        : typed.trim()
          ? 'Nothing has these words.'
          : 'Type a part of the name. Arrows choose, Enter goes there.'}
    </p>
  {/if}
</Dialog>
