import type { CornerPage } from '../api/types';
import type { StripFrame } from './frame';
import { spread } from './labels';
import { seconds, valueAt } from './lap-axis';
import { place } from './window';

/** A stretch driven in one gear. */
export interface GearBlock {
  gear: number;
  top: number;
  bottom: number;
}

/** Gears along the window, from the bottom up. */
export const gearBlocks = (frame: StripFrame): GearBlock[] =>
  blocks(frame, frame.trace.gear).map(({ value, from, to }) => ({
    gear: value,
    top: frame.along(to),
    bottom: frame.along(from),
  }));

/** Stretches of the window on which a column of whole numbers stays the same. */
function blocks(
  frame: StripFrame,
  column: number[],
): { value: number; from: number; to: number }[] {
  const { window, trace } = frame;
  const step = trace.step_m;
  const found: { value: number; from: number; to: number }[] = [];
  let begin = 0;
  let value = wholeAt(frame, column, 0);
  for (let d = step; d <= window.length + step; d += step) {
    const end = d > window.length;
    if (end || wholeAt(frame, column, d) !== value) {
      found.push({ value, from: begin, to: Math.min(d, window.length) });
      begin = d;
      if (!end) value = wholeAt(frame, column, d);
    }
  }
  return found;
}

/** The sample before the place counts. */
function wholeAt(frame: StripFrame, column: number[], d: number): number {
  const { trace } = frame;
  const s = frame.window.from + d;
  const wrapped = trace.closed ? ((s % trace.length_m) + trace.length_m) % trace.length_m : s;
  return column[Math.min(column.length - 1, Math.floor(wrapped / trace.step_m + 1e-6))];
}

/** A stretch on which an axle, or a lifting wheel, is the limit. */
export interface LimitBlock {
  /** 1 the front axle, 2 the rear one, 3 both, 4 a wheel lifts. */
  by: number;
  top: number;
  bottom: number;
}

/** Shorter ones are not seen. */
const LEAST_LIMIT_M = 4;

/** What the tyres are the limit of along the window, from the bottom up. */
export const limitBlocks = (frame: StripFrame): LimitBlock[] =>
  blocks(frame, frame.trace.limit)
    .filter(({ value, from, to }) => value > 0 && to - from >= LEAST_LIMIT_M)
    .map(({ value, from, to }) => ({ by: value, top: frame.along(to), bottom: frame.along(from) }));

/** A speed worth reading. */
export interface SpeedNote {
  speedMps: number;
  y: number;
  /** Height of the place itself [px]. */
  from: number;
  lowest: boolean;
}

/** Speeds where the driver's work changes, moved apart. */
export function speedNotes(frame: StripFrame, page: CornerPage): SpeedNote[] {
  const stations = [
    page.brake.at_m,
    page.turnIn.at_m,
    page.lowest.at_m,
    page.throttle.full_m,
    page.exit.trackOut_m,
  ];
  const notes = stations.flatMap((s) => {
    const d = s === undefined ? undefined : place(frame.window, frame.trace, s);
    if (s === undefined || d === undefined) return [];
    const lowest = s === page.lowest.at_m;
    const speedMps = lowest
      ? page.lowest.speed_mps
      : valueAt(frame.trace, frame.trace.speed_mps, s);
    return [{ speedMps, from: frame.along(d), y: 0, lowest }];
  });
  const middles = spread(
    notes.map((n) => ({ wanted: n.from, height: n.lowest ? 30 : 24 })),
    0,
    frame.height,
  );
  return notes.map((n, i) => ({ ...n, y: middles[i] }));
}

/** Whole seconds counted from the first point of the page. */
export function secondTicks(frame: StripFrame, page: CornerPage): { seconds: number; y: number }[] {
  const { trace, window } = frame;
  const zero = seconds(trace, window.from, page.brake.at_m ?? page.turnIn.at_m);
  const ticks: { seconds: number; y: number }[] = [];
  let last = Math.floor(-zero);
  for (let d = 0; d <= window.length; d += trace.step_m) {
    const t = Math.floor(seconds(trace, window.from, window.from + d) - zero);
    if (t > last) {
      ticks.push({ seconds: t, y: frame.along(d) });
      last = t;
    }
  }
  return ticks;
}
