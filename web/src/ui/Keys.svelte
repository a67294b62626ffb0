<script lang="ts">
  import { preferences } from '../units/preferences.svelte';
  import Dialog from './Dialog.svelte';

  const { onclose }: { onclose: () => void } = $props();
  const keys: [string, string][] = [
    ['← →', 'corner before, next corner'],
    ['B', 'the whole lap'],
    ['1 … 9', 'corner of that number'],
    ['↑ ↓, Page ↑ ↓', 'a plate of the strip that has the focus: by 1 m, by 5 m'],
    ['Ctrl Z, Ctrl Y', 'undo, redo a change of the draft'],
    ['Ctrl S', 'keep the draft as a revision'],
    ['C', 'compare two revisions'],
    ['S', 'the sessions'],
    ['H', 'rehearse: the lap in the head'],
    ['L', 'laps of this circuit, side by side'],
    ['Space', 'there, and in the run-through: play, stop'],
    ['V', 'the vehicle on this circuit'],
    ['O', 'the lap spoken'],
    ['P', 'the session card'],
    ['T', 'paper or garage'],
    ['/', 'look for a book, corner, mark or note'],
    ['?', 'these keys'],
  ];
</script>

<Dialog title="Keys" {onclose}>
  <dl class="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
    {#each keys as [key, meaning] (key)}
      <dt class="figures font-bold">{key}</dt>
      <dd>{meaning}</dd>
    {/each}
  </dl>
  <label class="mt-4 flex items-center gap-3">
    <input
      type="checkbox"
      class="toggle"
      checked={preferences.letterKeys}
      onchange={(e) => preferences.setLetterKeys(e.currentTarget.checked)}
    />
    <span>
      Letters, figures and signs act alone. Without it the arrows and the keys with Ctrl stay, and
      this list opens by its button.
    </span>
  </label>
  <p class="mt-4 text-right"><button class="btn" onclick={onclose}>Close</button></p>
</Dialog>
