import type { CornerPage, Trace } from '../api/types';
import { ahead } from './lap-axis';

/** Part of the lap that a strip shows: counted in metres from its begin. */
export interface StripWindow {
  /** Station where it begins [m]. */
  from: number;
  /** Length shown [m]. */
  length: number;
}

const BEFORE_M = 45;
const AFTER_M = 30;
const LONGEST_M = 620;

/**
 * The window of a corner: from a little before its first action to a little after its last.
 *
 * @param until station up to which it reaches at least [m]
 * @param since station from which it reaches at the latest [m]
 */
export function windowOf(
  page: CornerPage,
  trace: Trace,
  until?: number,
  since?: number,
): StripWindow {
  const first = page.brake.at_m ?? page.turnIn.at_m;
  const own = earlier(trace, first, page.turnIn.at_m);
  const start = since === undefined ? own : earlier(trace, since, own);
  const out = page.exit.trackOut_m;
  const lasts = [out, page.throttle.full_m ?? out, page.to_m, until ?? out];
  const reach = Math.max(...lasts.map((s) => ahead(trace, start, s)).filter((d) => d < LONGEST_M));
  const from = start - BEFORE_M;
  return {
    from: trace.closed ? (from + trace.length_m) % trace.length_m : Math.max(0, from),
    length: BEFORE_M + reach + AFTER_M,
  };
}

function earlier(trace: Trace, a: number, b: number): number {
  return ahead(trace, a, b) < LONGEST_M ? a : b;
}

/** Metres from the window's begin to a station; undefined outside of it. */
export function place(window: StripWindow, trace: Trace, station: number): number | undefined {
  const d = ahead(trace, window.from, station);
  return d >= 0 && d <= window.length ? d : undefined;
}

/** The station so many metres from the window's begin, within the lap. */
export function stationOf(window: StripWindow, trace: Trace, metres: number): number {
  const station = window.from + metres;
  const lap = trace.length_m;
  return trace.closed ? ((station % lap) + lap) % lap : Math.max(0, Math.min(lap, station));
}

/** The part of a stretch that lies in the window, as metres from its begin. */
export function overlap(
  window: StripWindow,
  trace: Trace,
  from: number,
  to: number,
): [number, number] | undefined {
  const length = ahead(trace, from, to);
  let start = ahead(trace, window.from, from);
  if (start > window.length && trace.closed) start -= trace.length_m;
  const a = Math.max(0, start);
  const b = Math.min(window.length, start + length);
  return b >= a ? [a, b] : undefined;
}

/** Stations across the window every `step` metres, as metres from its begin. */
export function samples(window: StripWindow, step: number): number[] {
  const count = Math.max(2, Math.ceil(window.length / step));
  return Array.from({ length: count + 1 }, (_, i) => (i * window.length) / count);
}
