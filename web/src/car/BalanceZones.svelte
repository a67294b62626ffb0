<script lang="ts">
  import type { BalanceZone, CarOnCircuit } from '../api/answers';
  import { useBook } from '../book/book-state.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { cornerOf, LOCKS, metresWords } from './balance';

  const { car }: { car: CarOnCircuit } = $props();
  const book = useBook();
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  const wetOf = (zone: BalanceZone) => cornerZone(car.wet.zones, zone);
  const length = (m: number) => preferences.acrossText(m);

  /** The zone of the wet lap that ends nearest to one of the dry. */
  function cornerZone(zones: BalanceZone[], dry: BalanceZone): BalanceZone | undefined {
    return zones.find((zone) => Math.abs(zone.toM - dry.toM) < 60);
  }
</script>

<table
  class="figures as-lines w-full text-base whitespace-nowrap [&_td]:px-1 [&_th]:px-1"
  data-zones
>
  <thead>
    <tr class="border-base-content border-b-2 text-left text-sm">
      <th scope="col">braking for</th>
      <th scope="col" class="text-right">from</th>
      <th scope="col" class="text-right">grade</th>
      <th scope="col" class="text-right">ideal front</th>
      <th scope="col">locks first, dry · wet</th>
      <th scope="col" class="text-right">costs</th>
      <th scope="col" class="text-right">1 % fwd · rearward</th>
    </tr>
  </thead>
  <tbody>
    {#each car.dry.zones as zone (zone.fromM)}
      {@const wet = wetOf(zone)}
      <tr class="border-base-300 h-9 border-b">
        <td class="whole-row">{cornerOf(book.view!.revision.pages, book.view!.trace, zone.toM)}</td>
        <td class="text-right" data-label="from">{preferences.speedText(zone.fromMps)}</td>
        <td class="text-right"
          >{zone.gradePct < 0 ? '−' : ''}{Math.abs(zone.gradePct).toFixed(1)} %</td
        >
        <td class="text-right" data-label="ideal front"
          >{percent(zone.idealAtBegin)} to {percent(zone.idealAtEnd)}</td
        >
        <td data-label="locks first"
          >{LOCKS[zone.locksFirst]} · {wet ? LOCKS[wet.locksFirst] : '–'}</td
        >
        <td class="text-right" data-label="costs"><strong>{length(zone.costM)}</strong></td>
        <td class="text-right" data-label="1 % fwd · rearward"
          >{metresWords(zone.forwardM, length)} · {metresWords(zone.rearwardM, length)}</td
        >
      </tr>
    {/each}
  </tbody>
</table>
