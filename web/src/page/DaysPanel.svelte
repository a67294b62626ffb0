<script lang="ts">
  import { gain } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { movesOwn } from './day-plates';
  import { DAYS, shiftWords } from './day-words';
  import { FIELDS } from './fields';
  import { usePage } from './page-context';
  import type { Panels } from './panels.svelte';

  const { panels }: { panels: Panels } = $props();
  const page = usePage();
  const writer = {
    length: (m: number) => preferences.lengthText(m),
    speed: (v: number) => preferences.speedText(v),
  };
</script>

{#if panels.days}
  <ul data-days>
    {#each panels.days as on (on.day)}
      {@const shift = on.shifts.find((s) => s.corner === page().corner)}
      {@const own = shift ? movesOwn(page(), shift) : []}
      <li class="border-base-300 flex items-start gap-2 border-b py-0.5" data-day={on.day}>
        <label class="flex min-h-11 w-40 shrink-0 items-center gap-2">
          <input
            type="radio"
            class="radio radio-sm"
            name="day"
            checked={panels.day === on.day}
            onchange={() => (panels.day = on.day)}
          />
          <span class="figures text-lg leading-tight font-semibold">{DAYS[on.day].name}</span>
        </label>
        <p class="min-w-0 grow self-center leading-snug">
          {#if shift}{shiftWords(shift, writer)}.{/if}
          {#if own.length}
            <span
              class="border-base-content inline-block rounded border-2 px-1 text-sm leading-tight font-semibold"
              >✎ your {own.map((field) => FIELDS[field].name.toLowerCase()).join(', ')} would move with
              it</span
            >
          {/if}
        </p>
        <p class="figures w-28 shrink-0 self-center text-right leading-tight">
          {#if shift}<strong>{gain(shift.lost_s)}</strong>{/if}
          <span class="text-neutral block text-sm">lap {gain(on.lost_s)}</span>
        </p>
      </li>
    {/each}
  </ul>
  <p class="text-neutral pt-2 leading-snug">
    Model against model, one thing of the day changed at a time. The strip shows the ticked day:
    round dashed plates are its points, the dashed line its line. How wet a wet road is, nobody
    knows from here: begin with more in hand. The wind counts along the car alone, and the engine's
    torque is not made less by height.
  </p>
{/if}
