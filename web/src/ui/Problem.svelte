<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Problem } from '../api/types';

  interface Props {
    problem: Pick<Problem, 'title' | 'detail'> & Partial<Problem>;
    onclose?: () => void;
    /** A way on, beside the words. */
    children?: Snippet;
  }
  const { problem, onclose, children }: Props = $props();
</script>

{#snippet words(title: string, detail: string)}
  <p class="text-error font-semibold">{title}</p>
  <p>{detail}</p>
{/snippet}

<div role="alert" class="rounded-box border-error bg-base-200 flex gap-3 border-2 p-3">
  <span class="text-error text-2xl leading-none font-bold" aria-hidden="true">!</span>
  <div class="grow">
    {#if problem.said}
      <!-- The sentences are many: they come when one is said; without them the server's own words do. -->
      {#await import('../say/every')}
        {@render words(problem.title, problem.detail)}
      {:then { problemTitle, problemWords }}
        {@render words(problemTitle(problem), problemWords(problem))}
      {:catch}
        {@render words(problem.title, problem.detail)}
      {/await}
    {:else}
      {@render words(problem.title, problem.detail)}
    {/if}
  </div>
  {@render children?.()}
  {#if onclose}
    <button class="btn btn-ghost" onclick={onclose} aria-label="Close this message">Close</button>
  {/if}
</div>
