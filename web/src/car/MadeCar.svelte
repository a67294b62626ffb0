<!-- @component What came of the facts: the speeds that are met, and every assumed value to be changed. -->
<script lang="ts">
  import { say } from '../say/every';
  import Undo from '@lucide/svelte/icons/rotate-ccw';
  import type { CarSketch } from '../api/answers';
  import NumberInput from '../ui/NumberInput.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { valuesAt } from './car-values';

  interface Props {
    made: CarSketch;
    /** Values that are changed, by their pointers. */
    changes: Record<string, number>;
    onchange: (pointer: string, value: number | undefined) => void;
  }
  const { made, changes, onchange }: Props = $props();
</script>

<section aria-label="The car" data-made>
  <p class="figures text-2xl">
    <strong>{preferences.speedText(made.topSpeed_mps)}</strong> at most ·
    {#if made.zeroTo100_s == null}does not reach 100 km/h{:else}0 to 100 km/h in
      <strong>{made.zeroTo100_s.toFixed(1)} s</strong>{/if}
  </p>
  {#each made.unmet as fact (fact.fact)}
    <p class="text-warning font-semibold">
      <span aria-hidden="true">▲</span> No gears meet that time to 100 km/h{fact.nearest == null
        ? ''
        : `; the nearest is ${fact.nearest.toFixed(1)} s`}. Check mass, power and tyres.
    </p>
  {/each}
  <h2 class="pt-3 text-2xl font-bold">Assumed</h2>
  <ul class="grid gap-x-8 lg:grid-cols-2">
    {#each made.assumed as { pointer, why } (pointer)}
      {#each valuesAt(made.car, pointer) as value (value.pointer)}
        <li class="border-base-300 flex items-start gap-1 border-b py-1">
          <div class="min-w-0 grow">
            <NumberInput
              label={value.name}
              unit={value.unit}
              decimals={value.decimals}
              min={0}
              value={value.value}
              onchange={(v) => onchange(value.pointer, v)}
            />
            <p class="text-neutral text-[0.95rem] leading-tight">
              {changes[value.pointer] === undefined ? say(why) : 'yours'}
            </p>
          </div>
          {#if changes[value.pointer] !== undefined}
            <button
              class="btn btn-ghost px-0"
              aria-label="{value.name}: as it was assumed"
              onclick={() => onchange(value.pointer, undefined)}><Undo size={18} /></button
            >
          {/if}
        </li>
      {/each}
    {/each}
  </ul>
</section>
