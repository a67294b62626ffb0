import type { Along } from '../api/laps';
import { knotsOf, type PedalWork } from '../strip/knots';

type Value = number | null;

/** A rectangle of the drawing [px] and the values that its top and bottom stand for. */
export interface Lane {
  top: number;
  bottom: number;
  high: number;
  low: number;
}

/** Height of a value in a lane. */
export function yIn({ top, bottom, high, low }: Lane, value: number): number {
  return bottom - ((value - low) / (high - low)) * (bottom - top);
}

/** A lane whose values reach a little beyond all that is drawn in it. */
export function laneFor(top: number, bottom: number, columns: Value[][], least: number): Lane {
  const values = columns.flat().filter((v): v is number => v !== null);
  const low = values.length ? Math.min(...values) : 0;
  const high = values.length ? Math.max(...values) : 1;
  const room = Math.max((high - low) * 0.06, (least - (high - low)) / 2, 1e-6);
  return { top, bottom, low: low - room, high: high + room };
}

/** A line through a column; it is broken where a value is missing. */
export function pathOf(values: Value[], x: (index: number) => number, lane: Lane): string {
  let path = '';
  let pen = 'M';
  values.forEach((value, i) => {
    if (value === null) pen = 'M';
    else {
      path += `${pen}${x(i).toFixed(1)} ${yIn(lane, value).toFixed(1)}`;
      pen = 'L';
    }
  });
  return path;
}

/** Seconds that the first lap is behind the second, counted from the begin of the stretch. */
export function behind(first: Along, second: Along): Value[] {
  const a0 = first.time_s[0];
  const b0 = second.time_s[0];
  return first.time_s.map((t, i) => {
    const u = second.time_s[i];
    return t == null || u == null || a0 == null || b0 == null ? null : t - a0 - (u - b0);
  });
}

/** Index of the value nearest to a station; kept within the stretch. */
export function indexAt(along: Along, station: number): number {
  const i = Math.round((station - along.from_m) / along.step_m);
  return Math.max(0, Math.min(along.time_s.length - 1, i));
}

/** A knot of the page with what a lap did there. */
export interface KnotBeside {
  name: string;
  list: 'presses' | 'phases';
  station: number;
  written: number;
  driven: number;
}

/**
 * The knots of what is written beside a lap: its pressure or throttle at their places; for the
 * begin of a press the most until half-way to the next knot, since pressure takes its time to come
 * and may rise from there.
 */
export function knotsBeside(work: PedalWork, lap: Along): KnotBeside[] {
  const end = lap.from_m + lap.step_m * (lap.time_s.length - 1);
  const knots = knotsOf(work);
  return knots.flatMap((knot, i) => {
    const { name, list, station, pct: written, amount } = knot;
    if (!amount || station < lap.from_m || station > end) return [];
    const column = list === 'presses' ? lap.brake_pct : lap.throttle_pct;
    const at = indexAt(lap, station);
    const until = knot.part === 'on' ? (at + indexAt(lap, knots[i + 1].station)) >> 1 : at;
    const values = column.slice(at, until + 1).filter((v): v is number => v !== null);
    return values.length ? [{ name, list, station, written, driven: Math.max(...values) }] : [];
  });
}
