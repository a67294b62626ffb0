<!-- @component The short remarks, in the instructor's own words. -->
<script lang="ts">
  import { useLead } from './lead-state.svelte';

  const desk = useLead();
  const words = $derived(desk.lead!.day.words);
  let text = $state('');
  let good = $state(false);

  function add(event: SubmitEvent) {
    event.preventDefault();
    const word = { text: text.trim(), good };
    if (!word.text || words.some((w) => w.text === word.text)) return;
    void desk
      .change((d) => ({ ...d, words: [...d.words, word] }))
      .then(() => {
        if (!desk.problem) text = '';
      });
  }
</script>

<h3 class="figures pt-5 text-lg font-semibold">Your words</h3>
<ul>
  {#each words as word (word.text)}
    <li class="border-base-300 flex items-center border-b">
      <span class="grow text-lg">{word.good ? '✓ ' : ''}{word.text}</span>
      <button
        class="btn btn-ghost px-2"
        aria-label="Take out: {word.text}"
        onclick={() =>
          desk.change((d) => ({ ...d, words: d.words.filter((w) => w.text !== word.text) }))}
        >Take out</button
      >
    </li>
  {/each}
</ul>
<form class="flex items-center gap-2 pt-2" onsubmit={add}>
  <input
    class="input h-11 min-w-0 grow px-2"
    aria-label="Another short remark"
    placeholder="another one"
    maxlength="200"
    bind:value={text}
  />
  <label class="flex min-h-11 items-center gap-1"
    ><input type="checkbox" class="checkbox" bind:checked={good} />praise</label
  >
  <button class="btn px-3" disabled={!text.trim()}>Add</button>
</form>
