<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { PairingCode, SeenPerson } from '../api/people-calls';
  import Dialog from '../ui/Dialog.svelte';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import AddPerson from './AddPerson.svelte';
  import CodeDialog from './CodeDialog.svelte';
  import { me } from './me.svelte';
  import { ROLES, whenWords } from './roles';

  const work = new Working();
  let sharing = $state.raw<Awaited<ReturnType<typeof api.people>>>();
  let adding = $state(false);
  let ending = $state.raw<SeenPerson>();
  let shown = $state.raw<{ code: PairingCode; name: string }>();

  const look = () => work.run(async () => void (sharing = await api.people()));
  void look();
  void me.look();

  const endWords = (person: SeenPerson) => (person.role === 'DRIVER' ? 'Lock out' : 'End');

  const makeCode = (person: SeenPerson) =>
    work.run(async () => {
      shown = {
        code: await api.makeCode(person.id),
        name: person.self ? 'yours' : person.name,
      };
    });

  const endDevice = (id: string) =>
    work.run(async () => {
      await api.endDevice(id);
      sharing = await api.people();
    });

  const endPerson = (person: SeenPerson) =>
    work.run(async () => {
      ending = undefined;
      await api.endPerson(person.id);
      sharing = await api.people();
    });
</script>

<Header>People and devices</Header>
<main class="max-w-3xl px-4 pb-16" aria-busy={work.busy}>
  <h1 class="pt-2 text-3xl font-bold">People and devices</h1>
  {#if work.problem}<Problem problem={work.problem} onclose={work.clear} />{/if}
  {#if sharing && !sharing.shared}
    <p class="py-2" data-alone>
      Marvek is open to this machine alone. To read your books on a tablet or a telephone, or to let
      a coach see them, end it and start it with <b>./marvek share</b>; then pair devices here.
    </p>
  {:else if sharing}
    <p class="py-2">
      Open on the local network at
      {#each sharing.addresses as address, i (address)}{i ? ', ' : ' '}<b>{address}</b>{/each}. It
      ends when you end <b>./marvek share</b>.
    </p>
    {#if sharing.fingerprint}
      <p class="text-neutral pb-2 break-all" data-fingerprint>
        Fingerprint of the certificate that devices are to trust, SHA-256: {sharing.fingerprint}
      </p>
    {/if}
  {/if}
  {#each sharing?.people ?? [] as person (person.id + person.role + person.bookId)}
    <section
      class="border-base-300 border-t-2 py-3"
      data-person={person.self ? 'driver' : person.name}
    >
      <div class="flex flex-wrap items-center gap-2">
        <h2 class="min-w-0 grow text-xl font-bold">
          {#if person.self}Your own devices{:else}{person.name}
            <span class="text-neutral font-normal"
              >{person.role === 'DRIVER' ? 'another driver' : ROLES[person.role].name}</span
            >{/if}
        </h2>
        {#if sharing?.shared && person.letIn}
          <button class="btn" onclick={() => makeCode(person)}>Pair a device</button>
        {/if}
        {#if !person.self}
          <button class="btn btn-ghost" onclick={() => (ending = person)}>{endWords(person)}</button
          >
        {/if}
      </div>
      {#if !person.self}
        <p class="text-neutral">
          {person.role === 'DRIVER'
            ? 'has a shelf of his own, and sees nothing of yours; a code lets him in again who forgot his password'
            : ROLES[person.role].may}
        </p>
      {/if}
      <ul>
        {#each person.devices as device (device.id)}
          <li class="flex flex-wrap items-center gap-2 py-1" data-device={device.name}>
            <span class="min-w-0 grow">
              <b>{device.name}</b>{device.id === me.now.device ? ', this one' : ''}, paired
              {whenWords(device.pairedAt)}, seen {whenWords(device.seenAt)}
            </span>
            <button
              class="btn btn-ghost"
              aria-label="End {device.name} of {person.name}"
              onclick={() => endDevice(device.id)}>End it</button
            >
          </li>
        {:else}
          {#if sharing?.shared && person.letIn && person.role !== 'DRIVER'}
            <li class="text-neutral py-1">No device is paired.</li>
          {/if}
        {/each}
      </ul>
    </section>
  {/each}
  {#if sharing?.shared}
    <button class="btn btn-primary mt-3" data-let onclick={() => (adding = true)}
      >{me.now.accounts && me.now.keeper ? 'Let somebody in' : 'Let somebody see'}</button
    >
  {/if}
</main>
{#if adding}
  <AddPerson
    onclose={() => (adding = false)}
    onadd={(name, role, book) =>
      work.run(async () => {
        adding = false;
        await api.addPerson(name, role, book);
        sharing = await api.people();
      })}
  />
{/if}
{#if shown}
  <CodeDialog
    name={shown.name}
    code={shown.code}
    onclose={() => {
      shown = undefined;
      void look();
    }}
  />
{/if}
{#if ending}
  {@const person = ending}
  <Dialog title="{endWords(person)} {person.name}?" onclose={() => (ending = undefined)}>
    <p>
      {#if person.role === 'DRIVER'}
        {person.name} comes in no more, neither by password nor by a device or a script. What is his stays;
        a new code lets him in again.
      {:else}
        {person.name} sees nothing of yours any more, on no device. What was remarked stays.
      {/if}
    </p>
    <div class="flex justify-end gap-2 pt-4">
      <button class="btn btn-ghost" onclick={() => (ending = undefined)}>Cancel</button>
      <button class="btn btn-primary" onclick={() => endPerson(person)} data-end
        >{endWords(person)}</button
      >
    </div>
  </Dialog>
{/if}
