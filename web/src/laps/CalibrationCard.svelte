<script lang="ts">
  import type { Calibration } from '../api/laps';
  import { gain, lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';

  interface Props {
    calibration: Calibration;
    taken: boolean;
    ontake: (taken: boolean) => void;
  }
  const { calibration: c, taken, ontake }: Props = $props();
  const pct = (share: number) => `${(100 * share).toFixed(1)} %`;
  /** More or less than the book's car, with its error. */
  const against = (factor: number, error: number) =>
    `${factor >= 1 ? '+' : '−'}${(100 * Math.abs(factor - 1)).toFixed(1)} ± ${(200 * error).toFixed(1)} %`;
</script>

<section class="border-base-300 rounded border-2 p-3 leading-snug" data-calibration>
  <h2 class="figures text-xl font-semibold">The model against the laps</h2>
  <ul class="figures py-1">
    <li>
      Highest acceleration, nineteen in twenty below it: <strong>{c.peak_g.toFixed(2)} g</strong>
      driven, {c.peakPage_g.toFixed(2)} g on the page.
    </li>
    <li>
      Top speed: <strong>{preferences.speedText(c.top_mps)}</strong> driven,
      {preferences.speedText(c.topPage_mps)} on the page.
    </li>
    {#if c.power != null && c.drag != null}
      <li data-measured-car>
        With the throttle open: power <strong>{against(c.power, c.powerError!)}</strong>, drag
        <strong>{against(c.drag, c.dragError!)}</strong>, against the book’s car at {Math.round(
          c.mass_kg,
        )} kg.
      </li>
    {:else}
      <li class="text-neutral">Power and drag are not told: these laps have no throttle.</li>
    {/if}
    <li>
      Grip used {pct(c.gripUsedBefore)} →
      <strong>{pct(c.gripUsed)}</strong>{#if c.gripFactor !== 1}, and the tyres {pct(c.gripFactor)} of
        the car's{/if}{#if c.powerFactor != null}, engine
        <strong>{pct(c.powerFactor)} of the car’s power</strong>{/if}{#if c.cdA_m2 != null}, drag
        area {c.cdABefore_m2.toFixed(2)} →
        <strong>{c.cdA_m2.toFixed(2)} m²</strong>{/if}
    </li>
    <li>
      Effect on the book: {lapTime(c.lap_s)} →
      <strong>{lapTime(c.calibratedLap_s)}</strong>, {gain(c.calibratedLap_s - c.lap_s)}; every
      point that is the model's moves with it.
    </li>
  </ul>
  <label class="flex min-h-11 items-center gap-2">
    <input
      type="checkbox"
      class="checkbox"
      checked={taken}
      onchange={(e) => ontake(e.currentTarget.checked)}
    />
    Compute the next revision with it
  </label>
</section>
