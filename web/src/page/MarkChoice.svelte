<script lang="ts">
  import type { MarkReference, OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { marksOf } from './fields';
  import { usePage } from './page-context';
  import { markWords } from './words';

  interface Props {
    /** The place that the marks tell. */
    place: OwnField;
    target?: MarkReference;
    choices?: MarkReference[];
  }
  const { place, target, choices = [] }: Props = $props();

  const book = useBook();
  const page = usePage();
  const corner = $derived(page().corner);
  const length = (m: number) => preferences.lengthText(m);
  const [mark, words] = $derived(marksOf(place));

  function choose(label: string) {
    book.setOwnAll(corner, { [mark]: label, [words]: undefined });
  }
</script>

<details class="inline-block">
  <summary class="link inline-flex min-h-11 items-center decoration-dotted">other marks</summary>
  <div class="border-base-300 my-1 rounded border p-2">
    {#each choices as choice (choice.mark)}
      <button class="btn mr-1 mb-1 font-normal" onclick={() => choose(choice.mark)}>
        {markWords(choice, length)}
      </button>
    {:else}<span>Nothing else is seen in time here.</span>{/each}
    <label class="flex items-center gap-2">
      <span>in your own words</span>
      <input
        class="input h-11 grow"
        maxlength="120"
        value={target?.own ?? ''}
        placeholder="where the fence turns"
        onchange={(e) => book.setOwn(corner, words, e.currentTarget.value.trim() || undefined)}
      />
    </label>
  </div>
</details>
