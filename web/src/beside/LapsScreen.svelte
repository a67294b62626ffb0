<!-- @component The laps of a circuit: all of them, or the two that an address names. -->
<script lang="ts">
  import { route } from '../router';

  const isPair = $derived(route.pathname.endsWith('/beside'));
</script>

{#if isPair}
  {#await import('./LapsBesideScreen.svelte') then { default: Pair }}<Pair />{/await}
{:else}
  {#await import('./LibraryScreen.svelte') then { default: Library }}<Library />{/await}
{/if}
