import { area, line } from 'd3-shape';
import type { CornerPage, Trace } from '../api/types';
import { ahead, valueAt } from '../strip/lap-axis';

/** Narrower than this the figures of a band cannot be read: it is scrolled [px]. */
export const LEAST_BAND_PX = 1000;

/** Drawing of a whole lap as one band: the road runs from left to right over its own hills. */
export interface BandFrame {
  trace: Trace;
  width: number;
  height: number;
  /** Station to pixels. */
  x: (station: number) => number;
  /** Height of the road's middle at a station [px]. */
  y: (station: number) => number;
  /** Half the width of the road at a station [px]. */
  half: (station: number, side: 'left' | 'right') => number;
}

const PX_PER_M_ACROSS = 1.7;
const STEP_M = 6;

/** A straight line through two points: the scales of a library come with the pages that need more. */
const between =
  ([from, to]: [number, number], [begin, end]: [number, number]) =>
  (value: number) =>
    begin + ((value - from) / (to - from)) * (end - begin);

export function bandFrame(trace: Trace, width: number, height: number): BandFrame {
  const x = between([0, trace.length_m], [4, width - 4]);
  const low = Math.min(...trace.z_m);
  const high = Math.max(...trace.z_m, low + 10);
  const y = between([low, high], [height - 42, 62]);
  return {
    trace,
    width,
    height,
    x,
    y: (s) => y(valueAt(trace, trace.z_m, s)),
    half: (s, side) =>
      PX_PER_M_ACROSS * valueAt(trace, side === 'left' ? trace.left_m : trace.right_m, s),
  };
}

function stations(trace: Trace, from = 0, to = trace.length_m - 0.01): number[] {
  const count = Math.max(1, Math.ceil((to - from) / STEP_M));
  return Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count);
}

/** The road itself, left edge above. */
export function bandRoad(frame: BandFrame): string {
  return (
    area<number>()
      .x((s) => frame.x(s))
      .y0((s) => frame.y(s) - frame.half(s, 'left'))
      .y1((s) => frame.y(s) + frame.half(s, 'right'))(stations(frame.trace)) ?? ''
  );
}

/** The car's line on it. */
export function bandLine(frame: BandFrame): string {
  const { trace } = frame;
  return (
    line<number>()
      .x((s) => frame.x(s))
      .y((s) => frame.y(s) - PX_PER_M_ACROSS * valueAt(trace, trace.offset_m, s))(
      stations(trace),
    ) ?? ''
  );
}

/** The ground below, down to the foot of the drawing: the hills at a glance. */
export function bandGround(frame: BandFrame): string {
  return (
    area<number>()
      .x((s) => frame.x(s))
      .y0((s) => frame.y(s) + frame.half(s, 'right'))
      .y1(frame.height - 14)(stations(frame.trace)) ?? ''
  );
}

/** Wedges off the road: brake pressure below it, closed throttle is where there is none above it. */
export function bandWedge(frame: BandFrame, what: 'brake' | 'drive'): string {
  const { trace } = frame;
  const values = what === 'brake' ? trace.brake_pct : trace.throttle_pct;
  const foot = (s: number) =>
    what === 'brake'
      ? frame.y(s) + frame.half(s, 'right') + 2
      : frame.y(s) - frame.half(s, 'left') - 2;
  const size = what === 'brake' ? 0.24 : -0.1;
  return (
    area<number>()
      .x((s) => frame.x(s))
      .y0(foot)
      .y1((s) => foot(s) + size * valueAt(trace, values, s))
      .defined((s) => valueAt(trace, values, s) > 1)(stations(trace)) ?? ''
  );
}

/** Stretch of a corner on the band, cut at the line if it runs over it. */
export function cornerSpan(
  frame: BandFrame,
  page: CornerPage,
): { x0: number; x1: number; mid: number } {
  const { trace } = frame;
  const length = ahead(trace, page.from_m, page.to_m);
  const x0 = frame.x(page.from_m);
  const x1 = frame.x(Math.min(trace.length_m, page.from_m + length));
  return { x0, x1, mid: (x0 + x1) / 2 };
}

/** Outline of the circuit in plan, fitted into a box, and where a station is in it; `aside` in pixels to the left. */
export function circuitPlan(trace: Trace, width: number, height: number) {
  const xs = trace.x_m;
  const ys = trace.y_m;
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const margin = 16;
  const factor = Math.min((width - 2 * margin) / (x1 - x0), (height - 2 * margin) / (y1 - y0));
  const px = (x: number) => width / 2 + (x - (x0 + x1) / 2) * factor;
  const py = (y: number) => height / 2 - (y - (y0 + y1) / 2) * factor;
  const at = (station: number, aside = 0): [number, number] => {
    const x = valueAt(trace, xs, station);
    const y = valueAt(trace, ys, station);
    const dx = valueAt(trace, xs, station + 3) - valueAt(trace, xs, station - 3);
    const dy = valueAt(trace, ys, station + 3) - valueAt(trace, ys, station - 3);
    const h = Math.hypot(dx, dy) || 1;
    return [px(x) - (aside * dy) / h, py(y) - (aside * dx) / h];
  };
  const outline =
    line<number>()
      .x((i) => px(xs[i]))
      .y((i) => py(ys[i]))(xs.map((_, i) => i)) + (trace.closed ? 'Z' : '');
  return { outline, at };
}
