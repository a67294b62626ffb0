import type { Trace } from '../api/types';

/** Way to go from one station to another in the direction of travel [m]. */
export function ahead(trace: Pick<Trace, 'length_m' | 'closed'>, from: number, to: number): number {
  const d = to - from;
  return trace.closed && d < 0 ? d + trace.length_m : d;
}

/** Signed short way between two stations [m]: positive if the second lies ahead. */
export function between(
  trace: Pick<Trace, 'length_m' | 'closed'>,
  from: number,
  to: number,
): number {
  const d = to - from;
  return trace.closed ? d - trace.length_m * Math.round(d / trace.length_m) : d;
}

/** A station brought onto the lap: over the line it is counted on from 0; an open road ends. */
export function onLap({ length_m, closed }: Pick<Trace, 'length_m' | 'closed'>, station: number) {
  return closed
    ? ((station % length_m) + length_m) % length_m
    : Math.max(0, Math.min(length_m, station));
}

/** Value of a column at a station, linear between samples; wraps on a closed lap. */
export function valueAt(
  trace: Pick<Trace, 'step_m' | 'closed' | 'length_m'>,
  column: number[],
  station: number,
): number {
  const n = column.length;
  const s = onLap(trace, station);
  const t = s / trace.step_m;
  const i = Math.min(n - 1, Math.floor(t));
  const next = i + 1 < n ? i + 1 : trace.closed ? 0 : i;
  return column[i] + (column[next] - column[i]) * Math.min(1, t - i);
}

type Timed = Pick<Trace, 'step_m' | 'closed' | 'length_m' | 'time_s' | 'speed_mps'>;

/** Time of a lap [s]: the last sample's, and from there to the line at the speed there. */
export function lapSeconds(trace: Timed): number {
  const last = trace.time_s.length - 1;
  const rest = trace.closed ? trace.length_m - last * trace.step_m : 0;
  return trace.time_s[last] + rest / Math.max(1, trace.speed_mps[last]);
}

/** Time between two stations in the direction of travel [s]. */
export function seconds(trace: Timed, from: number, to: number): number {
  const t = clock(trace, to) - clock(trace, from);
  return trace.closed && t < -1e-6 ? t + lapSeconds(trace) : t;
}

type Begins = { brake: { at_m?: number }; turnIn: { at_m: number } };

/**
 * Time of a corner on a lap [s], from the first point of its page to the next page's. Two laps are
 * compared between the same two places, never between points that moved.
 *
 * @param pages whose places count, in driving order
 */
export function cornerSeconds<P extends Begins>(pages: P[], page: P, trace: Timed): number {
  const begin = (p: P) =>
    p.brake.at_m !== undefined && between(trace, p.brake.at_m, p.turnIn.at_m) >= 0
      ? p.brake.at_m
      : p.turnIn.at_m;
  if (pages.length === 1 && trace.closed) return lapSeconds(trace);
  const number = pages.indexOf(page);
  const last = number === pages.length - 1 && !trace.closed;
  return seconds(
    trace,
    begin(page),
    last ? trace.length_m : begin(pages[(number + 1) % pages.length]),
  );
}

function clock(trace: Timed, station: number): number {
  const s = onLap(trace, station);
  const t = s / trace.step_m;
  const i = Math.min(trace.time_s.length - 1, Math.floor(t));
  const next = trace.time_s[i + 1] ?? lapSeconds(trace);
  return trace.time_s[i] + (next - trace.time_s[i]) * Math.min(1, t - i);
}
