<script lang="ts">
  import { gain } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { DAYS, shiftWords } from './day-words';
  import { usePage } from './page-context';
  import type { Panels } from './panels.svelte';

  const { panels }: { panels: Panels } = $props();
  const page = usePage();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
  const shiftOf = (shifts: { corner: number }[]) =>
    shifts.findIndex((s) => s.corner === page().corner);
</script>

{#if panels.days}
  <ul data-days>
    {#each panels.days as on (on.day)}
      {@const shift = on.shifts[shiftOf(on.shifts)]}
      <li class="border-base-300 flex items-start gap-3 border-b py-2" data-day={on.day}>
        <label class="flex min-h-10 w-40 shrink-0 items-center gap-2">
          <input
            type="radio"
            class="radio radio-sm"
            name="day"
            checked={panels.day === on.day}
            onchange={() => (panels.day = on.day)}
          />
          <span class="figures text-lg leading-tight font-semibold">{DAYS[on.day].name}</span>
        </label>
        <p class="min-w-0 grow pt-1 leading-snug">
          {#if shift}{shiftWords(shift, writer)}.{/if}
        </p>
        <p class="figures w-28 shrink-0 text-right leading-tight">
          {#if shift}<strong>{gain(shift.lost_s)}</strong>{/if}
          <span class="text-neutral block text-sm">lap {gain(on.lost_s)}</span>
        </p>
      </li>
    {/each}
  </ul>
  <p class="text-neutral pt-2 leading-snug">
    Model against model, one thing of the day changed at a time; your own values stand on top of
    each. The strip shows the line of the day that is ticked: only a wet road moves it, by the kerbs
    that are left alone. How wet a wet road is, nobody knows from here: begin with more in hand.
  </p>
{/if}
