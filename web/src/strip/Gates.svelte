<!-- @component Places to be at between the points: two posts beside where the car's middle is to be. -->
<script lang="ts">
  import type { CornerPage } from '../api/types';
  import { useFrame } from './frame';
  import { place } from './window';

  const { page }: { page: CornerPage } = $props();
  const frame = useFrame();
  const f = $derived(frame());
  /** Half the way between the posts [m]: a car and a hand's breadth on either side. */
  const HALF_M = 1.2;
  const POST_PX = 9;
  const gates = $derived(
    (page.gates ?? []).flatMap((gate) => {
      const d = place(f.window, f.trace, gate.at_m);
      if (d === undefined || gate.offset_m === undefined) return [];
      const posts = [
        ...(gate.kind === 'no-farther-right' ? [] : [f.across(gate.offset_m + HALF_M)]),
        ...(gate.kind === 'no-farther-left' ? [] : [f.across(gate.offset_m - HALF_M)]),
      ];
      return [{ gate, posts, y: f.along(d), x: f.across(gate.offset_m) }];
    }),
  );
</script>

{#each gates as { gate, posts, x, y }, i (i)}
  <g data-gate={gate.kind} stroke="var(--ink)" fill="none">
    <title>{gate.place}</title>
    {#each posts as post (post)}
      <path
        d="M{post} {y - POST_PX} V{y + POST_PX} M{post} {y} H{(3 * post + x) / 4}"
        stroke-width="3"
      />
    {/each}
    {#if !gate.kept}<text
        {x}
        y={y + 5}
        text-anchor="middle"
        fill="var(--ink)"
        stroke="none"
        font-size="15"
        font-weight="700">▲</text
      >{/if}
  </g>
{/each}
