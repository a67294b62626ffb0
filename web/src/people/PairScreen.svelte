<!-- @component Lets this device in: by a code, or on a club's server by a name and a password. -->
<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { navigate } from '../router';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import { me } from './me.svelte';
  import { codeTyped, deviceName } from './roles';

  const pairing = new Working();
  const signing = new Working();
  const photographed = codeTyped(decodeURIComponent(location.hash.slice(1)));
  let code = $state(photographed);
  let device = $state(deviceName(navigator.userAgent));
  let name = $state('');
  let password = $state('');
  // It does not stay in the address, nor in the history of this device.
  if (photographed) history.replaceState(history.state, '', location.pathname);
  void me.look();

  const comeIn = async () => {
    await me.look();
    await navigate('/', { replace: true });
  };
  const pair = () =>
    pairing.run(async () => {
      await api.pair(code, device.trim());
      await comeIn();
    });
  const takeOver = () =>
    pairing.run(async () => {
      await api.takeShare(code);
      await navigate('/me', { replace: true });
    });
  const signIn = () =>
    signing.run(async () => {
      await api.signIn(name, password, device.trim());
      await comeIn();
    });
</script>

{#snippet passwordForm()}
  {#if signing.problem}<Problem problem={signing.problem} onclose={signing.clear} />{/if}
  <form
    class="grid gap-4 py-2"
    onsubmit={(e) => {
      e.preventDefault();
      void signIn();
    }}
  >
    <label class="grid gap-1">
      <span>Name</span>
      <input
        class="input h-12 w-full text-base"
        autocomplete="username"
        autocapitalize="none"
        spellcheck="false"
        maxlength="80"
        required
        bind:value={name}
        data-sign-in-name
      />
    </label>
    <label class="grid gap-1">
      <span>Password</span>
      <input
        type="password"
        class="input h-12 w-full text-base"
        autocomplete="current-password"
        maxlength="128"
        required
        bind:value={password}
        data-sign-in-password
      />
    </label>
    <div>
      <button class="btn btn-primary" disabled={signing.busy} data-sign-in>Sign in</button>
    </div>
  </form>
{/snippet}

<Header>{me.now.accounts ? 'Sign in' : 'Pair this device'}</Header>
<main class="max-w-xl px-4 pb-16">
  {#if me.now.accounts}
    <h1 class="pt-2 text-3xl font-bold">Sign in</h1>
    {@render passwordForm()}
    <h2 class="border-base-300 mt-4 border-t-2 pt-4 text-xl font-bold">Or with a code</h2>
  {:else}
    <h1 class="pt-2 text-3xl font-bold">Pair this device</h1>
  {/if}
  <p class="py-2">
    {me.now.accounts ? 'Who lets you in' : 'The driver'} makes a code under
    <i>People and devices</i>
    on his shelf. It works once, for ten minutes.
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
      <span>Name of this device, as it stands in the list of devices</span>
      <input
        class="input h-12 w-full text-base"
        maxlength="80"
        required
        bind:value={device}
        data-device
      />
    </label>
    {#if me.now.signIn}
      <p class="text-neutral" data-already>
        You are signed in here as {me.now.name}. What this code lets see can come to your own
        account; paired instead, this device is signed out of it.
      </p>
    {/if}
    <div class="flex flex-wrap gap-2">
      {#if me.now.signIn}
        <button
          type="button"
          class="btn btn-primary"
          disabled={pairing.busy || code.length < 9}
          onclick={takeOver}
          data-take-over>Take it to my account</button
        >
        <button class="btn btn-ghost" disabled={pairing.busy}>Pair it</button>
      {:else}
        <button class="btn btn-primary" disabled={pairing.busy}>Pair it</button>
      {/if}
    </div>
  </form>
</main>
