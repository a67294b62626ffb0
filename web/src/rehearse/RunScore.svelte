<!-- @component What a run came to, corner by corner, with how it went on earlier days. -->
<script lang="ts">
  import type { Hit, Run } from '../api/runs';
  import { preferences } from '../units/preferences.svelte';
  import { farthest, KIND_LETTER, offWords, total, trend } from './run-words';

  interface Props {
    run: Run;
    /** All runs of the book, oldest first. */
    runs: Run[];
    nameOf: (corner: number) => string;
  }
  const { run, runs, nameOf }: Props = $props();
  const sum = $derived(total(run));
  const metres = (m: number) => preferences.lengthText(m);
  const ofCorner = (corner: number) => run.hits.filter((h) => h.corner === corner);
  const told = (hit: Hit) =>
    hit.off_m == null
      ? 'missed'
      : `${offWords(hit.off_m, metres)} (${hit.off_s! < 0 ? '−' : '+'}${Math.abs(hit.off_s!).toFixed(2)} s)`;
  const days = (corner: number) =>
    trend(runs, corner)
      .slice(-4)
      .map((d) => metres(d.mean_m))
      .join(' → ');
</script>

<div data-score>
  <h2 class="figures text-2xl font-semibold">
    {sum.mean_m === undefined ? 'Nothing was hit' : `${metres(sum.mean_m)} off in the mean`}, {sum.missed}
    of {sum.acts} missed{run.extra ? `, ${run.extra} pressed without reason` : ''}
  </h2>
  <table class="figures w-full text-base">
    <thead>
      <tr class="border-base-content border-b-2 text-left">
        <th>corner</th><th class="text-right">mean</th><th class="pl-4">pressed</th><th
          class="pl-3 whitespace-nowrap">day by day</th
        >
      </tr>
    </thead>
    <tbody>
      {#each run.corners as c (c.corner)}
        {@const worst = farthest(ofCorner(c.corner))}
        <tr class="border-base-300 border-b align-top" data-corner={c.corner}>
          <td class="py-1 whitespace-nowrap">{nameOf(c.corner)}</td>
          <td class="py-1 text-right font-semibold">{c.mean_m == null ? '–' : metres(c.mean_m)}</td>
          <td class="py-1 pl-4 leading-snug">
            {#each ofCorner(c.corner) as hit, k (k)}
              <span class={['inline-block pr-3', hit === worst && 'font-semibold']}
                >{KIND_LETTER[hit.kind]} {told(hit)}</span
              >
            {/each}
          </td>
          <td class="text-neutral py-1 pl-3 text-sm">{days(c.corner)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
