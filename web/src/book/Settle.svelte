<script lang="ts">
  import { KERB_USE, SCHOOLS } from '../page/words';
  import Dialog from '../ui/Dialog.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { useBook } from './book-state.svelte';
  import { FIELD_ROWS } from './compare';
  import { stateOf } from './draft';
  import { clashes, merged, onlyMine, type Clash } from './merge';

  const book = useBook();
  const theirs = $derived(stateOf(book.theirs!));
  const found = $derived(clashes(book.before, theirs, book.history!.now));
  /** Clashes that are settled my way, by their place in the list; at first what only I touched. */
  let mine = $state<Record<number, boolean>>({});
  const isMine = (i: number) => mine[i] ?? onlyMine(found[i]);

  const where = (clash: Clash) => (clash.corner === undefined ? 'lap' : `corner ${clash.corner}`);
  const what = (clash: Clash) => FIELD_ROWS[clash.field] ?? clash.field;

  function told(field: string, value: unknown): string {
    if (value === undefined || value === null || value === '') return "the model's";
    if (typeof value === 'number') return numberWords(field, value);
    if (typeof value === 'object') return (value as { name?: string }).name ?? '…';
    const word = String(value);
    return (
      SCHOOLS[word as keyof typeof SCHOOLS]?.name ?? KERB_USE[word as keyof typeof KERB_USE] ?? word
    );
  }

  /** A number in the driver's units, by the suffix of its name. */
  function numberWords(field: string, value: number): string {
    if (field === 'apexes.offset_m') return preferences.acrossText(value);
    if (field.endsWith('_m')) return `${preferences.lengthText(value)} from the line`;
    if (field.endsWith('_mps')) return preferences.speedText(value);
    if (field.endsWith('_pct')) return `${Math.round(value)} %`;
    return String(Math.round(value * 100) / 100);
  }

  function goOn() {
    void book.goOnFromTheirs(
      merged(
        theirs,
        found.filter((_, i) => isMine(i)),
      ),
    );
  }
</script>

<Dialog
  title="Revision {book.theirs!.number} was kept meanwhile"
  onclose={() => (book.theirs = undefined)}
>
  <p class="pb-2">
    From the same revision {book.before && book.base!.revision.number}: “{book.theirs!.reason}”.
    Choose value by value; nothing is lost until you keep.
  </p>
  <table class="w-full" data-settle>
    <thead>
      <tr class="border-base-content border-b-2 text-left">
        <th scope="col">what</th>
        <th scope="col">was</th>
        <th scope="col">theirs</th>
        <th scope="col">yours</th>
      </tr>
    </thead>
    <tbody>
      {#each found as clash, i (i)}
        <tr class="border-base-300 border-b">
          <td class="py-1 pr-2">{where(clash)}: {what(clash)}</td>
          <td class="text-neutral pr-2">{told(clash.field, clash.before)}</td>
          {#each [false, true] as own (own)}
            <td>
              <label class="flex min-h-11 items-center gap-2">
                <input
                  type="radio"
                  class="radio"
                  name="clash-{i}"
                  checked={isMine(i) === own}
                  onchange={() => (mine[i] = own)}
                />
                {told(clash.field, own ? clash.mine : clash.theirs)}
              </label>
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
  <div class="flex justify-end gap-2 pt-3">
    <button class="btn" onclick={() => (book.theirs = undefined)}>Back to my draft</button>
    <button class="btn btn-primary" onclick={goOn}>Go on from revision {book.theirs!.number}</button
    >
  </div>
</Dialog>
