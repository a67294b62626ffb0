<script lang="ts">
  import { say } from '../say/every';
  import type { KeptSheet, SetupSheet, SheetComparison } from '../api/answers';
  import { api, Failed } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { useBook } from '../book/book-state.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import Problem from '../ui/Problem.svelte';
  import Stale from '../ui/Stale.svelte';
  import { gain } from '../units/format';
  import { fieldWords, sheetWords, valueWords } from './sheet';
  import SheetForm from './SheetForm.svelte';

  const book = useBook();
  let sheets = $state.raw<KeptSheet[]>([]);
  const working = new Working();
  let edited = $state.raw<KeptSheet | { sheet: SetupSheet }>();
  let going = $state.raw<KeptSheet>();
  /** The sheet being edited as somebody else kept it meanwhile, and what is typed here. */
  let stale = $state.raw<{ theirs: KeptSheet; mine: SetupSheet }>();
  let compared = $state.raw<{ first: SetupSheet; second: SetupSheet; result: SheetComparison }>();
  const car = $derived(book.book!.carId);
  const used = $derived(book.history!.now.setup);
  const isUsed = (sheet: SetupSheet) => JSON.stringify(sheet) === JSON.stringify(used);

  const load = () => working.run(async () => void (sheets = await api.sheets(car)));
  $effect(() => void load());

  const keep = (sheet: SetupSheet) =>
    working.run(async () => {
      try {
        if ('id' in edited!) await api.changeSheet(car, edited, sheet);
        else await api.addSheet(car, sheet);
      } catch (e) {
        const theirs = theirsOf(e);
        if (!theirs) throw e;
        stale = { theirs, mine: sheet };
        return;
      }
      await leaveForm();
    });
  function leaveForm() {
    stale = edited = undefined;
    return load();
  }
  function keepMine() {
    const { theirs, mine } = stale!;
    stale = undefined;
    edited = theirs;
    return keep(mine);
  }
  /** A sheet that was changed meanwhile is shown as it is now, and asked for once more. */
  const remove = (kept: KeptSheet) =>
    working.run(async () => {
      try {
        await api.removeSheet(car, kept);
        going = undefined;
      } catch (e) {
        going = theirsOf(e);
        throw e;
      } finally {
        sheets = await api.sheets(car);
      }
    });
  const theirsOf = (e: unknown) =>
    e instanceof Failed ? (e.problem.theirs as KeptSheet | undefined) : undefined;
  const compare = (first: SetupSheet, second: SetupSheet) =>
    working.run(async () => {
      const result = await api.compareSheets(book.id, book.draft(), first, second);
      compared = { first, second, result };
    });
</script>

{#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
<ul data-sheets>
  {#each sheets as kept, i (kept.id)}
    <li class="border-base-300 flex flex-wrap items-center gap-2 border-b py-1">
      <span class="min-w-0 grow leading-tight">
        <strong>{kept.sheet.name}</strong>
        <span class="text-neutral figures">{kept.sheet.date ?? ''} {kept.sheet.tyres ?? ''}</span>
      </span>
      {#if isUsed(kept.sheet)}
        <strong class="px-3">in this draft</strong>
      {:else}
        <button class="btn btn-ghost px-3" onclick={() => book.setSetup(kept.sheet)}>Use</button>
      {/if}
      {#if i > 0}
        <button
          class="btn btn-ghost px-3"
          onclick={() => compare(sheets[i - 1].sheet, kept.sheet)}
          title="Lay it beside {sheets[i - 1].sheet.name}">Compare</button
        >
      {/if}
      <button class="btn btn-ghost px-3" onclick={() => (edited = kept)}>Edit</button>
      <button class="btn btn-ghost px-3" onclick={() => (going = kept)}>Remove</button>
    </li>
  {:else}
    <li class="text-neutral py-2">
      No sheet yet. Write down how the car is set up: a revision then points to it.
    </li>
  {/each}
</ul>
<div class="flex gap-2 pt-2">
  <button
    class="btn"
    data-new-sheet
    onclick={() =>
      (edited = { sheet: { ...(sheets[sheets.length - 1]?.sheet ?? {}), name: 'New sheet' } })}
    >New sheet</button
  >
  {#if used}<button class="btn btn-ghost" onclick={() => book.setSetup(undefined)}
      >The car as it is, no sheet</button
    >{/if}
</div>
{#if compared}
  <div class="pt-3" data-sheet-comparison>
    <p class="figures text-lg">
      {compared.second.name} against {compared.first.name}:
      <strong>{gain(compared.result.lostS)}</strong> by what the model computes
    </p>
    <table class="w-full text-[0.95rem]">
      <tbody>
        {#each compared.result.differences as d (d.field)}
          <tr class="border-base-300 border-b align-top">
            <th scope="row" class="figures py-1 pr-2 text-left font-semibold whitespace-nowrap"
              >{fieldWords(d.field)}</th
            >
            <td class="figures pr-2 whitespace-nowrap"
              >{valueWords(d.field, d.first)} → {valueWords(d.field, d.second)}</td
            >
            <td class="leading-snug">
              {#if d.lostS == null}<em>not computed.</em>{:else}<strong class="figures"
                  >{gain(d.lostS)}.</strong
                >{/if}
              {say(d.words)}
            </td>
          </tr>
        {:else}<tr><td>Nothing differs.</td></tr>{/each}
      </tbody>
    </table>
  </div>
{/if}
{#if edited}
  <SheetForm sheet={edited.sheet} onkeep={keep} onclose={() => (edited = undefined)} />
{/if}
{#if stale}
  <Stale
    what="The sheet"
    theirs={sheetWords(stale.theirs.sheet)}
    mine={sheetWords(stale.mine)}
    names={(member) => member}
    ontheirs={leaveForm}
    onmine={keepMine}
    onclose={() => (stale = undefined)}
  />
{/if}
{#if going}
  <Dialog title="Remove “{going.sheet.name}”?" onclose={() => (going = undefined)}>
    <p>The sheet goes from the list. Revisions that were computed with it keep their copy.</p>
    <div class="flex justify-end gap-2 pt-3">
      <button class="btn" onclick={() => (going = undefined)}>Leave it</button>
      <button class="btn btn-primary" onclick={() => remove(going!)}>Remove</button>
    </div>
  </Dialog>
{/if}
