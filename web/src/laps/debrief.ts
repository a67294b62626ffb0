import type { Debrief, DrivenLap, Reading } from '../api/laps';
import type { Trace } from '../api/types';
import { between } from '../strip/lap-axis';

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

export const flying = (debrief: Debrief) => debrief.laps.filter((lap) => lap.kind === 'flying');

function of(laps: DrivenLap[], corner: number): Reading[] {
  return laps.flatMap((lap) => lap.corners.filter((r) => r.corner === corner));
}

/** The corners in the order of the pages. */
export function cornersOf(debrief: Debrief, laps: DrivenLap[], lap: Lap): CornerDebrief[] {
  return debrief.page.map((page) => {
    const readings = of(laps, page.corner);
    const later = (field: 'brakeOn_m' | 'release_m' | 'throttleFirst_m') =>
      readings.flatMap((r) =>
        r[field] == null || page[field] == null ? [] : [between(lap, page[field], r[field])],
      );
    const times = readings.flatMap((r) => (r.time_s == null ? [] : [r.time_s]));
    const lowest = readings.flatMap((r) =>
      r.lowest_mps == null || page.lowest_mps == null ? [] : [r.lowest_mps - page.lowest_mps],
    );
    const time = median(times);
    return {
      corner: page.corner,
      brake_m: median(later('brakeOn_m')),
      release_m: median(later('release_m')),
      throttle_m: median(later('throttleFirst_m')),
      lowest_mps: median(lowest),
      lost_s: time === undefined || page.time_s == null ? undefined : time - page.time_s,
      brakeSpread_m: spread(later('brakeOn_m')),
      best_s: times.length ? Math.min(...times) : undefined,
    };
  });
}

/** The best corners joined to a lap; undefined while a corner has no time. */
export function joined(corners: CornerDebrief[]): number | undefined {
  return corners.some((c) => c.best_s === undefined)
    ? undefined
    : corners.reduce((sum, c) => sum + c.best_s!, 0);
}

/** Stations at which each lap did something in a corner, on the lap. */
export function places(
  laps: DrivenLap[],
  corner: number,
  field: 'brakeOn_m' | 'release_m' | 'lowestAt_m' | 'throttleFirst_m',
  lap: Lap,
): number[] {
  return of(laps, corner).flatMap((r) => {
    const at = r[field];
    return at == null ? [] : [((at % lap.length_m) + lap.length_m) % lap.length_m];
  });
}
