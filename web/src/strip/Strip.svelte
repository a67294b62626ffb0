<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { MediaQuery } from 'svelte/reactivity';
  import type { CornerPage, OwnField, Trace } from '../api/types';
  import Car from './Car.svelte';
  import type { PedalWork } from './knots';
  import Columns from './Columns.svelte';
  import { frameOf, provideFrame, type StripFrame } from './frame';
  import Margins from './Margins.svelte';
  import Marks from './Marks.svelte';
  import type { OtherLine } from './other-lines';
  import OtherLines from './OtherLines.svelte';
  import Patterns from './Patterns.svelte';
  import Plates from './Plates.svelte';
  import Road from './Road.svelte';
  import OtherPlates from './OtherPlates.svelte';
  import { platesOf, type Plate, type Wanted } from './plates';
  import { type Scatter } from './scatter';
  import ScatterTicks from './ScatterTicks.svelte';
  import { windowOf } from './window';

  interface Props {
    page: CornerPage;
    trace: Trace;
    /** Height of the drawing on a wide screen [px]. */
    height?: number;
    /** Where the draft has the points. */
    wanted?: Wanted;
    /** Makes the plates movable; see {@link Plates}. */
    onmove?: (field: OwnField, station: number, first: boolean) => void;
    /** Makes the pedals' knots movable; see {@link Knots}. */
    onwork?: (list: 'presses' | 'phases', value: unknown[], first: boolean) => void;
    /** What the model says of the move. */
    answer?: string;
    /** Other lines through the corner, laid over the road. */
    lines?: OtherLine[];
    /** Plates of another day or revision, and whose they are. */
    others?: { plates: Plate[]; whose: string };
    /** Where laps did things. */
    scatters?: Scatter[];
    /** Leaves out all that the page answers: line, pedals, plates, gears, speeds. */
    hidden?: boolean;
    /** Called with the place beside the road that is pressed: something is to be noted there. */
    onnote?: (station: number, side: 'LEFT' | 'RIGHT') => void;
    /** Station up to which the strip reaches at least [m]. */
    until?: number;
  }
  const {
    page,
    trace,
    height: wideHeight = 690,
    wanted,
    onmove,
    onwork,
    answer,
    lines = [],
    others,
    scatters = [],
    hidden = false,
    onnote,
    until,
  }: Props = $props();

  /** On a telephone words and figures keep their size: there is less road beside them. */
  const WIDE = { width: 620, left: 172, right: 248, columns: 104 };
  const NARROW = { width: 470, left: 162, right: 210, columns: 68 };
  const NARROW_HEIGHT_PX = 760;
  const narrow = new MediaQuery('screen and (width < 560px)');
  const size = $derived(narrow.current ? NARROW : WIDE);
  const height = $derived(narrow.current ? NARROW_HEIGHT_PX : wideHeight);
  const since = $derived(others?.plates.find((plate) => plate.letter === 'B')?.station);
  const own = $derived(frameOf(trace, windowOf(page, trace, until, since), { ...size, height }));
  /** The page as if no mark had been chosen. */
  const unmarked = $derived<CornerPage>({
    ...page,
    brake: { ...page.brake, target: undefined, safe: undefined },
    turnIn: { ...page.turnIn, target: undefined },
  });
  /** The road stands still while a plate is held, or it would run away under the hand. */
  let held = $state.raw<StripFrame>();
  /** Knots as the driver has them in the draft, ahead of the model's answer. */
  const work = $derived<PedalWork>({
    presses: held ? listOf(wanted?.presses, page.presses) : (page.presses ?? []),
    phases: held ? listOf(wanted?.phases, page.phases) : (page.phases ?? []),
  });
  function listOf<T>(wished: unknown, shown: T[] | undefined): T[] {
    return Array.isArray(wished) ? (wished as T[]) : (shown ?? []);
  }
  const frame = $derived(held ? { ...held, trace } : own);
  provideFrame(() => frame);
</script>

<svg
  viewBox="0 0 {size.width} {height}"
  class="block w-full"
  role={onmove ? 'group' : 'img'}
  aria-labelledby="strip-title"
>
  <title id="strip-title">
    The road through {cornerName(page)}, from the bottom to the top as it is driven, with marks{hidden
      ? ''
      : ', line, brake pressure, throttle, gears and speeds'}
  </title>
  <Patterns />
  {#if onnote}<Margins {onnote} />{/if}
  <Road />
  {#if hidden}
    <Marks page={unmarked} />
  {:else}
    <Car />
    <OtherLines {lines} />
    <Marks {page} />
    {#if page.gates?.length}
      {#await import('./Gates.svelte') then { default: Gates }}<Gates {page} />{/await}
    {/if}
    {#if onwork}
      <!-- Below the plates: where both are, the plate is taken. -->
      {#await import('./Knots.svelte') then { default: Knots }}
        <Knots {work} {onwork} onhold={(on) => (held = on ? own : undefined)} />
      {/await}
    {/if}
    <Plates {page} {wanted} {onmove} {answer} onhold={(on) => (held = on ? own : undefined)} />
    {#if scatters.length}<ScatterTicks {scatters} />{/if}
    {#if others}<OtherPlates
        plates={others.plates}
        own={platesOf(page)}
        whose={others.whose}
      />{/if}
    <Columns {page} />
  {/if}
</svg>
