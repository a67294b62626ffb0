import type { Call } from '../api/answers';

/** A call with its times within the lap: what is said before the line stands at the lap's end. */
export interface TimedCall extends Call {
  /** Time within the lap at which it begins [s]. */
  begins: number;
}

/** Calls in the order in which a lap from the start line hears them. */
export function inLapOrder(calls: Call[], lapSeconds: number): TimedCall[] {
  return calls
    .map((call) => ({ ...call, begins: call.from_s < 0 ? call.from_s + lapSeconds : call.from_s }))
    .sort((a, b) => a.begins - b.begins);
}

/** Calls that begin after one time and not after another; both within the lap. */
export function due(calls: TimedCall[], after: number, upTo: number): TimedCall[] {
  return calls.filter((call) => call.begins > after && call.begins <= upTo);
}

/** Index of the call that was begun last; −1 before the first. */
export function lastBegun(calls: TimedCall[], now: number): number {
  let last = -1;
  calls.forEach((call, i) => {
    if (call.begins <= now) last = i;
  });
  return last;
}
