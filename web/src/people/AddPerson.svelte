<!-- @component Asks who is to see the driver's things, and as what. -->
<script lang="ts">
  import { api } from '../api/client';
  import type { Role } from '../api/people-calls';
  import type { BookView } from '../api/types';
  import { Working } from '../api/working.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import Problem from '../ui/Problem.svelte';
  import { me } from './me.svelte';
  import { ROLES } from './roles';

  interface Props {
    onadd: (name: string, role: Role, bookId?: string) => void;
    onclose: () => void;
  }
  const { onadd, onclose }: Props = $props();
  const ofOneBook = (role: Role) => role === 'INSTRUCTOR' || role === 'GUEST';
  // Who keeps a club's server lets other drivers in too.
  const OTHERS: Role[] = [
    ...(me.now.accounts && me.now.keeper ? (['DRIVER'] as const) : []),
    'COACH',
    'INSTRUCTOR',
    'GUEST',
  ];

  const reading = new Working();
  let name = $state('');
  let role = $state<Role>('COACH');
  let book = $state('');
  let books = $state.raw<BookView[]>([]);
  void reading.run(async () => {
    books = await api.books();
    book = books[0]?.id ?? '';
  });
</script>

<Dialog title="Let somebody see" {onclose}>
  {#if reading.problem}<Problem problem={reading.problem} />{/if}
  <form
    class="grid gap-4"
    onsubmit={(e) => {
      e.preventDefault();
      onadd(name.trim(), role, ofOneBook(role) ? book : undefined);
    }}
  >
    <label class="grid gap-1">
      <span>Name</span>
      <input
        class="input h-12 w-full text-base"
        maxlength="80"
        required
        pattern=".*\S.*"
        bind:value={name}
        data-name
      />
    </label>
    <fieldset class="grid gap-1">
      <legend class="pb-1">As</legend>
      {#each OTHERS as one (one)}
        <label class="flex min-h-11 items-start gap-3 py-1">
          <input type="radio" class="radio mt-1" name="role" value={one} bind:group={role} />
          <span
            ><b>{ROLES[one].name}</b>:
            {one === 'DRIVER'
              ? 'has a shelf of his own, sees nothing of yours'
              : ROLES[one].may}</span
          >
        </label>
      {/each}
    </fieldset>
    {#if ofOneBook(role)}
      <label class="grid gap-1">
        <span>Book</span>
        <select class="select h-12 w-full text-base" bind:value={book}>
          {#each books as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </select>
      </label>
    {/if}
    <div class="flex justify-end gap-2">
      <button type="button" class="btn btn-ghost" onclick={onclose}>Cancel</button>
      <button class="btn btn-primary">Let them see</button>
    </div>
  </form>
</Dialog>
