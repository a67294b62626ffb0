import type { Act, ActKind, Hit, Press, Run } from '../api/runs';

/** A press farther away than this belongs to no act; as the score has it [s]. */
const FARTHEST_S = 2.5;

/** The act that a press is nearest to, of those of its kind; undefined if none is near. */
export function nearestAct(acts: readonly Act[], press: Press): Act | undefined {
  let best: Act | undefined;
  for (const act of acts) {
    const apart = Math.abs(act.at_s - press.at_s);
    if (act.kind !== press.kind || apart > FARTHEST_S) continue;
    if (!best || apart < Math.abs(best.at_s - press.at_s)) best = act;
  }
  return best;
}

/** "4 m early", "3 m late" or "on it". */
export function offWords(metres: number, lengthText: (m: number) => string): string {
  if (Math.abs(metres) < 1) return 'on it';
  return `${lengthText(Math.abs(metres))} ${metres < 0 ? 'early' : 'late'}`;
}

/** The press of a corner that is farthest off; undefined where nothing was pressed. */
export function farthest(hits: readonly Hit[]): Hit | undefined {
  return hits
    .filter((h) => h.off_m != null)
    .reduce<Hit | undefined>(
      (best, h) => (!best || Math.abs(h.off_m!) > Math.abs(best.off_m!) ? h : best),
      undefined,
    );
}

/** Mean distance of all presses of a run [m], and how many acts were missed. */
export function total(run: Run): { mean_m?: number; missed: number; acts: number } {
  const offs = run.hits.flatMap((h) => (h.off_m == null ? [] : [Math.abs(h.off_m)]));
  return {
    mean_m: offs.length ? offs.reduce((a, b) => a + b, 0) / offs.length : undefined,
    missed: run.hits.length - offs.length,
    acts: run.hits.length,
  };
}

/** A day's mean in a corner. */
export interface DayMean {
  /** As the driver's calendar has it, yyyy-mm-dd. */
  day: string;
  mean_m: number;
}

/** What a corner came to day by day, oldest first; days on which nothing was pressed are left out. */
export function trend(runs: readonly Run[], corner: number): DayMean[] {
  const byDay = new Map<string, number[]>();
  for (const run of runs) {
    const mean = run.corners.find((c) => c.corner === corner)?.mean_m;
    if (mean == null) continue;
    const day = dayOf(run.at);
    byDay.set(day, [...(byDay.get(day) ?? []), mean]);
  }
  return [...byDay].map(([day, means]) => ({
    day,
    mean_m: means.reduce((a, b) => a + b, 0) / means.length,
  }));
}

function dayOf(at: string): string {
  const d = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

export const KIND_LETTER: Record<ActKind, string> = {
  brake: 'B',
  turn: 'T',
  release: 'R',
  throttle: 'D',
  lift: 'L',
  'gear-up': '↑',
  'gear-down': '↓',
};
