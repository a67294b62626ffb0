<script lang="ts">
  import { api } from '../api/client';
  import { useBook } from '../book/book-state.svelte';
  import { navigate } from '../router';
  import Dialog from '../ui/Dialog.svelte';
  import Problem from '../ui/Problem.svelte';
  import Stale from '../ui/Stale.svelte';
  import ForecastTable from './ForecastTable.svelte';
  import OpenPoints from './OpenPoints.svelte';
  import ResultForm from './ResultForm.svelte';
  import SessionConditions from './SessionConditions.svelte';
  import SessionLinks from './SessionLinks.svelte';
  import { provideSession, SessionState } from './session-state.svelte';
  import SurfaceParts from './SurfaceParts.svelte';
  import TyresAndCar from './TyresAndCar.svelte';
  import WhenAndWhat from './WhenAndWhat.svelte';
  import { fieldWords } from './field-words';
  import { hourWords, sessionName } from './words';

  const { id }: { id: string } = $props();
  const book = useBook();
  // The screen is made anew for every session.
  // svelte-ignore state_referenced_locally
  const session = new SessionState(id);
  provideSession(session);
  session.open();
  let removing = $state(false);

  async function remove() {
    removing = false;
    await session.run(async () => {
      await api.putAway('session', id);
      await navigate('/books/:id/sessions', { params: { id: book.id } });
    });
  }

  async function planNext() {
    await session.run(
      async () => {
        const next = await api.planNext(id);
        await navigate('/books/:id/sessions/:session', {
          params: { id: book.id, session: next.id },
        });
      },
      (refused) => {
        session.problem = refused.field ? { ...refused, detail: fieldWords(refused) } : refused;
        return true;
      },
    );
  }
</script>

<svelte:head><title>Session · {book.book!.name} · Marvek</title></svelte:head>
<div class="max-w-6xl pb-20">
  {#if session.problem}
    <Problem problem={session.problem} onclose={session.clear} />
  {/if}
  {#if session.kept && session.now}
    <div class="flex flex-wrap items-center gap-x-4">
      <h1 class="text-3xl font-bold">
        {sessionName(session.kept)}, {hourWords(session.kept.session.startsAt)}
      </h1>
      <p class="figures text-neutral grow text-lg">{session.now.event}</p>
      <p class="figures" role="status" data-keeping>
        {#if session.keeping}Keeping …{:else if session.refused || session.theirs}
          <strong class="text-error">! not kept yet</strong>
          <button class="link min-h-11 px-2" onclick={() => session.forget()}>put it back</button>
        {:else}Kept{/if}
      </p>
    </div>
    {#if session.refused && !session.placed}
      <p role="alert" class="text-error font-semibold">! {fieldWords(session.refused)}</p>
    {/if}
    <SessionLinks kept={session.kept} current="plan" />
    <div
      class="desk:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1.1fr)] grid grid-cols-1 gap-x-8 md:grid-cols-2 pt-2"
    >
      <div>
        <WhenAndWhat />
        <OpenPoints />
      </div>
      <div>
        <SessionConditions />
        <SurfaceParts />
      </div>
      <div>
        <TyresAndCar />
        <ForecastTable />
        <ResultForm />
      </div>
    </div>
    <div class="border-base-300 mt-4 flex flex-wrap gap-3 border-t-2 pt-3">
      <button class="btn" onclick={planNext}>Plan the next from this one</button>
      <a class="btn btn-ghost" href="/api/sessions/{id}/session.ics" download>Calendar entry</a>
      <span class="grow"></span>
      <button class="btn btn-ghost text-error" data-remove-session onclick={() => (removing = true)}
        >Put this session away</button
      >
    </div>
  {:else if !session.problem}
    <p class="p-4" role="status">Looking up the session …</p>
  {/if}
</div>
{#if session.theirs}
  <Stale
    what="The session"
    theirs={session.theirs.session}
    mine={session.now}
    ontheirs={() => session.takeTheirs()}
    onmine={() => session.keepMine()}
    onclose={() => (session.theirs = undefined)}
  />
{/if}
{#if removing}
  <Dialog title="Put this session away" onclose={() => (removing = false)}>
    <p>
      With it go its hour, tyres, conditions, forecast, decisions and result, and every file of laps
      that was brought in for it. For thirty days it can be taken back from the shelf; then it goes
      for good. The revision that was issued for it stays in the book.
    </p>
    <p class="mt-4 flex justify-end gap-2">
      <button class="btn" onclick={() => (removing = false)}>Keep it</button>
      <button class="btn btn-primary" onclick={remove}>Put it away</button>
    </p>
  </Dialog>
{/if}
