<!-- @component How the driver tells points himself: by a mark, by what leaves his sight, by an aim. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { OfferedMarks } from '../api/answers';
  import { Asking } from '../api/asking.svelte';
  import { api } from '../api/client';
  import type { By, MarkReference, PagePoint, Told } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { BY, POINTS, pointsOf } from './annotations';
  import Line from './Line.svelte';
  import { usePage } from './page-context';
  import { markWords } from './words';

  const book = useBook();
  const page = usePage();
  const p = $derived(page());
  const told = $derived(p.at ?? []);
  const own = $derived(
    book.history?.now.ownValues.find((o) => o.corner === p.corner)?.at ?? ([] as Told[]),
  );
  const length = (m: number) => preferences.lengthText(m);
  const offered = new Asking<OfferedMarks[]>();
  let open = $state(false);

  $effect(() => {
    if (!open) return;
    const draft = book.draft();
    const { corner } = p;
    void offered.ask(['marks', book.id, corner, draft], (s) =>
      api.offeredMarks(book.id, corner, draft, s),
    );
  });

  const order = (point: PagePoint) => Object.keys(POINTS).indexOf(point);
  const entry = (point: PagePoint) => own.find((each) => each.point === point);
  function put(point: PagePoint, changed: Partial<Told> | undefined) {
    const rest = own.filter((each) => each.point !== point);
    const next: Told = { by: 'beside', ...entry(point), ...changed, point };
    const empty = changed === undefined || (!next.mark && !next.words && !next.phrase);
    const all = (empty ? rest : [...rest, next]).sort((a, b) => order(a.point) - order(b.point));
    book.setOwn(p.corner, 'at', all.length ? all : undefined);
  }
  function choose(point: PagePoint, value: string) {
    const [by, ...mark] = value.split('|');
    if (value) put(point, { by: by as By, mark: mark.join('|'), words: undefined });
    else put(point, { by: 'beside', mark: undefined, words: undefined });
  }
  const groups = (of: OfferedMarks) =>
    (
      [
        ['beside', of.beside],
        ['leaves-sight', of.leaving],
        ['aim', of.aims],
      ] as [By, MarkReference[]][]
    ).filter(([, marks]) => marks.length);
  const chosen = (point: PagePoint) => {
    const present = entry(point);
    return present?.mark ? `${present.by ?? 'beside'}|${present.mark}` : '';
  };
  const listed = (of: OfferedMarks, value: string) =>
    groups(of).some(([by, marks]) => marks.some((mark) => `${by}|${mark.mark}` === value));
  const refused = $derived(book.problem?.field?.includes('at/') ? book.problem : undefined);
</script>

<Line letter="M" shape="plain" title="By marks" fields={['at']} screenOnly={!told.length}>
  <span data-own-marks>
    {#each told as each (each.point)}
      <span class="block" data-told-point={each.point}
        ><strong class="inline-block first-letter:uppercase">{POINTS[each.point]}</strong>
        {#if each.target}{markWords(each.target, length)}{:else if each.at_m === undefined}:
          <span class="text-warning font-semibold">not on this page</span>{:else if each.mark}:
          <span class="text-warning font-semibold">the {each.mark} is not seen so from there</span
          >{/if}{each.phrase
          ? `${each.target || each.mark || each.at_m === undefined ? ';' : 'is'} said “${each.phrase}”`
          : ''}.</span
      >
    {:else}Brake, lift and turn-in by theirs; the other points by the apex.{/each}
  </span>
  <details data-tell-points class="print:hidden" bind:open>
    <summary class="link min-h-11 content-center decoration-dotted">Tell points by marks</summary>
    {#if refused}<Problem problem={refused} onclose={book.clear} />{/if}
    {#if offered.answer}
      <ul>
        {#each offered.answer as of (of.point)}
          {@const value = chosen(of.point)}
          <li class="border-base-300 flex flex-wrap items-center gap-x-3 border-t py-1">
            <span class="w-28 font-semibold">{POINTS[of.point]}</span>
            <select
              class="select h-11 w-60 max-w-full grow px-2 text-base"
              aria-label="Mark for {POINTS[of.point]}"
              {value}
              onchange={(e) => choose(of.point, e.currentTarget.value)}
            >
              <option value=""
                >{groups(of).length ? 'as the page has it' : 'nothing is seen'}</option
              >
              {#if value && !listed(of, value)}<option {value}>{entry(of.point)?.mark}</option>{/if}
              {#each groups(of) as [by, marks] (by)}
                <optgroup label={BY[by]}>
                  {#each marks as mark (mark.mark)}<option value="{by}|{mark.mark}"
                      >{markWords(mark, length)}</option
                    >{/each}
                </optgroup>
              {/each}
            </select>
            <input
              class="input h-11 w-60 max-w-full grow"
              maxlength="60"
              aria-label="Said of {POINTS[of.point]}"
              placeholder="said in the call-outs"
              value={entry(of.point)?.phrase ?? ''}
              onchange={(e) => put(of.point, { phrase: e.currentTarget.value.trim() || undefined })}
            />
            {#if entry(of.point)}
              <button
                class="btn btn-ghost w-11 px-0"
                aria-label="{POINTS[of.point]}: back to the page's"
                title="back to the page's"
                onclick={() => put(of.point, undefined)}><X size={18} /></button
              >
            {/if}
          </li>
        {/each}
      </ul>
      {#if pointsOf(p).length > 0}
        <p class="text-neutral text-sm">
          Where nothing stands, note a mark: press beside the road on the strip, and say what it is.
        </p>
      {/if}
    {:else if offered.problem}<Problem problem={offered.problem} onclose={() => offered.forget()} />
    {:else}<p role="status">Looking from the seat …</p>{/if}
  </details>
</Line>
