<!-- @component A corner that this book does not have. -->
<script lang="ts">
  import { useBook } from '../book/book-state.svelte';
  import { route } from '../router';

  const book = useBook();
  const pages = $derived(book.view!.revision.pages);
</script>

<div class="py-4" data-no-corner>
  <h1 class="text-4xl font-bold">No corner {route.params.number}</h1>
  <p class="py-2 text-lg">
    {#if pages.length}This lap has the corners {pages[0].corner} to {pages[pages.length - 1]
        .corner}.
    {:else}No corner is drawn on this circuit: draw one there, and it gets a page.{/if}
  </p>
  <a class="btn btn-primary" href="/books/{book.id}">To the whole lap</a>
</div>
