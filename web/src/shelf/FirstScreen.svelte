<script lang="ts">
  import { api, Failed } from '../api/client';
  import { navigate } from '../router';
  import Problem from '../ui/Problem.svelte';
  import type { Problem as ProblemType } from '../api/types';

  let problem = $state<ProblemType>();

  /** A new install opens its demo book; later the book that was open last. */
  async function openBook() {
    try {
      const books = await api.books();
      const last = localStorage.getItem('marvek.lastBook');
      const book = books.find((b) => b.id === last) ?? books[0];
      if (book) await navigate('/books/:id', { params: { id: book.id }, replace: true });
      else await navigate('/shelf', { replace: true });
    } catch (e) {
      if (e instanceof Failed) problem = e.problem;
      else throw e;
    }
  }
  openBook();
</script>

<main class="p-8">
  {#if problem}<Problem {problem} />{:else}<p>Opening the book …</p>{/if}
</main>
