<!-- @component What the first lap lost to the second, corner by corner or by one's own sectors. -->
<script lang="ts">
  import type { LapPair } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { causeWords } from '../laps/finding-words';
  import { cornerName } from '../ui/corner-name';
  import { lostOn, sectorsOf, type Part } from './pair';

  interface Props {
    pair: LapPair;
    pages: CornerPage[];
    cuts: number[];
    names: [string, string];
    onlook: (part: Part) => void;
  }
  const { pair, pages, cuts, names, onlook }: Props = $props();
  type Cost = LapPair['corners'][number]['first'][number];

  const signed = (s: number | undefined) =>
    s === undefined
      ? '–'
      : `${s >= 0 ? '+' : '−'}${Math.abs(s).toFixed(2)} s ${Math.abs(s) < 0.005 ? 'level' : s > 0 ? 'lost' : 'gained'}`;
  const causes = (parts: Cost[]) =>
    [...parts]
      .sort((a, b) => b.cost_s - a.cost_s)
      .slice(0, 2)
      .filter((p) => p.cost_s >= 0.01)
      .map((p) => `${causeWords(p.rule)} ${p.cost_s.toFixed(2)} s`)
      .join('; ');
  const rows = $derived(
    pair.corners.map((c) => ({
      ...c,
      name: cornerName(pages.find((p) => p.corner === c.corner)!),
    })),
  );
  const sectors = $derived(cuts.length ? sectorsOf(cuts, pair.length_m) : []);
  const most = $derived(Math.max(0.05, ...pair.corners.map((c) => Math.abs(c.behind_s))));
</script>

{#if sectors.length}
  <ul class="figures flex flex-wrap gap-x-4 pb-2" data-sectors>
    {#each sectors as sector (sector.from)}
      <li>
        <button class="link min-h-11" onclick={() => onlook(sector)}>{sector.name}</button>
        <strong>{signed(lostOn(pair, sector))}</strong>
      </li>
    {/each}
  </ul>
{/if}
<ul data-differences>
  {#each rows as row (row.corner)}
    <li class="border-base-300 border-b py-1 leading-snug" data-difference={row.corner}>
      <div class="figures flex items-center gap-3">
        <button
          class="link min-h-11 w-36 truncate text-left font-semibold"
          onclick={() =>
            onlook({
              name: row.name,
              from: row.from_m,
              to: row.to_m > row.from_m ? row.to_m : pair.length_m,
            })}>{row.name}</button
        >
        <span class="relative block h-4 min-w-0 grow" aria-hidden="true">
          <span class="bg-base-content absolute inset-y-0 left-1/2 w-px"></span>
          <span
            class={[
              'absolute inset-y-0.5',
              row.behind_s > 0 ? 'lost left-1/2' : 'gained right-1/2',
            ]}
            style:width="{(Math.abs(row.behind_s) / most) * 50}%"
          ></span>
        </span>
        <strong class="w-32 shrink-0 text-right">{signed(row.behind_s)}</strong>
      </div>
      {#if causes(row.first) || causes(row.second)}
        <p class="text-neutral pb-1 text-sm">
          {#if causes(row.first)}{names[0]}: {causes(row.first)}.{/if}
          {#if causes(row.second)}{names[1]}: {causes(row.second)}.{/if}
        </p>
      {/if}
    </li>
  {/each}
</ul>
<p class="text-neutral pt-1 text-sm leading-snug">
  From each corner’s first point to the next one’s; lost and gained are {names[0]}’s. Causes are
  what each lost to the page.
</p>

<style>
  .lost {
    background: var(--color-warning);
  }
  .gained {
    border: 2px solid var(--ink);
  }
</style>
