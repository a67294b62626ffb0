<script lang="ts">
  import type { DrivenLap, LapKind } from '../api/laps';
  import { lapTime } from '../units/format';

  interface Props {
    laps: DrivenLap[];
    best: DrivenLap | undefined;
    onsay: (lap: DrivenLap, kind: LapKind) => void;
  }
  const { laps, best, onsay }: Props = $props();
  const KIND: Record<LapKind, string> = {
    out: 'out',
    in: 'in',
    flying: '',
    off: 'off or stopped',
  };
  const CHOICES: [LapKind, string][] = [
    ['flying', 'Counts'],
    ['off', 'Does not count: off, stopped, traffic'],
    ['out', 'Out-lap'],
    ['in', 'In-lap'],
  ];

  function choose(event: Event, lap: DrivenLap, kind: LapKind) {
    (event.currentTarget as HTMLElement).closest('details')!.open = false;
    onsay(lap, kind);
  }
</script>

<ul class="figures flex flex-wrap gap-1 py-1" aria-label="Laps" data-lap-chips>
  {#each laps as lap (lap.id)}
    {@const counted = lap.kind === 'flying'}
    <li>
      {#if lap.whole}
        <details class="dropdown" data-lap={lap.number}>
          <summary
            class={[
              'flex min-h-10 cursor-pointer list-none items-center rounded border-2 px-1.5 text-base',
              counted ? 'border-base-content' : 'border-base-300 text-neutral',
              lap === best && 'font-bold',
            ]}
            title="Press to say what kind of lap it is"
            ><span class="text-neutral pr-1 text-sm">{lap.number}</span><span
              class={[!counted && 'line-through']}>{lapTime(lap.time_s!)}</span
            >{#if lap === best}&nbsp;best{/if}{counted ? '' : ` ${KIND[lap.kind]}`}</summary
          >
          <ul
            class="dropdown-content bg-base-100 border-base-content rounded-box z-20 w-72 border-2 p-1"
          >
            {#each CHOICES as [kind, words] (kind)}
              <li>
                <button
                  class="btn btn-ghost w-full justify-start text-base"
                  aria-pressed={lap.kind === kind}
                  onclick={(e) => choose(e, lap, kind)}
                  >{lap.kind === kind ? '● ' : '○ '}{words}{kind === lap.recognised
                    ? ' (as recognised)'
                    : ''}</button
                >
              </li>
            {/each}
          </ul>
        </details>
      {:else}
        <span class="text-neutral flex min-h-10 items-center px-1"
          >{lap.number} {KIND[lap.kind]}</span
        >
      {/if}
    </li>
  {/each}
</ul>
