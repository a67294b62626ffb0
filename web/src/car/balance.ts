import type { BalanceZone } from '../api/answers';
import type { CornerPage, Trace } from '../api/types';
import { between } from '../strip/lap-axis';

/** Which axle gives up first, in words. */
export const LOCKS: Record<BalanceZone['locksFirst'], string> = {
  FRONT: 'front',
  REAR: 'rear',
  TOGETHER: 'both at once',
  NONE: 'none: the brakes give all they have',
};

/** Name of the corner whose slowest place a braking zone leads to. */
export function cornerOf(
  pages: CornerPage[],
  trace: Pick<Trace, 'length_m' | 'closed'>,
  stationM: number,
): string {
  let best: CornerPage | undefined;
  let nearest = Infinity;
  for (const page of pages) {
    const away = Math.abs(between(trace, stationM, page.lowest.at_m));
    if (away < nearest) {
      nearest = away;
      best = page;
    }
  }
  return best ? `${best.corner} ${best.name}` : '–';
}

/** A change of braking distance with its sign: longer is plus. */
export function metresWords(metres: number, text: (m: number) => string): string {
  if (Math.abs(metres) < 0.05) return 'the same';
  return metres > 0 ? `+${text(metres)}` : text(metres);
}
