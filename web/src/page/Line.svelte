<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import PlateShape from '../strip/PlateShape.svelte';
  import type { Plate } from '../strip/plates';
  import SourceTag from '../ui/SourceTag.svelte';
  import { usePage } from './page-context';

  interface Props {
    letter: string;
    shape: Plate['shape'];
    title: string;
    /** Values of this line that the driver can make his own. */
    fields?: OwnField[];
    children: Snippet;
    /** A quieter second sentence. */
    more?: Snippet;
  }
  const { letter, shape, title, fields = [], children, more }: Props = $props();

  const book = useBook();
  const page = usePage();
  const source = $derived(fields.map((f) => page().sources[f]).find((s) => s && s !== 'model'));
  const remarks = $derived(
    book.view!.trace.remarks.filter(
      (r) => r.corner === page().corner && fields.some((f) => f === r.field),
    ),
  );

  function giveBack() {
    book.setOwnAll(page().corner, Object.fromEntries(fields.map((f) => [f, undefined])));
  }
</script>

<li class="border-base-300 flex gap-3 border-t py-1">
  <svg viewBox="-16 -16 32 32" width="32" height="32" class="mt-1 shrink-0" aria-hidden="true">
    <PlateShape {letter} {shape} />
  </svg>
  <div class="min-w-0 grow">
    <div class="flex min-h-6 items-center gap-2">
      <h3 class="text-neutral text-base font-semibold">{title}</h3>
      {#if fields.length}<SourceTag {source} />{/if}
      {#if source}
        <button class="link text-neutral ml-auto min-h-10 px-2 text-sm" onclick={giveBack}>
          back to the model's
        </button>
      {/if}
    </div>
    <div class="sentence text-[1.05rem]">{@render children()}</div>
    {#if more}<div class="text-neutral text-[0.95rem]">{@render more()}</div>{/if}
    {#each remarks as remark (remark.text)}
      <p class="text-warning font-semibold"><span aria-hidden="true">▲</span> {remark.text}</p>
    {/each}
  </div>
</li>
