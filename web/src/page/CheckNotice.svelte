<script lang="ts">
  import { useBook } from '../book/book-state.svelte';

  const { corner }: { corner: number } = $props();
  const book = useBook();
  const checks = $derived(book.checks.filter((c) => c.corner === corner));
</script>

{#if checks.length}
  <div class="border-warning my-1 flex items-center gap-3 rounded border-2 p-2" data-check>
    <div class="grow leading-snug">
      <p class="text-warning font-semibold">
        <span aria-hidden="true">▲</span> To be checked on track
      </p>
      <ul>
        {#await import('../say/every') then { say }}
          {#each checks as check, i (i)}<li>{say(check.reason)}</li>{/each}
        {/await}
      </ul>
    </div>
    <button class="btn" onclick={() => book.clearCheck(corner)}>I have looked: it holds</button>
  </div>
{/if}
