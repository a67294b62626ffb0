<script lang="ts">
  import { Router } from 'sv-router';
  import { on } from 'svelte/events';
  import './router';
  import Problem from './ui/Problem.svelte';
  import { preferences } from './units/preferences.svelte';

  /** A part of Marvek could not be fetched: the server is away, or was renewed meanwhile. */
  let partMissing = $state(false);

  $effect(() => {
    document.documentElement.dataset.theme = preferences.theme;
  });
  $effect(() => on(window, 'vite:preloadError', () => (partMissing = true)));
</script>

{#if partMissing}
  <div class="p-4 print:hidden">
    <Problem
      problem={{
        title: 'This screen could not be loaded',
        detail:
          'The server is not there, or was renewed meanwhile. Load Marvek again; a draft is kept.',
      }}
      onclose={() => (partMissing = false)}
    >
      <button class="btn btn-primary" onclick={() => location.reload()}>Load again</button>
    </Problem>
  </div>
{/if}
<Router />
