<!-- @component Who sits here: whose things he sees, his name and password, keys of his scripts. -->
<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import AccountForm from './AccountForm.svelte';
  import Keys from './Keys.svelte';
  import { me } from './me.svelte';
  import { shelfWords } from './roles';

  const work = new Working();
  void me.look();

  const choose = (owner: string) =>
    work.run(async () => {
      await api.chooseShelf(owner);
      // Nothing of the other shelf is to stay on the screen, nor in what was asked for.
      localStorage.removeItem('marvek.lastBook');
      await me.look();
      location.assign('/');
    });
  const signOut = () =>
    work.run(async () => {
      await api.signOut();
      await me.look();
      location.assign('/pair');
    });
</script>

<svelte:head><title>You · Marvek</title></svelte:head>
<Header>You</Header>
<main class="max-w-3xl px-4 pb-16" aria-busy={work.busy}>
  <h1 class="pt-2 text-3xl font-bold">{me.now.name || 'You'}</h1>
  {#if work.problem}<Problem problem={work.problem} onclose={work.clear} />{/if}
  {#if !me.now.shared}
    <p class="py-2" data-alone>
      Marvek is open to this machine alone: nobody signs in, and scripts on it need no key.
    </p>
  {:else}
    <div class="py-2">
      <button class="btn" onclick={signOut} data-sign-out>Sign this device out</button>
    </div>
    {#if me.now.shelves.length > 1}
      <section class="border-base-300 border-t-2 py-3">
        <fieldset class="grid gap-1">
          <legend class="pb-1 text-xl font-bold">Whose books are seen here</legend>
          {#each me.now.shelves as shelf (shelf.owner)}
            <label class="flex min-h-11 items-center gap-3">
              <input
                type="radio"
                class="radio"
                name="shelf"
                checked={shelf.owner === me.now.shelf}
                onchange={() => choose(shelf.owner)}
                data-shelf={shelf.name}
              />
              <span>{shelfWords(shelf)}</span>
            </label>
          {/each}
        </fieldset>
      </section>
    {/if}
    {#if me.now.accounts}
      <AccountForm />
      {#if me.now.signIn}
        <p class="text-neutral pb-3">
          Somebody shares his books with you? Open his code's link here, or type the code under
          <a class="link" href="/pair">Sign in, or with a code</a>, and take it to your account.
        </p>
      {/if}
    {/if}
    <Keys />
  {/if}
</main>
