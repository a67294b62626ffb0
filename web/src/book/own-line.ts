import type { TracedLine } from '../api/types';
import type { FieldWriter } from '../page/fields';

/** A path nearer to the road's edge than this beyond it was on it, as positions go. */
const BESIDE_M = 0.1;

/** What was made of recorded positions for a line. */
export function tracedWords(line: TracedLine, w: FieldWriter): string {
  const rounds = Math.round(line.rounds);
  const from = `${line.points.toLocaleString('en')} positions`;
  const taken = rounds > 1 ? `From ${from}, the median of ${rounds} laps.` : `From ${from}.`;
  const noise = `Their noise is about ${w.across(line.noise_m)}; smoothed by ${w.across(line.smoothed_m)} at most.`;
  const beyond =
    line.beyond_m > BESIDE_M
      ? ` Up to ${w.across(line.beyond_m)} beyond the road, at ${w.length(line.beyondAt_m)}: laid onto its edge.`
      : '';
  return `${taken} ${noise}${beyond}`;
}
