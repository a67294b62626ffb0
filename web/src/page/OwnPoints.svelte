<script lang="ts">
  import type { MarkReference, OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { cautionWords } from './words';
  import { FIELDS, groupOf, marksOf, pointAt, TYPED } from './fields';
  import Line from './Line.svelte';
  import MarkChoice from './MarkChoice.svelte';
  import { usePage } from './page-context';
  import Place from './Place.svelte';

  /** Places that only the driver gives, with their marks; what is not given yet can be added. */
  const book = useBook();
  const page = usePage();
  const missing = $derived(TYPED.filter((path) => !pointAt(page(), path)));
  const standing = (mark: MarkReference | undefined) => mark !== undefined && !mark.weak;

  /** It begins at the apex, where most of them are near. */
  const add = (path: OwnField) => book.setOwn(page().corner, path, page().apexes[0].at_m);
</script>

{#each TYPED as path (path)}
  {@const point = pointAt(page(), path)}
  {@const { letter, shape, name } = FIELDS[path]}
  {#if point}
    <Line
      letter={letter ?? ''}
      shape={shape ?? 'plain'}
      title={name}
      fields={[path, ...marksOf(path)]}
      tagged="{groupOf(path)}.target"
    >
      {#if point.target?.own}<strong>{point.target.own}</strong>:{/if}
      <Place
        field={path}
        at={point.at_m}
        by={standing(point.target) && point.at_m - point.target!.offset_m}
        thing={standing(point.target) ? point.target!.thing : undefined}
        label={name}
      />.
      <MarkChoice place={path} target={point.target} choices={point.choices} />
      {#snippet more()}
        {#if point.target?.cautions?.length}
          <span class="text-warning font-semibold"
            ><span aria-hidden="true">▲</span>
            {cautionWords(point.target)}.</span
          >
        {/if}
      {/snippet}
    </Line>
  {/if}
{/each}
{#if missing.length}
  <li class="border-base-300 flex flex-wrap gap-2 border-t py-1">
    {#each missing as path (path)}
      <button class="btn btn-ghost font-normal" onclick={() => add(path)}
        >+ {FIELDS[path].name}</button
      >
    {/each}
  </li>
{/if}
