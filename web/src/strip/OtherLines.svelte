<script lang="ts">
  import { useFrame } from './frame';
  import { valueAt } from './lap-axis';
  import { lettersAt, otherPath, type OtherLine } from './other-lines';

  const { lines }: { lines: OtherLine[] } = $props();
  const frame = useFrame();
  const f = $derived(frame());
  const driven = (station: number) => valueAt(f.trace, f.trace.offset_m, station);
</script>

{#each lines as other, i (other.name)}
  {@const at = lettersAt(f, other, driven, i)}
  <path
    d={otherPath(f, other)}
    class={['other', other.strong && 'strong']}
    stroke-dasharray={other.dash}
    data-line={other.name}
  >
    <title>{other.name}</title>
  </path>
  {#if at}
    <text
      x={at.x}
      y={at.y + 5}
      text-anchor="middle"
      font-size="15"
      font-weight="700"
      class="letters"
    >
      {other.letters}
    </text>
  {/if}
{/each}

<style>
  .other {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.8;
    opacity: 0.85;
  }
  .strong {
    stroke-width: 3.4;
    opacity: 1;
  }
  .letters {
    paint-order: stroke;
    stroke: var(--road);
    stroke-width: 5px;
    stroke-linejoin: round;
  }
</style>
