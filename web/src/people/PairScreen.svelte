<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { navigate } from '../router';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import { me } from './me.svelte';
  import { codeTyped, deviceName } from './roles';

  const pairing = new Working();
  const photographed = codeTyped(decodeURIComponent(location.hash.slice(1)));
  let code = $state(photographed);
  let name = $state(deviceName(navigator.userAgent));
  // It does not stay in the address, nor in the history of this device.
  if (photographed) history.replaceState(history.state, '', location.pathname);

  const pair = () =>
    pairing.run(async () => {
      await api.pair(code, name.trim());
      await me.look();
      await navigate('/', { replace: true });
    });
</script>

<Header>Pair this device</Header>
<main class="max-w-xl px-4 pb-16">
  <h1 class="pt-2 text-3xl font-bold">Pair this device</h1>
  <p class="py-2">
    The driver makes a code under <i>People and devices</i> on his shelf. It works once, for ten minutes.
  </p>
  {#if pairing.problem}<Problem problem={pairing.problem} onclose={pairing.clear} />{/if}
  <form
    class="grid gap-4 pt-2"
    onsubmit={(e) => {
      e.preventDefault();
      void pair();
    }}
  >
    <label class="grid gap-1">
      <span>Code</span>
      <input
        class="input figures h-14 w-full text-3xl font-bold tracking-widest"
        autocomplete="one-time-code"
        autocapitalize="characters"
        spellcheck="false"
        required
        placeholder="ABCD-EFGH"
        value={code}
        oninput={(e) => (e.currentTarget.value = code = codeTyped(e.currentTarget.value))}
        data-code
      />
    </label>
    <label class="grid gap-1">
      <span>Name of this device, as the driver sees it in his list</span>
      <input class="input h-12 w-full" maxlength="80" required bind:value={name} data-device />
    </label>
    <div>
      <button class="btn btn-primary" disabled={pairing.busy}>Pair it</button>
    </div>
  </form>
</main>
