<script lang="ts">
  import type { DrivenLap } from '../api/laps';
  import { preferences } from '../units/preferences.svelte';
  import { feetWords, handsWords, marginError, marginWords } from './work-words';

  interface Props {
    corner: number;
    /** The laps that count. */
    laps: DrivenLap[];
  }
  const { corner, laps }: Props = $props();
  const rows = $derived(
    laps.flatMap((lap) => {
      const reading = lap.corners.find((r) => r.corner === corner);
      return reading ? [{ lap, reading }] : [];
    }),
  );
  const error = $derived(marginError(rows.map((r) => r.reading)));
  const length = (m: number) => preferences.lengthText(m);
</script>

<table class="figures as-lines w-full text-base" data-work>
  <thead>
    <tr class="border-base-content border-b-2 text-left text-sm">
      <th scope="col">lap</th>
      <th scope="col">hands</th>
      <th scope="col">feet</th>
      <th scope="col">inside limit</th>
      <th scope="col">outside limit</th>
    </tr>
  </thead>
  <tbody>
    {#each rows as { lap, reading } (lap.id)}
      <tr class="border-base-300 h-11 border-b" data-work-of={lap.number}>
        <td class="font-semibold">{lap.number}</td>
        <td data-label="hands">{(reading.work && handsWords(reading.work, length)) ?? '–'}</td>
        <td data-label="feet">{(reading.work && feetWords(reading.work)) ?? '–'}</td>
        <td data-label="inside limit">{marginWords(reading.margins?.inside) ?? '–'}</td>
        <td data-label="outside limit">{marginWords(reading.margins?.outside) ?? '–'}</td>
      </tr>
    {/each}
  </tbody>
</table>
<p class="text-neutral pt-1 text-sm leading-snug">
  Hands: a wheel that was taken back and turned in again within a second, and more of it than the
  turn needs. Edges: from the body to what the rule lets it use{error === undefined
    ? ''
    : `, ± ${error} cm by how the positions scatter`}; what counts is what officials see. – where
  the file has no channel for it.
</p>
