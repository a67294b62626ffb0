import type { Trace } from '../api/types';
import { lapSeconds } from '../strip/lap-axis';
import type { TimedCall } from './spoken';

/** Station at which a lap is at some time [m]; times beyond the lap go on in the next one. */
export function stationAt(trace: Trace, seconds: number): number {
  const lap = lapSeconds(trace);
  const t = ((seconds % lap) + lap) % lap;
  const { time_s, step_m } = trace;
  const i = lastUpTo(time_s, t);
  const next = time_s[i + 1] ?? lap;
  const share = next > time_s[i] ? (t - time_s[i]) / (next - time_s[i]) : 0;
  return (i + share) * step_m;
}

/** Index of the last of growing times that is not after another; asked at every frame of a run. */
function lastUpTo(times: number[], t: number): number {
  let low = 0;
  let high = times.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (times[middle] <= t) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** A call on the lap: where it begins and ends to be said, and the point it is about. */
export interface CallSpan {
  call: TimedCall;
  from_m: number;
  to_m: number;
  point_m: number;
}

/**
 * Calls by the places at which they are said.
 *
 * @param pace share of the lap's speed at which it is driven
 */
export function callSpans(trace: Trace, calls: TimedCall[], pace: number): CallSpan[] {
  return calls.map((call) => ({
    call,
    from_m: stationAt(trace, call.from_s * pace),
    to_m: stationAt(trace, call.to_s * pace),
    point_m: call.point_m,
  }));
}
