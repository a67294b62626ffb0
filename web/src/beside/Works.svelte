<!-- @component Hands and feet of two laps at one place: bars for the pedals, a slide for the wheel. -->
<script lang="ts">
  import type { LapPair } from '../api/laps';
  import { preferences } from '../units/preferences.svelte';
  import LineMark from './LineMark.svelte';
  import { heldAt, valueAt } from './pair';

  interface Props {
    pair: LapPair;
    at: number;
    other: number;
    names: [string, string];
  }
  const { pair, at, other, names }: Props = $props();
  /** Wheel that the slide reaches to either side [°]. */
  const FULL_DEG = 180;
  const rows = $derived(
    [pair.first, pair.second].map(({ along }, k) => {
      const s = k ? other : at;
      return {
        speed: valueAt(along, along.speed_mps, s),
        brake: valueAt(along, along.brake_pct, s),
        throttle: valueAt(along, along.throttle_pct, s),
        wheel: valueAt(along, along.steer_deg, s),
        gear: heldAt(along, along.gear, s),
      };
    }),
  );
  const steered = $derived(
    [pair.first, pair.second].some(({ along }) => along.steer_deg.some((v) => v !== null)),
  );
</script>

<table class="figures w-full" data-works>
  <thead>
    <tr class="text-neutral text-left text-sm">
      <th></th><th class="pr-2 text-right">{preferences.speed}</th><th class="pr-2 text-right"
        >gear</th
      >
      <th>brake</th><th>throttle</th>{#if steered}<th>wheel</th>{/if}
    </tr>
  </thead>
  <tbody>
    {#each rows as row, k (k)}
      <tr class="h-9">
        <th scope="row" class="max-w-[4.5rem] truncate pr-2 text-left text-sm font-normal"
          ><LineMark dashed={k === 1} /> {names[k]}</th
        >
        <td class="pr-2 text-right text-xl font-semibold whitespace-nowrap"
          >{row.speed === undefined ? '–' : preferences.speedText(row.speed).split(' ')[0]}</td
        >
        <td class="pr-2 text-right text-xl font-semibold">{row.gear ?? '–'}</td>
        {#each [['brake', row.brake], ['drive', row.throttle]] as const as [what, value] (what)}
          <td class="pr-2"
            ><span
              class="bar"
              title={value === undefined ? 'not recorded' : `${Math.round(value)} %`}
              >{#if value !== undefined}<span
                  class={['fill', what]}
                  style:transform="scaleX({Math.max(0, Math.min(1, value / 100))})"
                ></span>{:else}<span class="text-neutral px-1 text-xs">none</span>{/if}</span
            ></td
          >
        {/each}
        {#if steered}
          <td
            ><span
              class="bar"
              title={row.wheel === undefined ? 'not recorded' : `${Math.round(row.wheel)}°`}
              ><span class="middle"></span>{#if row.wheel !== undefined}<span
                  class="tick"
                  style:left="{50 - 50 * Math.max(-1, Math.min(1, row.wheel / FULL_DEG))}%"
                ></span>{/if}</span
            ></td
          >
        {/if}
      </tr>
    {/each}
  </tbody>
</table>

<style>
  .bar {
    position: relative;
    display: block;
    min-width: 26px;
    height: 18px;
    overflow: hidden;
    border: 1.5px solid var(--ink);
  }
  .fill {
    position: absolute;
    inset: 0;
    transform-origin: left;
    background: var(--brake);
  }
  .fill.drive {
    background: var(--drive);
  }
  .middle,
  .tick {
    position: absolute;
    top: 0;
    bottom: 0;
    left: 50%;
    border-left: 1px solid var(--color-neutral);
  }
  .tick {
    margin-left: -3px;
    border-left: 6px solid var(--ink);
  }
</style>
