<script lang="ts">
  import type { Balance } from '../api/answers';
  import { balancePicture, type Room } from './charts';

  const { dry, wet }: { dry: Balance; wet: Balance } = $props();
  const room: Room = { width: 590, height: 250, left: 52, right: 12, top: 12, bottom: 40 };
  const picture = $derived(balancePicture(dry, wet, room));
  const percent = (share: number) => `${Math.round(100 * share)} %`;
</script>

<svg
  viewBox="0 0 {room.width} {room.height}"
  class="block w-full"
  role="img"
  aria-label="Ideal front share of the brakes over deceleration"
>
  {#each picture.y.ticks(5) as tick (tick)}
    <line
      x1={room.left}
      x2={room.width - room.right}
      y1={picture.y(tick)}
      y2={picture.y(tick)}
      stroke="var(--quiet)"
      opacity="0.3"
    />
    <text x={room.left - 8} y={picture.y(tick) + 5} text-anchor="end" font-size="14"
      >{percent(tick)}</text
    >
  {/each}
  {#each picture.x.ticks(6) as tick (tick)}
    <text x={picture.x(tick)} y={room.height - 20} text-anchor="middle" font-size="14">{tick}</text>
  {/each}
  <text x={room.width - room.right} y={room.height - 4} text-anchor="end" font-size="14"
    >g of braking by the tyres</text
  >
  <path d={picture.standing} fill="none" stroke="var(--ink)" stroke-width="2.4" />
  <path
    d={picture.fast}
    fill="none"
    stroke="var(--ink)"
    stroke-width="2.4"
    stroke-dasharray="9 4"
  />
  <line
    x1={room.left}
    x2={room.width - room.right}
    y1={picture.y(dry.chosen)}
    y2={picture.y(dry.chosen)}
    stroke="var(--color-info)"
    stroke-width="2.4"
  />
  <text x={room.left + 6} y={picture.y(dry.chosen) - 7} font-size="15" font-weight="600"
    >chosen, {percent(dry.chosen)}: above a curve the front locks first</text
  >
  {#each [{ at: picture.wetEnd, words: 'wet limit' }, { at: picture.dryEnd, words: 'dry limit' }] as end (end.words)}
    <circle
      cx={picture.x(end.at.decelerationG)}
      cy={picture.y(end.at.frontShare)}
      r="5.5"
      fill="var(--color-base-100)"
      stroke="var(--ink)"
      stroke-width="2.5"
    />
    <text
      x={picture.x(end.at.decelerationG) - 10}
      y={picture.y(end.at.frontShare) - 6}
      text-anchor="end"
      font-size="14">{end.words}</text
    >
  {/each}
  <text x={room.left + 6} y={room.height - room.bottom - 6} font-size="14"
    >whole: slow · dashed: at top speed</text
  >
</svg>
