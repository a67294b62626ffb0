<script lang="ts">
  import { useBook } from '../book/book-state.svelte';
  import { route } from '../router';
  import CornerRoom from './CornerRoom.svelte';
  import NoCorner from './NoCorner.svelte';

  const book = useBook();
  const page = $derived(
    book.view!.revision.pages.find((p) => p.corner === Number(route.params.number)),
  );
</script>

{#if page}<CornerRoom {page} />{:else}<NoCorner />{/if}
