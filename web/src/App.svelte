<script lang="ts">
  import { Router } from 'sv-router';
  import { on } from 'svelte/events';
  import './router';
  import { help } from './help/help.svelte';
  import { plainKey } from './ui/keys';
  import { me } from './people/me.svelte';
  import SignedOutBar from './people/SignedOutBar.svelte';
  import Problem from './ui/Problem.svelte';
  import { preferences } from './units/preferences.svelte';

  /** A part of Marvek could not be fetched: the server is away, or was renewed meanwhile. */
  let partMissing = $state(false);

  $effect(() => {
    document.documentElement.dataset.theme = preferences.theme;
  });
  // Asked once the first screen stands: alone on one's own machine it changes nothing.
  $effect(() => {
    const later = setTimeout(() => void me.look(), 2000);
    return () => clearTimeout(later);
  });
  $effect(() => on(window, 'vite:preloadError', () => (partMissing = true)));
</script>

<svelte:window
  onkeydown={(event) => {
    if (plainKey(event) !== '/') return;
    event.preventDefault();
    help.searching = true;
  }}
/>
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
<SignedOutBar />
<Router />
{#if help.section}
  {#await import('./help/Guide.svelte') then { default: Guide }}<Guide />{/await}
{/if}
{#if help.searching}
  {#await import('./help/Search.svelte') then { default: Search }}<Search />{/await}
{/if}
