<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Problem } from '../api/types';

  interface Props {
    problem: Pick<Problem, 'title' | 'detail' | 'field' | 'said'>;
    onclose?: () => void;
    /** A way on, beside the words. */
    children?: Snippet;
  }
  const { problem, onclose, children }: Props = $props();
</script>

<div role="alert" class="rounded-box border-error bg-base-200 flex gap-3 border-2 p-3">
  <span class="text-error text-2xl leading-none font-bold" aria-hidden="true">!</span>
  <div class="grow">
    <p class="text-error font-semibold">{problem.title}</p>
    {#if problem.said}
      <!-- The sentences are many: they come when one is said. -->
      {#await import('../say/say.svelte') then { problemWords }}<p>
          {problemWords(problem)}
        </p>{/await}
    {:else}<p>{problem.detail}</p>{/if}
  </div>
  {@render children?.()}
  {#if onclose}
    <button class="btn btn-ghost" onclick={onclose} aria-label="Close this message">Close</button>
  {/if}
</div>
