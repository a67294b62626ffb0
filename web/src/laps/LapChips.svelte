<script lang="ts">
  import type { DrivenLap, LapKind } from '../api/laps';
  import Menu from '../ui/Menu.svelte';
  import { lapTime } from '../units/format';

  interface Props {
    laps: DrivenLap[];
    best: DrivenLap | undefined;
    onsay: (lap: DrivenLap, kind: LapKind) => void;
    /** The lap's path is wanted as the line of the book. */
    online: (lap: DrivenLap) => void;
  }
  const { laps, best, onsay, online }: Props = $props();
  const KIND: Record<LapKind, string> = {
    out: 'out',
    in: 'in',
    flying: '',
    off: 'off or stopped',
    slow: 'slow',
    'other-surface': 'other grip',
    broken: 'clock broken',
  };
  const CHOICES: [LapKind, string][] = [
    ['flying', 'Counts'],
    ['off', 'Does not count: off the road or stopped'],
    ['slow', 'Does not count: flag, traffic, cooling'],
    ['other-surface', 'Does not count: another surface'],
    ['out', 'Out-lap'],
    ['in', 'In-lap'],
  ];

  const choices = (lap: DrivenLap) => [
    ...CHOICES.map(([kind, words]) => ({
      name: words + (kind === lap.recognised ? ' (as recognised)' : ''),
      chosen: lap.kind === kind,
      onselect: () => onsay(lap, kind),
    })),
    { name: 'Its path as the line of the book', onselect: () => online(lap) },
  ];
</script>

<ul class="figures flex flex-wrap gap-1 py-1" aria-label="Laps" data-lap-chips>
  {#each laps as lap (lap.id)}
    {@const counted = lap.kind === 'flying'}
    <li>
      {#if lap.whole}
        <Menu
          items={choices(lap)}
          width="w-80"
          align="start"
          data-lap={lap.number}
          title="Press to say what kind of lap it is, or to take its line"
          class={[
            'flex min-h-11 cursor-pointer items-center rounded border-2 px-1.5 text-base',
            counted ? 'border-base-content' : 'border-base-300 text-neutral',
            lap === best && 'font-bold',
          ]}
          ><span class="text-neutral pr-1 text-sm">{lap.number}</span><span
            class={[!counted && 'line-through']}>{lapTime(lap.time_s!)}</span
          >{#if lap === best}&nbsp;best{/if}{#if !counted}&nbsp;{KIND[lap.kind]}{/if}</Menu
        >
      {:else}
        <span class="text-neutral flex min-h-11 items-center px-1"
          >{lap.number} {KIND[lap.kind]}</span
        >
      {/if}
    </li>
  {/each}
</ul>
