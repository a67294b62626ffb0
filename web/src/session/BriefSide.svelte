<script lang="ts">
  import type { Brief } from '../api/sessions';
  import { lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { SLIPS, TIERS, warmUpLines } from './words';

  interface Props {
    brief: Brief;
  }
  const { brief }: Props = $props();
  const session = $derived(brief.session.session);
  const sides = $derived(
    (['left', 'right'] as const)
      .map((side): [string, number[]] => [
        side,
        brief.coldSides.filter((cold) => cold.side === side).map(({ corner }) => corner),
      ])
      .filter(([, corners]) => corners.length),
  );
  const name = (corner: number) =>
    brief.shortForm.find((s) => s.corner === corner)?.words.split(':')[0] ?? '';
</script>

<aside
  class="desk:w-[300px] max-desk:pt-4 shrink-0 text-[0.9rem] leading-tight print:w-auto print:columns-2 print:pb-3"
>
  <h2 class="text-lg font-semibold">In ten seconds</h2>
  <p class="pb-1 text-[1.02rem]" data-ten-seconds>{brief.tenSeconds}</p>
  <h2 class="text-lg font-semibold">Three corners</h2>
  <ol data-focus>
    {#each brief.focus as focus (focus.corner)}
      <li>
        <strong>{focus.corner} {name(focus.corner)}</strong>: {SLIPS[focus.why] ?? focus.why} costs {focus.slip_s.toFixed(
          2,
        )} s
      </li>
    {/each}
  </ol>
  <h2 class="pt-1.5 text-lg leading-tight font-semibold">Targets</h2>
  <table class="figures w-full text-base" data-targets>
    <tbody>
      {#each brief.targets as target (target.tier)}
        <tr class={['border-base-300 border-b', target.tier === 'own-next' && 'font-bold']}>
          <td>{TIERS[target.tier]}</td>
          <td class="text-right font-semibold">{lapTime(target.lap_s)}</td>
          <td class="text-neutral w-28 text-right text-sm"
            >{target.sectors_s.map((s) => s.toFixed(1)).join(' · ')}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <h2 class="pt-1.5 text-lg leading-tight font-semibold">Warm-up</h2>
  <ol data-warm-up>
    {#each warmUpLines(brief.warmUp, (m) => preferences.lengthText(m)) as line (line.lap)}
      <li><strong>Lap {line.lap}:</strong> {line.words}</li>
    {/each}
  </ol>
  {#each sides as [side, corners] (side)}
    <p data-cold-side={side}>
      The <strong>{side} side</strong> of the tyres is loaded late on lap 1: still cold in {corners
        .map((corner) => `${corner} ${name(corner)}`)
        .join(', ')}.
    </p>
  {/each}
  <p class="text-neutral text-sm">How brakes are warmed is common practice, not computed.</p>
  {#if brief.quiet.length}
    <h2 class="pt-1.5 text-lg leading-tight font-semibold">Quiet places</h2>
    <p data-quiet>
      Nothing to do for
      {#each brief.quiet as place, i (place.fromM)}{i ? ', ' : ''}<strong
          >{place.seconds.toFixed(1)} s</strong
        >
        after {place.afterCorner}
        {name(place.afterCorner)}{/each}: time for a gauge or a board.
    </p>
  {/if}
  {#if session.openPoints?.length}
    <h2 class="pt-1.5 text-lg leading-tight font-semibold">Still open</h2>
    <ul>
      {#each session.openPoints as point, i (i)}
        <li><strong>{point.corner || 'Lap'}</strong> {point.words}</li>
      {/each}
    </ul>
  {/if}
  <h2 class="pt-1.5 text-lg leading-tight font-semibold">Before you go</h2>
  <p>
    Tyres {session.tyres.name}, {session.tyres.laps} of {session.tyres.goodLaps} laps; fuel {session
      .conditions.fuel_kg} kg{session.setup ? `; sheet ${session.setup.name}` : ''}.
    {#if brief.sunElevation_deg != null && brief.sunElevation_deg > 0}Sun {Math.round(
        brief.sunElevation_deg,
      )}° high.{/if}
  </p>
  <p class="text-warning font-semibold">
    Estimates of a model: begin at the safe marks. Flags, officials, the circuit's rules and your
    instructor come first. In the wet, rubbered lines and painted kerbs are the slipperiest.
  </p>
</aside>
