<!-- @component Keys of one's scripts: made for a purpose, told once, ended. -->
<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import Problem from '../ui/Problem.svelte';
  import { whenWords } from './roles';

  const work = new Working();
  let keys = $state.raw<Awaited<ReturnType<typeof api.keys>>>([]);
  let name = $state('');
  let scope = $state<'READ' | 'EDIT'>('READ');
  let days = $state(90);
  let secret = $state<string>();
  const look = async () => void (keys = await api.keys());
  void work.run(look);

  const make = () =>
    work.run(async () => {
      ({ secret } = await api.makeKey(name.trim(), scope, days));
      name = '';
      await look();
    });
  const end = (id: string) =>
    work.run(async () => {
      await api.endKey(id);
      await look();
    });
</script>

<section class="border-base-300 border-t-2 py-3" data-keys>
  <h2 class="text-xl font-bold">Keys for scripts</h2>
  <p class="text-neutral pb-2">
    A script asks in your name with one. It neither removes things nor lets anybody in.
  </p>
  {#if work.problem}<Problem problem={work.problem} onclose={work.clear} />{/if}
  {#if secret}
    <p class="rounded-box border-base-content my-2 border-2 p-3" role="status">
      Copy it now, it is told this once: <code
        class="select-all font-bold wrap-anywhere"
        data-secret>{secret}</code
      ><br />A script sends it as <code>Authorization: Bearer …</code>
      <button class="btn btn-ghost" onclick={() => (secret = undefined)}>Done</button>
    </p>
  {/if}
  <ul>
    {#each keys as key (key.id)}
      <li class="flex flex-wrap items-center gap-2 py-1" data-key={key.name}>
        <span class="min-w-0 grow"
          ><b>{key.name}</b>, {key.scope === 'READ' ? 'reads' : 'reads and changes'}, until
          {whenWords(key.expiresAt)}, {key.seenAt
            ? `used ${whenWords(key.seenAt)}`
            : 'not used yet'}
        </span>
        <button class="btn btn-ghost" aria-label="End {key.name}" onclick={() => end(key.id)}
          >End it</button
        >
      </li>
    {:else}
      <li class="text-neutral py-1">There is none.</li>
    {/each}
  </ul>
  <form
    class="flex flex-wrap items-end gap-3 pt-2"
    onsubmit={(e) => {
      e.preventDefault();
      void make();
    }}
  >
    <label class="grid gap-1">
      <span>For what</span>
      <input
        class="input h-12 w-52 text-base"
        maxlength="80"
        required
        pattern=".*\S.*"
        placeholder="logger in the van"
        bind:value={name}
        data-key-name
      />
    </label>
    <label class="grid gap-1">
      <span>It may</span>
      <select class="select h-12 w-52 text-base" bind:value={scope} data-key-scope>
        <option value="READ">read</option>
        <option value="EDIT">read and change</option>
      </select>
    </label>
    <label class="grid gap-1">
      <span>For</span>
      <select class="select h-12 w-32 text-base" bind:value={days}>
        {#each [7, 30, 90, 365] as one (one)}<option value={one}>{one} days</option>{/each}
      </select>
    </label>
    <button class="btn" disabled={work.busy} data-make-key>Make a key</button>
  </form>
</section>
