<script lang="ts">
  import { api } from '../api/client';
  import type { ForecastHour } from '../api/sessions';
  import { useBook } from '../book/book-state.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { SURFACES } from './words';
  import { useSession } from './session-state.svelte';

  const session = useSession();
  const book = useBook();
  const hours = $derived(session.now!.forecast ?? []);

  async function ask() {
    await session.run(async () => {
      const from = `${session.now!.startsAt.slice(0, 13)}:00`;
      const weather = await api.weather(book.id, from, 4);
      session.set({ forecast: weather.hours });
    });
  }

  /** The hour that is forecast becomes what is expected. */
  function take(hour: ForecastHour) {
    const { surface, airTemperature_c, trackTemperature_c, windSpeed_mps, windFrom_deg } = hour;
    session.setConditions({
      surface,
      airTemperature_c,
      trackTemperature_c,
      windSpeed_mps,
      windFrom_deg,
    });
  }
</script>

<div class="flex items-center pt-3">
  <h2 class="grow text-xl font-semibold">Forecast</h2>
  <button class="btn btn-ghost" disabled={session.busy} onclick={ask}
    >Ask the weather station</button
  >
</div>
{#if hours.length === 0}
  <p class="text-neutral leading-snug">
    None yet. The weather station is a simulated one: it stands in for a real feed.
  </p>
{:else}
  <table class="figures w-full" data-forecast>
    <thead>
      <tr class="border-base-content border-b text-left">
        <th>hour</th><th>road</th><th>air</th><th>road °C</th><th>wind</th><th>rain</th><th></th>
      </tr>
    </thead>
    <tbody>
      {#each hours as hour (hour.at)}
        <tr class="border-base-300 h-11 border-b">
          <td class="font-semibold">{hour.at.slice(11, 16)}</td>
          <td>{SURFACES[hour.surface]}</td>
          <td>{Math.round(hour.airTemperature_c)} °C</td>
          <td>{Math.round(hour.trackTemperature_c)}</td>
          <td>{preferences.speedText(hour.windSpeed_mps)}, {Math.round(hour.windFrom_deg)}°</td>
          <td>{Math.round(hour.rain_pct)} %</td>
          <td class="text-right"
            ><button
              class="link min-h-11 px-1"
              aria-label="Expect the weather of {hour.at.slice(11, 16)}"
              onclick={() => take(hour)}>expect</button
            ></td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="text-neutral text-sm">Simulated weather station.</p>
{/if}
