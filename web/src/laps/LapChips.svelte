<script lang="ts">
  import type { DrivenLap } from '../api/laps';
  import { lapTime } from '../units/format';

  interface Props {
    laps: DrivenLap[];
    /** Flying laps that are not counted, as file and number. */
    left: string[];
    best: number | undefined;
    ontoggle: (lap: DrivenLap) => void;
  }
  const { laps, left, best, ontoggle }: Props = $props();
  const KIND: Record<DrivenLap['kind'], string> = {
    out: 'out',
    in: 'in',
    flying: '',
    disturbed: 'off or stopped',
  };
</script>

<ul class="figures flex flex-wrap gap-1 py-1" aria-label="Laps" data-lap-chips>
  {#each laps as lap (`${lap.file}.${lap.number}`)}
    {@const counted = lap.kind === 'flying' && !left.includes(`${lap.file}.${lap.number}`)}
    <li>
      {#if lap.kind === 'flying'}
        <button
          aria-pressed={counted}
          title={counted ? 'Counted; press to leave it out' : 'Left out; press to count it'}
          class={[
            'min-h-10 rounded border-2 px-2 text-lg',
            counted ? 'border-base-content' : 'border-base-300 text-neutral line-through',
            lap.time_s === best && 'font-bold',
          ]}
          onclick={() => ontoggle(lap)}
          ><span class="text-neutral pr-1 text-sm">{lap.number}</span>{lapTime(
            lap.time_s,
          )}{lap.time_s === best ? ' best' : ''}</button
        >
      {:else}
        <span class="text-neutral flex min-h-10 items-center px-2"
          >{lap.number}
          {KIND[lap.kind]}{lap.kind === 'disturbed' ? ` ${lapTime(lap.time_s)}` : ''}</span
        >
      {/if}
    </li>
  {/each}
</ul>
