<!-- @component What the organiser's notices say on this corner's part of the road. -->
<script lang="ts">
  import { useBook } from '../book/book-state.svelte';
  import { preferences } from '../units/preferences.svelte';
  import Line from './Line.svelte';
  import { noticeWords } from './limit-notices';
  import { usePage } from './page-context';

  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const notices = $derived(p.limits?.notices ?? []);
  const length = (m: number) => preferences.lengthText(m);
  const across = (m: number) => preferences.acrossText(m);
</script>

{#if notices.length}
  <Line letter="!" shape="plain" title="Limits">
    <ul data-limit-notices>
      {#each notices as notice, i (i)}
        <li class="first-letter:uppercase">
          {noticeWords(notice, p, book.view!.trace, length, across)}.
        </li>
      {/each}
    </ul>
    {#snippet more()}The officials' notice counts, not this page.{/snippet}
  </Line>
{/if}
