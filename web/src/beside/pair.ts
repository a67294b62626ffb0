import type { Along, LapPair } from '../api/laps';

type Value = number | null;

/** A part of the lap that is looked at or replayed; `to` behind `from`, both on the lap [m]. */
export interface Part {
  name: string;
  from: number;
  to: number;
}

/** Value of a column at a station, laid between its neighbours; undefined where there is none. */
export function valueAt(along: Along, column: readonly Value[], station: number) {
  const k = Math.max(0, Math.min(column.length - 1, station / along.step_m));
  const a = column[Math.floor(k)];
  const b = column[Math.ceil(k)];
  if (a === null) return b ?? undefined;
  return b === null ? a : a + (b - a) * (k - Math.floor(k));
}

/** A value that has no between, as a gear. */
export const heldAt = (along: Along, column: readonly Value[], station: number) =>
  column[Math.max(0, Math.min(column.length - 1, Math.round(station / along.step_m)))] ?? undefined;

/**
 * Where a lap is so many seconds after a station; before its first place and behind its last it stands
 * there.
 */
export function stationAfter(along: Along, from: number, seconds: number): number {
  const begun = valueAt(along, along.time_s, from);
  if (begun === undefined) return from;
  const wanted = begun + seconds;
  const times = along.time_s;
  let low = Math.floor(from / along.step_m);
  let high = lastKnown(times);
  if (high < low) return from;
  if (times[high]! <= wanted) return high * along.step_m;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    const time = knownBefore(times, middle);
    if (time <= wanted) low = middle;
    else high = middle;
  }
  const a = knownBefore(times, low);
  const b = times[high] ?? a;
  const share = b > a ? Math.max(0, Math.min(1, (wanted - a) / (b - a))) : 0;
  return (low + share * (high - low)) * along.step_m;
}

function lastKnown(times: readonly Value[]): number {
  let k = times.length - 1;
  while (k >= 0 && times[k] === null) k--;
  return k;
}

/** In a hole the clock stands as it did before. */
function knownBefore(times: readonly Value[], k: number): number {
  for (let i = k; i >= 0; i--) if (times[i] !== null) return times[i]!;
  return -Infinity;
}

/** The first station from one on at which both laps are known: where a replay of them can begin. */
export function beginsAt(pair: Pick<LapPair, 'first' | 'second'>, from: number): number {
  const { first, second } = pair;
  const step = first.along.step_m;
  const least = Math.ceil(from / step);
  const k = first.along.time_s.findIndex(
    (t, i) => i >= least && t !== null && second.along.time_s[i] !== null,
  );
  return k > least ? k * step : from;
}

/** Seconds that a lap takes from one station to another; undefined where it does not tell them. */
export function secondsBetween(along: Along, from: number, to: number): number | undefined {
  const a = valueAt(along, along.time_s, from);
  const b = valueAt(along, along.time_s, to);
  return a === undefined || b === undefined ? undefined : b - a;
}

/** What the first lap loses on a part; undefined where one of them was not there at an end. */
export function lostOn(pair: Pick<LapPair, 'first' | 'behind_s'>, { from, to }: Part) {
  const a = valueAt(pair.first.along, pair.behind_s, from);
  const b = valueAt(pair.first.along, pair.behind_s, to);
  return a === undefined || b === undefined ? undefined : b - a;
}

/** The lap cut at stations of one's own: one part more than cuts. */
export function sectorsOf(cuts: readonly number[], length: number): Part[] {
  const ends = [...cuts.filter((s) => s > 0 && s < length).sort((a, b) => a - b), length];
  return ends.map((to, i) => ({ name: `sector ${i + 1}`, from: ends[i - 1] ?? 0, to }));
}

/**
 * A line through a column between two stations, as wide as it is drawn: of many values in one pixel their
 * lowest and their highest, so that no peak is lost.
 */
export function drawn(
  column: readonly Value[],
  step: number,
  part: Pick<Part, 'from' | 'to'>,
  width: number,
  y: (value: number) => number,
): string {
  const first = Math.max(0, Math.floor(part.from / step));
  const last = Math.min(column.length - 1, Math.ceil(part.to / step));
  const x = (k: number) => ((k * step - part.from) / (part.to - part.from)) * width;
  const every = Math.max(1, Math.floor((last - first) / Math.max(1, width)));
  let path = '';
  let pen = 'M';
  const put = (k: number, value: number) => {
    path += `${pen}${x(k).toFixed(1)} ${y(value).toFixed(1)}`;
    pen = 'L';
  };
  for (let k = first; k <= last; k += every) {
    let low = -1;
    let high = -1;
    for (let i = k; i < Math.min(k + every, last + 1); i++) {
      if (column[i] === null) continue;
      if (low < 0 || column[i]! < column[low]!) low = i;
      if (high < 0 || column[i]! > column[high]!) high = i;
    }
    if (low < 0) pen = 'M';
    else {
      const [a, b] = low < high ? [low, high] : [high, low];
      put(a, column[a]!);
      if (b !== a) put(b, column[b]!);
    }
  }
  return path;
}
