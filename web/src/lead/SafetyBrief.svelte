<!-- @component What is said before anybody drives, ticked off as it is said. -->
<script lang="ts">
  import { useLead } from './lead-state.svelte';

  const desk = useLead();
  const items = $derived(desk.lead!.day.safetyBrief);
  let text = $state('');

  function add(event: SubmitEvent) {
    event.preventDefault();
    const item = { text: text.trim(), done: false };
    if (!item.text) return;
    void desk
      .change((d) => ({ ...d, safetyBrief: [...d.safetyBrief, item] }))
      .then(() => {
        if (!desk.problem) text = '';
      });
  }
</script>

<ul class="max-w-4xl" data-brief>
  {#each items as item, k (k)}
    <li class="border-base-300 flex items-center border-b">
      <label class="flex min-h-12 grow items-center gap-3 text-xl">
        <input
          type="checkbox"
          class="checkbox"
          checked={item.done}
          onchange={() =>
            desk.change((d) => ({
              ...d,
              safetyBrief: d.safetyBrief.map((i, n) => (n === k ? { ...i, done: !i.done } : i)),
            }))}
        />
        {item.text}
      </label>
      <button
        class="btn btn-ghost"
        aria-label="Take out: {item.text}"
        onclick={() =>
          desk.change((d) => ({ ...d, safetyBrief: d.safetyBrief.filter((_, n) => n !== k) }))}
        >Take out</button
      >
    </li>
  {/each}
</ul>
<form class="flex max-w-4xl gap-2 pt-3" onsubmit={add}>
  <input
    class="input h-11 grow px-3 text-lg"
    aria-label="Another point of the brief"
    placeholder="another point"
    maxlength="200"
    bind:value={text}
  />
  <button class="btn" disabled={!text.trim()}>Add</button>
</form>
<p class="text-neutral max-w-4xl pt-3">
  The organiser’s brief and the circuit’s rules come first; this is what you add to them.
</p>
