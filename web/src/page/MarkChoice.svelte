<script lang="ts">
  import type { MarkReference, OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { usePage } from './page-context';
  import { markWords } from './words';

  interface Props {
    /** Point that the marks tell. */
    point: 'brake' | 'turnIn';
    target?: MarkReference;
    choices?: MarkReference[];
  }
  const { point, target, choices = [] }: Props = $props();

  const book = useBook();
  const page = usePage();
  const corner = $derived(page().corner);
  const length = (m: number) => preferences.lengthText(m);
  const field = (what: 'mark' | 'words') => `${point}.${what}` as OwnField;

  function choose(mark: string) {
    book.setOwnAll(corner, { [field('mark')]: mark, [field('words')]: undefined });
  }
</script>

<details class="inline-block">
  <summary class="link decoration-dotted">other marks</summary>
  <div class="border-base-300 my-1 rounded border p-2">
    {#each choices as choice (choice.mark)}
      <button class="btn mr-1 mb-1 font-normal" onclick={() => choose(choice.mark)}>
        {markWords(choice, length)}
      </button>
    {:else}<span>Nothing else is seen in time here.</span>{/each}
    <label class="flex items-center gap-2">
      <span>in your own words</span>
      <input
        class="input h-10 grow"
        maxlength="120"
        value={target?.own ?? ''}
        placeholder="where the fence turns"
        onchange={(e) =>
          book.setOwn(corner, field('words'), e.currentTarget.value.trim() || undefined)}
      />
    </label>
  </div>
</details>
