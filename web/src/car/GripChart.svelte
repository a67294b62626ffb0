<script lang="ts">
  import type { GripAtSpeed } from '../api/answers';
  import { preferences } from '../units/preferences.svelte';
  import { gripEdges, type Room } from './charts';

  const { grip }: { grip: GripAtSpeed[] } = $props();
  const room: Room = { width: 590, height: 300, left: 12, right: 12, top: 16, bottom: 22 };
  const picture = $derived(gripEdges(grip, room));
  const dashes = ['2 4', '9 4', ''];
  const rings = [0.5, 1, 1.5, 2, 2.5, 3];
  const perG = $derived(picture.x(1) - picture.x(0));
</script>

<svg
  viewBox="0 0 {room.width} {room.height}"
  class="block w-full"
  role="img"
  aria-label="Acceleration that is possible along the road at each lateral one, at three speeds"
>
  {#each rings.filter((r) => r < picture.side) as ring (ring)}
    <circle
      cx={picture.x(0)}
      cy={picture.y(0)}
      r={ring * perG}
      fill="none"
      stroke="var(--quiet)"
      opacity="0.3"
    />
    <text x={picture.x(0) + 4} y={picture.y(-ring) - 4} font-size="13">{ring} g</text>
  {/each}
  <line
    x1={picture.x(-picture.side)}
    x2={picture.x(picture.side)}
    y1={picture.y(0)}
    y2={picture.y(0)}
    stroke="var(--quiet)"
  />
  <line
    x1={picture.x(0)}
    x2={picture.x(0)}
    y1={picture.y(picture.up)}
    y2={picture.y(-picture.down)}
    stroke="var(--quiet)"
  />
  {#each picture.edges as edge, i (edge.speedMps)}
    <path
      d={edge.path}
      fill="none"
      stroke="var(--ink)"
      stroke-width="2.4"
      stroke-dasharray={dashes[i]}
    />
  {/each}
  <text x={picture.x(0) + 6} y={room.top + 2} font-size="14" font-weight="600">drive</text>
  <text x={picture.x(0) + 6} y={room.height - 6} font-size="14" font-weight="600">brakes</text>
  {#each picture.edges as edge, i (edge.speedMps)}
    <g transform="translate({room.left} {room.top + 14 + 22 * i})">
      <line
        x1="0"
        x2="34"
        y1="-5"
        y2="-5"
        stroke="var(--ink)"
        stroke-width="2.4"
        stroke-dasharray={dashes[i]}
      />
      <text x="42" y="0" font-size="15">{preferences.speedText(edge.speedMps)}</text>
    </g>
  {/each}
</svg>
