<!-- @component The shapes of the strip, drawn, with what each of them means. -->
<script lang="ts">
  import { FIELDS, PATHS } from '../page/fields';
  import PlateShape from '../strip/PlateShape.svelte';
  import StandingGlyph from '../strip/StandingGlyph.svelte';

  const plates = [
    ...PATHS.flatMap((path) => {
      const { letter, shape, plate, kind } = FIELDS[path];
      return kind === 'station' && letter && shape && plate ? [{ letter, shape, name: plate }] : [];
    }),
    { letter: 'A', shape: 'ring' as const, name: 'apex' },
  ];
  const marks = [
    { glyph: 'board', name: 'distance board' },
    { glyph: 'post', name: 'post, lamp' },
    { glyph: 'tree', name: 'tree, bush' },
    { glyph: 'house', name: 'building' },
    { glyph: 'sign', name: 'sign, anything else' },
  ] as const;
</script>

<ul
  class="figures grid grid-cols-2 gap-x-3 pb-3 text-lg"
  aria-label="Shapes of the strip"
  data-legend
>
  {#each plates as { letter, shape, name } (name)}
    <li class="flex items-center gap-2">
      <svg width="40" height="36" viewBox="-20 -18 40 36" aria-hidden="true">
        <PlateShape {letter} {shape} />
      </svg>
      {name}
    </li>
  {/each}
  {#each marks as { glyph, name } (name)}
    <li class="flex items-center gap-2">
      <svg width="40" height="36" viewBox="-20 -18 40 36" aria-hidden="true">
        <g fill="var(--color-base-100)" stroke="var(--ink)" stroke-width="1.6">
          <StandingGlyph {glyph} value={100} />
        </g>
      </svg>
      {name}
    </li>
  {/each}
</ul>
