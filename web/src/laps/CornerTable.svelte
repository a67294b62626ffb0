<script lang="ts">
  import type { CornerPage } from '../api/types';
  import { lengthIn, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import type { CornerDebrief } from './debrief';

  interface Props {
    pages: CornerPage[];
    corners: CornerDebrief[];
    chosen: number;
    onchoose: (corner: number) => void;
  }
  const { pages, corners, chosen, onchoose }: Props = $props();
  const name = (corner: number) => pages.find((p) => p.corner === corner)?.name ?? '';

  /** A figure with its sign; nothing where it is too small to be driven. */
  function signed(value: number | undefined, least: number): string {
    if (value === undefined) return '–';
    const rounded = Math.round(value);
    return Math.abs(value) < least || rounded === 0
      ? 'as written'
      : `${rounded > 0 ? '+' : '−'}${Math.abs(rounded)}`;
  }
  const metres = (m: number | undefined) =>
    signed(m === undefined ? undefined : lengthIn(m, preferences.length), 1);
  const speed = (v: number | undefined) =>
    signed(v === undefined ? undefined : speedIn(v, preferences.speed), 0.5);
  const figure = (s: number) => `${s >= 0 ? '+' : '−'}${Math.abs(s).toFixed(2)}`;
  const time = (s: number | undefined) =>
    s === undefined ? '–' : `${figure(s)} ${s >= 0 ? 'lost' : 'gained'}`;
</script>

<table class="figures as-lines w-full text-lg" data-corners>
  <thead>
    <tr class="border-base-content border-b-2 text-left">
      <th>corner</th>
      <th class="text-right">brake, {preferences.length}</th>
      <th class="text-right">spread ±</th>
      <th class="text-right">off, {preferences.length}</th>
      <th class="text-right">lowest, {preferences.speed}</th>
      <th class="text-right">throttle, {preferences.length}</th>
      <th class="text-right">time, s</th>
      <th class="text-right">costs here</th>
    </tr>
  </thead>
  <tbody>
    {#each corners as c (c.corner)}
      <tr
        class={['border-base-300 h-[38px] border-b', c.corner === chosen && 'bg-base-200']}
        data-corner={c.corner}
      >
        <td class="grow">
          <button
            class="link min-h-11 min-w-11 text-left font-semibold"
            aria-pressed={c.corner === chosen}
            onclick={() => onchoose(c.corner)}>{c.corner} {name(c.corner)}</button
          >
        </td>
        <td class="text-right" data-label="brake">{metres(c.brake_m)}</td>
        <td class="text-neutral text-right" data-label="spread ±"
          >{c.brakeSpread_m === undefined
            ? '–'
            : Math.round(lengthIn(c.brakeSpread_m, preferences.length))}</td
        >
        <td class="text-right" data-label="off">{metres(c.release_m)}</td>
        <td class="text-right" data-label="lowest">{speed(c.lowest_mps)}</td>
        <td class="text-right" data-label="throttle">{metres(c.throttle_m)}</td>
        <td class="text-right font-semibold" data-label="time">{time(c.lost_s)}</td>
        <td class="text-right" data-label="costs here"
          >{c.charged_s === undefined ? '–' : figure(c.charged_s)}</td
        >
      </tr>
    {/each}
  </tbody>
</table>
<p class="text-neutral pt-1 leading-snug">
  The median of the laps that are counted, against the page driven by the model and read the same
  way: minus is earlier or slower. Spread: half of the laps lie nearer to it. Costs here: from its
  lift to the next corner's, with the straight behind it and what its speed still costs later.
</p>
