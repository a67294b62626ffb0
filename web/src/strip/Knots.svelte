<script lang="ts">
  import { preferences } from '../units/preferences.svelte';
  import { useFrame } from './frame';
  import { WEDGE_PX, wedgeX } from './geometry';
  import { knotsOf, moved, type PedalWork, type WorkKnot } from './knots';
  import { movedStation } from './plates';
  import { place } from './window';

  interface Props {
    work: PedalWork;
    /** Called while a knot is moved; `first` begins a new step for undo. */
    onwork: (list: 'presses' | 'phases', value: unknown[], first: boolean) => void;
    /** Called when a knot is taken and when it is let go. */
    onhold: (held: boolean) => void;
  }
  const { work, onwork, onhold }: Props = $props();

  const PX_PER_PCT = WEDGE_PX / 100;
  const frame = useFrame();
  const f = $derived(frame());
  const knots = $derived(
    knotsOf(work).flatMap((knot) => {
      const d = place(f.window, f.trace, knot.station);
      if (d === undefined) return [];
      return [
        {
          knot,
          x: wedgeX(f, d, knot.list === 'presses' ? 'brake' : 'drive', knot.pct),
          y: f.along(d),
        },
      ];
    }),
  );
  interface Held {
    knot: WorkKnot;
    clientX: number;
    clientY: number;
    moved: boolean;
  }
  let held = $state.raw<Held>();

  const svgScale = (element: Element) =>
    (element as SVGGElement).ownerSVGElement!.getBoundingClientRect().height / f.height;

  function take(event: PointerEvent & { currentTarget: Element }, knot: WorkKnot) {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    held = { knot, clientX: event.clientX, clientY: event.clientY, moved: false };
    onhold(true);
  }
  function drag(event: PointerEvent & { currentTarget: Element }) {
    if (!held) return;
    const scale = svgScale(event.currentTarget);
    const metres = (held.clientY - event.clientY) / (Math.abs(f.along(1) - f.along(0)) * scale);
    const sense = held.knot.list === 'presses' ? -1 : 1;
    const more = (sense * (event.clientX - held.clientX)) / (PX_PER_PCT * scale);
    if (!held.moved && Math.abs(metres) < 0.5 && Math.abs(more) < 1) return;
    change(held.knot, metres, more, !held.moved);
    held = { ...held, moved: true };
  }
  function change(knot: WorkKnot, metres: number, more: number, first: boolean) {
    const station = movedStation(f, knot.station, Math.round(metres));
    const pct = knot.amount ? Math.round(Math.max(0, Math.min(100, knot.pct + more))) : knot.pct;
    onwork(knot.list, moved(work, knot, station, pct), first);
  }
  function drop() {
    if (!held) return;
    held = undefined;
    onhold(false);
  }
  function nudge(event: KeyboardEvent, knot: WorkKnot) {
    const [metres, more] = {
      ArrowUp: [1, 0],
      ArrowDown: [-1, 0],
      ArrowRight: [0, knot.list === 'presses' ? -1 : 1],
      ArrowLeft: [0, knot.list === 'presses' ? 1 : -1],
    }[event.key] ?? [0, 0];
    if (!metres && !more) return;
    event.preventDefault();
    event.stopPropagation();
    change(knot, metres, more, true);
  }
</script>

{#each knots as { knot, x, y } (`${knot.list} ${knot.entry} ${knot.part}`)}
  <g
    transform="translate({x} {y})"
    class="knot"
    role="slider"
    tabindex="0"
    aria-label={knot.name}
    aria-orientation="vertical"
    aria-valuemin="0"
    aria-valuemax="100"
    aria-valuenow={Math.round(knot.pct)}
    aria-valuetext="{Math.round(knot.pct)} %, {preferences.lengthText(
      knot.station,
    )} from the start line"
    data-knot="{knot.list}-{knot.entry}-{knot.part}"
    onpointerdown={(e) => take(e, knot)}
    onpointermove={drag}
    onpointerup={drop}
    onpointercancel={drop}
    onkeydown={(e) => nudge(e, knot)}
  >
    <title
      >{knot.name}, {Math.round(knot.pct)} %: drag it along the road or across, or press the arrow keys</title
    >
    <circle r="13" class="hold" />
    <circle r="5" class="dot" />
  </g>
{/each}

<style>
  .knot {
    cursor: move;
  }
  .knot :global(*) {
    touch-action: none;
  }
  .knot:focus-visible {
    outline: none;
  }
  .hold {
    fill: transparent;
  }
  .knot:focus-visible .hold {
    stroke: var(--color-info);
    stroke-width: 3;
  }
  .dot {
    fill: var(--color-base-100);
    stroke: var(--ink);
    stroke-width: 2;
  }
</style>
