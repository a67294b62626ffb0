import type { Causes, Debrief, DrivenLap, Reading } from '../api/laps';
import type { Trace } from '../api/types';
import { between, onLap } from '../strip/lap-axis';

type Lap = Pick<Trace, 'length_m' | 'closed'>;

/** What the laps did in a corner against its page, in the middle of them. */
export interface CornerDebrief {
  corner: number;
  /** Metres later than the page; negative is earlier. */
  brake_m?: number;
  release_m?: number;
  throttle_m?: number;
  /** Faster than the page at the lowest place. */
  lowest_mps?: number;
  /** Slower than the page over the corner and the way to the next. */
  lost_s?: number;
  /** What the corner is to blame for, the straight behind it and what its speed costs later too. */
  charged_s?: number;
  /** Half of the laps lie within so many metres of the middle. */
  brakeSpread_m?: number;
  /** The best of the laps in this corner. */
  best_s?: number;
}

/** The middle of values; undefined without any. */
export function median(values: number[]): number | undefined {
  if (values.length === 0) return undefined;
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
}

/** Median of the distances from the median: half of the values lie nearer. */
export function spread(values: number[]): number | undefined {
  const middle = median(values);
  return middle === undefined ? undefined : median(values.map((v) => Math.abs(v - middle)));
}

/** The laps that count. */
export const flying = (debrief: Debrief) =>
  debrief.laps.filter((lap) => lap.kind === 'flying' && lap.whole);

function of(laps: DrivenLap[], corner: number): Reading[] {
  return laps.flatMap((lap) => lap.corners.filter((r) => r.corner === corner));
}

function known(readings: Reading[], field: keyof Reading): number[] {
  return readings.flatMap((r) => (r[field] == null ? [] : [Number(r[field])]));
}

/** The corners in the order of the pages; what they are to blame for once it is known. */
export function cornersOf(
  debrief: Debrief,
  laps: DrivenLap[],
  lap: Lap,
  causes?: Causes,
): CornerDebrief[] {
  return debrief.page.map((page) => {
    const readings = of(laps, page.corner);
    const later = (field: 'brakeOn_m' | 'release_m' | 'firstThrottle_m') =>
      page[field] == null
        ? []
        : known(readings, field).map((station) => between(lap, page[field]!, station));
    const lowest = known(readings, 'lowestSpeed_mps');
    const times = known(readings, 'time_s');
    return {
      corner: page.corner,
      brake_m: median(later('brakeOn_m')),
      release_m: median(later('release_m')),
      throttle_m: median(later('firstThrottle_m')),
      lowest_mps:
        page.lowestSpeed_mps == null
          ? undefined
          : median(lowest.map((v) => v - page.lowestSpeed_mps!)),
      lost_s: median(known(readings, 'delta_s')),
      charged_s: median(lostIn(page.corner, causes)),
      brakeSpread_m: spread(later('brakeOn_m')),
      best_s: times.length ? Math.min(...times) : undefined,
    };
  });
}

/** What each lap lost in a corner, by its account. */
const lostIn = (corner: number, causes?: Causes) =>
  (causes?.laps ?? []).flatMap((lap) =>
    lap.corners.filter((account) => account.corner === corner).map((account) => account.lost_s),
  );

/** The best corners joined to a lap; undefined while a corner has no time. */
export function joined(corners: CornerDebrief[]): number | undefined {
  return corners.length === 0 || corners.some((c) => c.best_s === undefined)
    ? undefined
    : corners.reduce((sum, c) => sum + c.best_s!, 0);
}

/** Places that a corner's laps are compared at, with the letters of their plates. */
export const PLACES = [
  { letter: 'B', name: 'brake on', field: 'brakeOn_m' },
  { letter: 'T', name: 'turned in', field: 'turnIn_m' },
  { letter: 'R', name: 'brake off', field: 'release_m' },
  { letter: 'A', name: 'slowest', field: 'lowestSpeed_m' },
  { letter: 'D', name: 'first throttle', field: 'firstThrottle_m' },
] as const;

/** Stations at which each lap did something in a corner, on the lap. */
export function places(
  laps: DrivenLap[],
  corner: number,
  field: (typeof PLACES)[number]['field'],
  lap: Lap,
): number[] {
  return known(of(laps, corner), field).map((at) => onLap(lap, at));
}
