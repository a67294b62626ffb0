<script lang="ts">
  import { preferences } from '../units/preferences.svelte';
  import { useFrame } from './frame';
  import { allowedPath, bendTeeth, edgePath, gradeChevrons, kerbPath, roadPath } from './geometry';
  import { overlap } from './window';
  import { zoneShape } from './zones';

  interface Props {
    /** Leaves out labels that are longer than the stretch they stand at. Default: all are shown. */
    fitting?: boolean;
  }
  const { fitting = false }: Props = $props();

  /** Width of a letter of the labels, about [px]. */
  const LETTER_PX = 6;
  const frame = useFrame();
  const f = $derived(frame());
  const chevron = (up: boolean) => (up ? 'M-5 3 L0 -3 L5 3' : 'M-5 -3 L0 3 L5 -3');
  const hazards = $derived(
    f.trace.hazards.flatMap((hazard) => {
      const part = overlap(f.window, f.trace, hazard.fromM, hazard.toM);
      return part && part[1] - part[0] > 4
        ? [{ hazard, a: f.along(part[0]), b: f.along(part[1]) }]
        : [];
    }),
  );
</script>

<path d={roadPath(f)} fill="var(--road)" />
{#each gradeChevrons(f) as c, i (i)}
  <path
    d={chevron(c.up)}
    transform="translate({c.x} {c.y})"
    fill="none"
    stroke="var(--quiet)"
    opacity="0.45"
  />
{/each}
{#each f.trace.zones as zone, i (i)}
  {@const shape = zoneShape(f, zone)}
  {#if shape}
    <path
      d={shape.path}
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.2"
      opacity="0.55"
      stroke-dasharray={shape.dash}
    />
    <text
      x={shape.x}
      y={shape.y}
      text-anchor="middle"
      font-size="12"
      font-style="italic"
      opacity="0.85"
    >
      {shape.name}
    </text>
  {/if}
{/each}
{#each bendTeeth(f) as tooth, i (i)}
  <line
    x1={tooth.x1}
    x2={tooth.x2}
    y1={tooth.y}
    y2={tooth.y}
    stroke="var(--quiet)"
    opacity="0.55"
    stroke-width="1.5"
  />
{/each}
<path d={edgePath(f, 'left')} class="edge" />
<path d={edgePath(f, 'right')} class="edge" />
{#each f.trace.kerbs as kerb, i (i)}
  {@const path = kerbPath(f, kerb)}
  {#if path}
    <path d={path} fill="var(--color-base-100)" stroke="var(--ink)" stroke-width="1.3">
      <title>{kerb.profile.toLowerCase()} kerb, {kerb.heightMm} mm {kerb.note}</title>
    </path>
  {/if}
{/each}
{#each ['left', 'right'] as const as side (side)}
  <path d={allowedPath(f, side)} class="allowed">
    <title>so far out the rule and the kerb let the car's edge</title>
  </path>
{/each}
{#each hazards as { hazard, a, b }, i (i)}
  {@const left = hazard.side === 'LEFT'}
  {@const x = left ? f.leftMargin + 4 : f.rightMargin - 4}
  {@const label = `${hazard.type.toLowerCase().replaceAll('_', ' ')}, ${preferences.lengthText(hazard.distanceM)} out`}
  <line x1={x} x2={x} y1={a} y2={b} stroke="var(--ink)" stroke-width="3" stroke-dasharray="2 3" />
  {#if !fitting || label.length * LETTER_PX < Math.abs(b - a)}
    <text
      transform="translate({x + (left ? 13 : -6)} {(a + b) / 2}) rotate(-90)"
      text-anchor="middle"
      font-size="12.5"
      font-weight="600">{label}</text
    >
  {/if}
{/each}

<style>
  .allowed {
    fill: none;
    stroke: var(--color-info);
    stroke-width: 2;
    stroke-dasharray: 6 3;
  }
  .edge {
    fill: none;
    stroke: var(--road-line);
    stroke-width: 2.5;
  }
</style>
