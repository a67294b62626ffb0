<script lang="ts">
  type Point = [number, number] | number[];
  interface Props {
    /** Outline of the road as a path. */
    path: string;
    /** Width of the road [px]. */
    width?: number;
    /** Ends of the bar across the road at the start line. */
    start: Point[];
    /** Arrow head in the direction of travel: one side, tip, other side. */
    arrow: Point[];
  }
  const { path, width = 7, start, arrow }: Props = $props();
</script>

<!-- The road of a plan with its start line and the direction of travel. -->
<path d={path} class="road" stroke-width={width} />
<path d={path} class="middle" />
<line x1={start[0][0]} y1={start[0][1]} x2={start[1][0]} y2={start[1][1]} class="start" />
<polyline points={arrow.map((p) => p.join(',')).join(' ')} class="arrow" />

<style>
  .road,
  .middle,
  .arrow {
    fill: none;
    stroke-linejoin: round;
  }
  .road {
    stroke: var(--road);
  }
  .middle {
    stroke: var(--ink);
    stroke-width: 1.3;
  }
  .start {
    stroke: var(--ink);
    stroke-width: 3.5;
  }
  .arrow {
    stroke: var(--ink);
    stroke-width: 2.2;
  }
</style>
