<!-- @component The road, and the first lap of a file on it: whether they go together is seen at once. -->
<script lang="ts">
  /** Points x, y after each other [m], in the plane of the circuit. */
  const { road, path }: { road: number[]; path: number[] } = $props();

  function points(flat: number[]): string {
    let d = '';
    for (let i = 0; i < flat.length; i += 2) d += `${i ? 'L' : 'M'}${flat[i]} ${-flat[i + 1]!}`;
    return d;
  }
  const box = $derived.by(() => {
    const xs = road.filter((_, i) => i % 2 === 0);
    const ys = road.filter((_, i) => i % 2 === 1).map((y) => -y);
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const room = 0.05 * Math.max(x1 - x0, y1 - y0);
    return `${x0 - room} ${y0 - room} ${x1 - x0 + 2 * room} ${y1 - y0 + 2 * room}`;
  });
</script>

<svg
  viewBox={box}
  class="h-56 w-72 max-w-full shrink-0"
  role="img"
  aria-label={path.length ? 'The first lap of the file on the road' : 'The road'}
  data-path={path.length / 2}
>
  <path
    d={points(road)}
    class="stroke-base-300 fill-none"
    stroke-width="9"
    vector-effect="non-scaling-stroke"
  />
  <path
    d={points(path)}
    class="stroke-primary fill-none"
    stroke-width="2"
    vector-effect="non-scaling-stroke"
  />
</svg>
