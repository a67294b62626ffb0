<script lang="ts">
  import type { CarOnCircuit } from '../api/answers';
  import { speedFrom, speedIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { gearSaw, limiterRpm, type Room } from './charts';

  const { car }: { car: CarOnCircuit } = $props();
  const room: Room = { width: 590, height: 250, left: 52, right: 12, top: 16, bottom: 40 };
  const limiter = $derived(limiterRpm(car));
  const saw = $derived(gearSaw(car, limiter, room));
  const speeds = $derived.by(() => {
    const top = speedIn(saw.x.domain()[1], preferences.speed);
    return Array.from({ length: Math.floor(top / 50) + 1 }, (_, i) => 50 * i);
  });
  const top = $derived(car.gears.longest);
</script>

<svg
  viewBox="0 0 {room.width} {room.height}"
  class="block w-full"
  role="img"
  aria-label="Engine speed over road speed in each gear"
>
  {#each saw.y.ticks(4) as tick (tick)}
    <line
      x1={room.left}
      x2={room.width - room.right}
      y1={saw.y(tick)}
      y2={saw.y(tick)}
      stroke="var(--quiet)"
      opacity="0.35"
    />
    <text x={room.left - 8} y={saw.y(tick) + 5} text-anchor="end" font-size="14">{tick}</text>
  {/each}
  {#each speeds as tick (tick)}
    <text
      x={saw.x(speedFrom(tick, preferences.speed))}
      y={room.height - 20}
      text-anchor="middle"
      font-size="14">{tick}</text
    >
  {/each}
  <text x={room.width - room.right} y={room.height - 4} text-anchor="end" font-size="14"
    >{preferences.speed}</text
  >
  <text x="2" y={room.height - 4} font-size="14">rpm</text>
  {#each saw.teeth as tooth (tooth.gear)}
    <line
      x1={tooth.x1}
      y1={tooth.y1}
      x2={tooth.x2}
      y2={tooth.y2}
      stroke="var(--ink)"
      stroke-width={1.5 + 7 * tooth.used}
    />
    <text x={tooth.x2} y={tooth.y2 - 8} text-anchor="middle" font-size="17" font-weight="700"
      >{tooth.gear}</text
    >
  {/each}
  <circle
    cx={saw.x(top.topMps)}
    cy={saw.y(top.rpm)}
    r="7"
    fill="var(--color-base-100)"
    stroke="var(--ink)"
    stroke-width="3"
  />
  <line
    x1={saw.x(top.topMps)}
    x2={saw.x(top.topMps)}
    y1={saw.y(top.rpm) + 8}
    y2={saw.y(0.12 * limiter)}
    stroke="var(--ink)"
    stroke-dasharray="2 3"
  />
  <text
    x={saw.x(top.topMps) - 6}
    y={saw.y(0.12 * limiter)}
    text-anchor="end"
    font-size="15"
    font-weight="600">top of the longest straight</text
  >
</svg>
