<script lang="ts">
  import { useBook } from './book-state.svelte';
  import { begin, countChanges } from './draft';
  import type { StoredDraft } from './draft-store';

  const book = useBook();
  /** Drafts that were seen and left where they are, by window and moment. */
  let left = $state.raw<string[]>([]);
  const nameOf = (draft: StoredDraft) => `${draft.window} ${draft.at}`;
  const offered = $derived(book.others.filter((draft) => !left.includes(nameOf(draft))));
  const from = $derived(begin(book.base!.revision).now);

  function told(draft: StoredDraft): string {
    const changes = countChanges(from, draft.now);
    const time = new Date(draft.at).toLocaleTimeString('en-GB', { timeStyle: 'short' });
    return `${changes} ${changes === 1 ? 'change' : 'changes'}, last at ${time}`;
  }

  async function take(draft: StoredDraft) {
    left = [...left, nameOf(draft)];
    await book.takeDraft(draft.now);
  }
</script>

<svelte:window
  onstorage={(e) => book.drafts.isOfBook(e.key) && void book.lookForOthers()}
  onfocus={() => void book.lookForOthers()}
/>
{#each offered as draft (draft.window)}
  <aside
    aria-label="Draft of another window"
    class="border-base-300 bg-base-200 rounded-box mb-2 flex flex-wrap items-center gap-2 border-2 py-1 pr-2 pl-4"
    data-other-draft
  >
    <span class="grow">
      Another window has a draft of this book: {told(draft)}. It stays there; each window has its
      own.
    </span>
    <button class="btn" onclick={() => take(draft)}>Take it over here</button>
    <button class="btn btn-ghost" onclick={() => (left = [...left, nameOf(draft)])}>Leave it</button
    >
  </aside>
{/each}
