<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { me } from '../people/me.svelte';
  import { navigate } from '../router';
  import Problem from '../ui/Problem.svelte';

  const working = new Working();

  /** A new install opens its demo book; later the book that was open last. */
  const openBook = () =>
    working.run(async () => {
      if (me.now.bookId) {
        // An instructor and a guest see one book, and no shelf.
        await navigate('/books/:id', { params: { id: me.now.bookId }, replace: true });
        return;
      }
      const books = await api.books();
      const last = localStorage.getItem('marvek.lastBook');
      const book = books.find((b) => b.id === last) ?? books[0];
      if (book) await navigate('/books/:id', { params: { id: book.id }, replace: true });
      else await navigate('/shelf', { replace: true });
    });
  void openBook();
  // The book's parts come while it is asked which book it is.
  void import('../book/BookShell.svelte');
  void import('../book/BookScreen.svelte');
</script>

<main class="p-8">
  {#if working.problem}<Problem problem={working.problem} />{:else}<p>Opening the book …</p>{/if}
</main>
