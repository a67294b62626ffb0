<!-- @component A name and a password of one's own, on a club's server. -->
<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import Problem from '../ui/Problem.svelte';
  import { me } from './me.svelte';

  const work = new Working();
  let signIn = $state(me.now.signIn ?? me.now.name);
  let before = $state('');
  let password = $state('');
  let shown = $state(false);
  let done = $state(false);
  const type = $derived(shown ? 'text' : 'password');

  const keep = () =>
    work.run(async () => {
      done = false;
      await api.ownAccount(signIn, password, before || undefined);
      await me.look();
      before = password = '';
      done = true;
    });
</script>

<section class="border-base-300 border-t-2 py-3" data-account>
  <h2 class="text-xl font-bold">
    {me.now.signIn ? 'Name and password' : 'Give yourself a name and a password'}
  </h2>
  <p class="text-neutral pb-2">
    With them you sign in on any device. At least 12 signs of any kind: four words that do not
    belong together are good. Your other devices are signed out by it.
  </p>
  {#if work.problem}<Problem problem={work.problem} onclose={work.clear} />{/if}
  {#if done}<p class="pb-2" role="status" data-account-kept>It is kept.</p>{/if}
  <form
    class="grid max-w-xl gap-4"
    onsubmit={(e) => {
      e.preventDefault();
      void keep();
    }}
  >
    <label class="grid gap-1">
      <span>Name, as others see it too</span>
      <input
        class="input h-12 w-full text-base"
        autocomplete="username"
        autocapitalize="none"
        spellcheck="false"
        maxlength="80"
        required
        bind:value={signIn}
        data-own-name
      />
    </label>
    {#if me.now.signIn}
      <label class="grid gap-1">
        <span>Password until now</span>
        <input
          {type}
          class="input h-12 w-full text-base"
          autocomplete="current-password"
          required
          bind:value={before}
          data-before
        />
      </label>
    {/if}
    <label class="grid gap-1">
      <span>New password</span>
      <input
        {type}
        class="input h-12 w-full text-base"
        autocomplete="new-password"
        minlength="12"
        maxlength="128"
        required
        bind:value={password}
        data-own-password
      />
    </label>
    <div class="flex flex-wrap items-center gap-4">
      <button class="btn btn-primary" disabled={work.busy} data-keep-account>Keep it</button>
      <label class="flex min-h-11 items-center gap-2">
        <input type="checkbox" class="checkbox" bind:checked={shown} /> Show what I type
      </label>
    </div>
  </form>
</section>
