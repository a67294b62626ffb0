<script lang="ts">
  import { say } from '../say/every';
  import { today } from '../units/format';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import type { LightView } from './types';

  let { light = $bindable() }: { light: LightView | undefined } = $props();

  const circuit = useCircuit();
  let at = $state(`${today()}T17:00`);
  const working = new Working();

  async function ask() {
    const seen = await working.run(async () => (light = await api.light(circuit.id, at)));
    if (!seen) light = undefined;
  }
  const degrees = (d: number) => `${Math.round(d)}°`;
</script>

<section aria-label="Light" class="leading-snug">
  <div class="flex items-end gap-2">
    <label class="grid grow gap-1">
      <span class="text-neutral">Hour at the circuit ({circuit.edits!.timeZone})</span>
      <input type="datetime-local" class="input h-11 w-full" bind:value={at} data-hour />
    </label>
    <button class="btn" onclick={ask} disabled={!at}>Look</button>
  </div>
  {#if working.problem}<Problem problem={working.problem} />{/if}
  {#if light}
    <p class="figures pt-2 text-lg" data-sun>
      {#if light.elevation_deg > 0}
        Sun {degrees(light.elevation_deg)} high, from {degrees(light.azimuth_deg)}.
      {:else}The sun is down.{/if}
    </p>
    {#if light.intoTheSun.length}
      <p>
        <strong>Into a low sun:</strong> corner {light.intoTheSun.join(', ')}. A visor, a strip, and
        marks to the side.
      </p>
    {:else if light.elevation_deg > 0}<p>No corner leads into a low sun.</p>{/if}
    {#each light.shadows as shadow (shadow.label + shadow.notedAt_m)}
      <p>
        <strong>{shadow.label}</strong>
        {#if shadow.usable}
          now at {preferences.lengthText(shadow.at_m)}, moved {preferences.lengthText(
            Math.abs(shadow.moved_m),
          )}
          {shadow.moved_m < 0 ? 'back' : 'on'} since it was noted.
        {:else}is not usable at this hour: {say(shadow.why!)}.{/if}
      </p>
    {/each}
    {#if light.inShade.length}
      <p>
        <strong>In shade:</strong>
        {light.inShade.map((m) => `${m.label} (${preferences.lengthText(m.at_m)})`).join(', ')}.
      </p>
    {/if}
  {/if}
</section>
