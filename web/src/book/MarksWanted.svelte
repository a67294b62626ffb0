<!-- @component The corners that most need a mark: whose brake point nothing tells. -->
<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { useBook } from './book-state.svelte';
  import { marksWanted } from './marks-wanted';

  const SHOWN = 6;
  const book = useBook();
  const wanted = $derived(marksWanted(book.view!.revision.pages));
</script>

{#if wanted.length}
  <p class="border-base-300 my-1 rounded border px-3 py-2 leading-snug" data-marks-wanted>
    <strong
      >{wanted.length === 1 ? 'One corner wants' : `${wanted.length} corners want`} a mark</strong
    >
    for the brake point, where five metres cost most first:
    {#each wanted.slice(0, SHOWN) as page, i (page.corner)}{i ? ', ' : ''}<a
        class="link"
        href="/books/{book.id}/corner/{page.corner}">{cornerName(page)}</a
      >{/each}{wanted.length > SHOWN ? ' …' : '.'}
    Open one, press beside the road where something stands, and say what it is.
  </p>
{/if}
