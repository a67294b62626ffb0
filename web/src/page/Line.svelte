<script lang="ts">
  import Undo from '@lucide/svelte/icons/rotate-ccw';
  import type { Snippet } from 'svelte';
  import type { OwnField } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { cost } from '../book/stakes';
  import PlateShape from '../strip/PlateShape.svelte';
  import type { Plate } from '../strip/plates';
  import SourceTag from '../ui/SourceTag.svelte';
  import { say } from '../say/say.svelte';
  import { usePage } from './page-context';

  interface Props {
    letter: string;
    shape: Plate['shape'];
    title: string;
    /** Values of this line that the driver can make his own. */
    fields?: OwnField[];
    /** Name under which the page says whose its mark is. */
    tagged?: string;
    /** What a slip here costs [s a lap], and which slip that is. */
    slip?: { words: string; seconds: number | undefined };
    /** Left out on paper. */
    screenOnly?: boolean;
    children: Snippet;
    /** A quieter second sentence. */
    more?: Snippet;
  }
  const {
    letter,
    shape,
    title,
    fields = [],
    tagged,
    slip,
    screenOnly = false,
    children,
    more,
  }: Props = $props();

  const book = useBook();
  const page = usePage();
  const names = $derived(tagged ? [...fields, tagged] : fields);
  const source = $derived(names.map((f) => page().sources[f]).find((s) => s && s !== 'model'));
  /** Laps behind a measured value. */
  const laps = $derived(
    book.history?.now.ownValues.find((o) => o.corner === page().corner)?.measured?.[
      fields.find((f) => page().sources[f] === 'measured') ?? ''
    ],
  );
  const remarks = $derived(
    book.view!.trace.remarks.filter(
      (r) => r.corner === page().corner && fields.some((f) => f === r.field),
    ),
  );

  function giveBack() {
    book.setOwnAll(page().corner, Object.fromEntries(fields.map((f) => [f, undefined])));
  }
</script>

<li
  class={[
    'border-base-300 flex flex-wrap gap-x-2 border-t py-0.5 sm:flex-nowrap print:flex-nowrap',
    screenOnly && 'print:hidden',
  ]}
>
  <svg
    viewBox="-16 -16 32 32"
    width="30"
    height="30"
    class="mt-2 shrink-0 print:mt-0 print:h-6 print:w-6"
    aria-hidden="true"
  >
    <PlateShape {letter} {shape} />
  </svg>
  <div
    class="pt-1 leading-tight max-sm:flex max-sm:grow max-sm:items-center max-sm:gap-3 sm:w-[5.4rem] sm:shrink-0 print:block print:w-[5.4rem] print:shrink-0 print:grow-0"
  >
    <h3 class="text-base font-semibold">{title}</h3>
    {#if fields.length}<SourceTag {source} />{/if}
  </div>
  <div
    class="flex min-h-11 min-w-0 grow flex-col justify-center pb-1 max-sm:order-last max-sm:basis-full max-sm:pl-9 print:order-none print:min-h-0 print:basis-0 print:pl-0"
  >
    <div class="text-base leading-snug">{@render children()}</div>
    {#if more}<div class="text-neutral text-[0.95rem] leading-snug">{@render more()}</div>{/if}
    {#if laps}<p class="text-neutral text-[0.95rem] leading-snug" data-laps-behind>
        Measured: {laps.join('; ')}.
      </p>{/if}
    {#each remarks as remark (remark.said.code)}
      <p class="text-warning font-semibold">
        <span aria-hidden="true">▲</span>
        {say(remark.said)}
      </p>
    {/each}
  </div>
  {#if slip?.seconds !== undefined}
    <p
      class="figures shrink-0 self-center text-right leading-tight max-sm:flex max-sm:items-baseline max-sm:gap-2 sm:w-[4.2rem] print:block print:w-[4.2rem]"
      data-slip
    >
      <span class="text-neutral block text-sm">{slip.words}</span>
      <strong class="text-lg">{cost(slip.seconds)}</strong>
    </p>
  {/if}
  {#if source}
    <button
      class="btn btn-ghost w-11 self-center px-0"
      onclick={giveBack}
      title="Back to the model's"
      aria-label="{title}: back to the model's"
    >
      <Undo size={18} />
    </button>
  {/if}
</li>
