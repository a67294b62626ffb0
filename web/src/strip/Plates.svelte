<script lang="ts">
  import type { CornerPage, OwnField } from '../api/types';
  import { preferences } from '../units/preferences.svelte';
  import { useFrame } from './frame';
  import { between } from './lap-axis';
  import { movedStation, placedPlates, type Plate, type Wanted } from './plates';
  import PlateShape from './PlateShape.svelte';

  interface Props {
    page: CornerPage;
    /** Where the draft has the points; the model's answer comes a moment later. */
    wanted?: Wanted;
    /** Called while a plate is moved; `first` begins a new step for undo. */
    onmove?: (field: OwnField, station: number, first: boolean) => void;
    /** Called when a plate is taken and when it is let go. */
    onhold?: (held: boolean) => void;
    /** What the model says of the move, shown beside the plate that is held. */
    answer?: string;
  }
  const { page, wanted, onmove, onhold, answer = '' }: Props = $props();

  const frame = useFrame();
  const f = $derived(frame());
  interface Held {
    name: string;
    field: OwnField;
    from: number;
    /** Where the hand has it. */
    at: number;
    clientY: number;
    moved: boolean;
  }
  let held = $state.raw<Held>();
  const plates = $derived(placedPlates(f, page, wanted));

  /** Metres of road to a pixel of the screen, whatever size the drawing is shown at. */
  function metresPerPixel(element: Element): number {
    const svg = (element as SVGGElement).ownerSVGElement!;
    const shown = svg.getBoundingClientRect().height / f.height;
    return 1 / (Math.abs(f.along(1) - f.along(0)) * shown);
  }

  function take(event: PointerEvent & { currentTarget: Element }, plate: Plate) {
    if (!onmove || !plate.field || event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    held = {
      name: plate.name,
      field: plate.field,
      from: plate.station,
      at: plate.station,
      clientY: event.clientY,
      moved: false,
    };
    onhold?.(true);
  }

  function drag(event: PointerEvent & { currentTarget: Element }) {
    if (!held) return;
    const metres = (held.clientY - event.clientY) * metresPerPixel(event.currentTarget);
    if (!held.moved && Math.abs(metres) < 0.5) return;
    const at = movedStation(f, held.from, Math.round(metres));
    if (at === held.at) return;
    onmove!(held.field, at, !held.moved);
    held = { ...held, at, moved: true };
  }

  function drop() {
    if (!held) return;
    held = undefined;
    onhold?.(false);
  }

  function nudge(event: KeyboardEvent, plate: Plate) {
    const ahead = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[event.key];
    if (!onmove || !plate.field || ahead === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onmove(plate.field, movedStation(f, plate.station, ahead), true);
  }

  function moveWords(plate: Plate): string {
    const metres = between(f.trace, held!.from, plate.station);
    const way = `${preferences.lengthText(Math.abs(metres))} ${metres < 0 ? 'earlier' : 'later'}`;
    return answer ? `${way}: ${answer}` : way;
  }
</script>

{#each plates as { plate, x, y, shownX, shownY } (plate.name)}
  {@const side = plate.mark?.side === 'right' ? f.rightMargin : f.leftMargin}
  {#if plate.mark}
    <line x1={x} x2={side} y1={y} y2={y} stroke="var(--ink)" stroke-dasharray="2 3" />
  {/if}
  {#if shownX !== x || shownY !== y}
    <line x1={x} y1={y} x2={shownX} y2={shownY} stroke="var(--ink)" />
    <circle cx={x} cy={y} r="3" fill="var(--ink)" />
  {/if}
{/each}
{#each plates as { plate, shownX, shownY } (plate.name)}
  {#if onmove && plate.field}
    <g
      transform="translate({shownX} {shownY})"
      class="plate"
      role="slider"
      tabindex="0"
      aria-label="{plate.name} plate"
      aria-orientation="vertical"
      aria-valuemin="0"
      aria-valuemax={Math.round(f.trace.length_m)}
      aria-valuenow={Math.round(plate.station)}
      aria-valuetext="{preferences.lengthText(plate.station)} from the start line"
      data-plate={plate.letter}
      onpointerdown={(e) => take(e, plate)}
      onpointermove={drag}
      onpointerup={drop}
      onpointercancel={drop}
      onkeydown={(e) => nudge(e, plate)}
    >
      <title>{plate.name}: drag it along the road, or press the up and down keys</title>
      <rect x="-17" y="-15" width="34" height="30" rx="4" class="hold" />
      <PlateShape letter={plate.letter} shape={plate.shape} />
    </g>
  {:else}
    <g transform="translate({shownX} {shownY})">
      <title>{plate.name}</title>
      <PlateShape letter={plate.letter} shape={plate.shape} />
    </g>
  {/if}
{/each}
{#each plates.filter(({ plate }) => held?.moved && plate.name === held.name) as { plate, shownX, shownY } (plate.name)}
  <text
    x={shownX > f.width / 2 ? shownX - 22 : shownX + 22}
    y={shownY + 6}
    text-anchor={shownX > f.width / 2 ? 'end' : 'start'}
    font-size="18"
    font-weight="700"
    class="told"
    data-told>{moveWords(plate)}</text
  >
{/each}

<style>
  .plate {
    cursor: ns-resize;
  }
  /* A group of a drawing has none: without it on what is touched, the page is scrolled instead. */
  .plate :global(*) {
    touch-action: none;
  }
  .plate:focus-visible {
    outline: none;
  }
  .hold {
    fill: transparent;
  }
  .plate:focus-visible .hold {
    stroke: var(--color-info);
    stroke-width: 3;
  }
  .told {
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--color-base-100);
    stroke-width: 6px;
    stroke-linejoin: round;
  }
</style>
