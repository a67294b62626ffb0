<script lang="ts">
  import Dialog from './Dialog.svelte';
  import { differences, words } from './differences';

  interface Props {
    /** What was changed by both, as "The session". */
    what: string;
    theirs: unknown;
    mine: unknown;
    /** Words for a member of the state. */
    names?: (member: string) => string;
    /** Goes on from theirs, without mine. */
    ontheirs: () => void;
    /** Puts mine over theirs. */
    onmine: () => void;
    /** Goes back to what is typed; it is not kept. Left out where nothing is typed. */
    onclose?: () => void;
    /** What putting mine over theirs is called. */
    over?: string;
  }
  const {
    what,
    theirs,
    mine,
    names = words,
    ontheirs,
    onmine,
    onclose,
    over = 'Keep mine over it',
  }: Props = $props();
  const SHOWN = 14;
  const found = $derived(differences(theirs, mine, names));
</script>

<Dialog title="{what} was changed meanwhile" onclose={onclose ?? ontheirs}>
  <p class="pb-2">
    In another window or by somebody else. Nothing of theirs was overwritten, and what you typed is
    here.
  </p>
  <table class="w-full" data-stale>
    <thead>
      <tr class="border-base-content border-b-2 text-left">
        <th scope="col">what</th>
        <th scope="col">theirs, kept</th>
        <th scope="col">yours, not kept yet</th>
      </tr>
    </thead>
    <tbody>
      {#each found.slice(0, SHOWN) as d, i (i)}
        <tr class="border-base-300 border-b align-baseline">
          <th scope="row" class="py-1 pr-2 text-left font-normal">{d.where}</th>
          <td class="pr-2 wrap-anywhere">{d.theirs}</td>
          <td class="wrap-anywhere">{d.mine}</td>
        </tr>
      {:else}<tr><td colspan="3" class="py-1">Both say the same.</td></tr>{/each}
    </tbody>
  </table>
  {#if found.length > SHOWN}<p class="pt-1">… and {found.length - SHOWN} more.</p>{/if}
  <div class="flex flex-wrap justify-end gap-2 pt-3">
    {#if onclose}<button class="btn" onclick={onclose}>Back to mine</button>{/if}
    <button class="btn" onclick={ontheirs}>Take theirs</button>
    <button class="btn btn-primary" onclick={onmine}>{over}</button>
  </div>
</Dialog>
