<!-- @component Says that this device is not signed in, with a way in that loses nothing typed here. -->
<script lang="ts">
  import { signedOut } from '../api/signed-out.svelte';
  import { route } from '../router';
  import { me } from './me.svelte';

  const way = $derived(me.now.accounts ? 'Sign in' : 'Pair this device');
</script>

{#if signedOut.now && route.pathname !== '/pair'}
  <div
    class="border-error bg-base-100 sticky top-0 z-50 flex flex-wrap items-center gap-3 border-b-2 p-3 print:hidden"
    role="alert"
    data-signed-out
  >
    <p class="min-w-0 grow">
      <b>This device is not signed in.</b>
      {me.now.accounts ? 'Sign in' : 'Pair it'} in another window, then try again here: what you typed
      stays.
    </p>
    <a class="btn btn-primary" href="/pair" target="_blank" rel="noopener">{way}</a>
  </div>
{/if}
