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
    <li>
      Grip used {pct(c.gripUsedBefore)} →
      <strong>{pct(c.gripUsed)}</strong>{#if c.gripFactor !== 1}, and the tyres {pct(c.gripFactor)} of
        the car's{/if}{#if c.cdA_m2 != null}, drag area {c.cdABefore_m2.toFixed(2)} →
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
