<script lang="ts">
  import type { School } from '../api/answers';
  import { useBook } from '../book/book-state.svelte';
  import { between } from '../strip/lap-axis';
  import { DASHES } from '../strip/other-lines';
  import { gain, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { usePage } from './page-context';
  import type { Panels } from './panels.svelte';
  import { SCHOOLS } from './words';

  const { panels }: { panels: Panels } = $props();
  const book = useBook();
  const page = usePage();
  const chosen = $derived(
    book.history!.now.ownValues.find((o) => o.corner === page().corner)?.line,
  );

  function brakes(at: number | null | undefined): string {
    const own = page().brake.at_m;
    if (at === undefined || at === null) return 'none';
    if (own === undefined) return 'yes';
    const later = between(book.view!.trace, own, at);
    if (Math.abs(later) < 0.5) return 'the same';
    return `${preferences.lengthText(Math.abs(later))} ${later > 0 ? 'later' : 'earlier'}`;
  }
  const number = (mps: number) => Math.round(speedIn(mps, preferences.speed));
  const drive = (school: School | undefined) => book.setOwn(page().corner, 'line', school);
</script>

{#if panels.ways}
  <!-- At 400 % it is moved under the finger: what stands in columns needs them. -->
  <div class="overflow-x-auto">
    <table class="figures w-full text-base" data-ways>
      <thead>
        <tr class="border-base-content border-b-2 text-left text-sm">
          <th scope="col">on the strip</th>
          <th scope="col">against the book's line</th>
          <th scope="col" class="text-right">in, {preferences.speed}</th>
          <th scope="col" class="pl-3 text-right">lowest</th>
          <th scope="col" class="pl-3 text-right">out</th>
          <th scope="col" class="pl-3 text-right">brakes</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        {#each panels.ways as way, i (way.school)}
          {@const school = SCHOOLS[way.school]}
          <tr class="border-base-300 border-b" data-school={way.school}>
            <td>
              <label class="flex min-h-12 items-center gap-2" title={school.words}>
                <input
                  type="checkbox"
                  class="checkbox checkbox-sm"
                  checked={panels.shown.includes(way.school)}
                  onchange={() => panels.toggle(way.school)}
                />
                <svg width="30" height="20" aria-hidden="true">
                  <line
                    x1="1"
                    x2="29"
                    y1="10"
                    y2="10"
                    stroke="var(--ink)"
                    stroke-width={i === 0 ? 3.4 : 1.8}
                    stroke-dasharray={DASHES[i % DASHES.length]}
                  />
                </svg>
                <span class="leading-tight">
                  <strong>{school.letters}</strong>
                  {school.name}
                </span>
              </label>
            </td>
            <td>
              <strong>{gain(way.lost_s)}</strong>
              {#if way.tie && i > 0}<span class="text-neutral block text-sm"
                  >a tie with the quickest</span
                >{/if}
            </td>
            <td class="text-right">{number(way.entry_mps)}</td>
            <td class="text-right">{number(way.lowest_mps)}</td>
            <td class="text-right">{number(way.exit_mps)}</td>
            <td class="pl-3 text-right">{brakes(way.brakeAt_m)}</td>
            <td class="pl-2 text-right">
              {#if chosen === way.school}
                <strong>driven</strong>
              {:else}
                <button class="btn btn-ghost px-2" onclick={() => drive(way.school)}
                  >Drive it</button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <p class="text-neutral pt-2 leading-snug">
    Time over the corner and the straight after it, by the model on this day's grip. Differences up
    to 0.03 s are ties: drive what suits you. Defend counts the time alone, not the place that it
    keeps.
    {#if chosen}
      <button class="link" onclick={() => drive(undefined)}>Back to the book's line</button>
    {/if}
  </p>
  {#if book.history!.now.line === 'smooth'}
    <p class="text-neutral pt-1" data-smooth-measure>
      This book's line is the smooth one, which gives time away in most corners: what a way costs is
      told by how far it stands behind the first one.
    </p>
  {/if}
{/if}
