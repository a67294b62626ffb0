<script lang="ts">
  import type { OpenPoint } from '../api/sessions';
  import { useBook } from '../book/book-state.svelte';
  import { fieldWords } from './field-words';
  import { useSession } from './session-state.svelte';

  const session = useSession();
  const book = useBook();
  const points = $derived(session.now!.openPoints ?? []);
  const set = (next: OpenPoint[]) => session.set({ openPoints: next.length ? next : undefined });
  const error = $derived(session.refusedOf('openPoints'));
  let words = $state('');
  let corner = $state(0);

  function add() {
    if (words.trim() === '') return;
    set([...points, { corner, words: words.trim() }]);
    words = '';
  }
</script>

<h2 class="pt-3 text-xl font-semibold">Open points</h2>
{#if points.length === 0}
  <p class="text-neutral">Nothing open. What you want to look at next time goes here.</p>
{/if}
<ul>
  {#each points as point, i (i)}
    <li class="border-base-300 flex items-center gap-2 border-b">
      <span class="figures w-11 shrink-0 text-lg font-semibold"
        >{point.corner === 0 ? 'Lap' : point.corner}</span
      >
      <span class="grow py-1 leading-snug">{point.words}</span>
      <button
        class="btn btn-ghost w-11 px-0"
        aria-label="Done: {point.words}"
        title="Done"
        onclick={() => set(points.filter((_, k) => k !== i))}>✓</button
      >
    </li>
  {/each}
</ul>
<form
  class="flex gap-1 pt-1"
  onsubmit={(e) => {
    e.preventDefault();
    add();
  }}
>
  <select
    class="select h-11 w-20 px-2 text-base"
    aria-label="Corner of the point"
    bind:value={corner}
  >
    <option value={0}>Lap</option>
    {#each book.view!.revision.pages as page (page.corner)}
      <option value={page.corner}>{page.corner}</option>
    {/each}
  </select>
  <input
    class="input h-11 min-w-0 grow px-2"
    aria-label="What to look at"
    placeholder="what to look at"
    maxlength="500"
    bind:value={words}
  />
  <button class="btn">Add</button>
</form>
{#if error}<p role="alert" class="text-error font-semibold">! {fieldWords(error)}</p>{/if}
