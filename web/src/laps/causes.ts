import type { Causes, CornerAccount, Finding, Guess, LapAccounts } from '../api/laps';

/** Less is not worth a word of its own [s]. */
const LEAST_S = 0.03;

/** What is to be worked on next: no more than can be kept in mind. */
const NEXT = 3;

/** What a finding costs over the laps that count, by lap. */
export const perLap = (f: Finding) => ((f.cost_s ?? 0) * f.laps.length) / f.of;

/** Findings as they are shown. */
export interface Told {
  /** The dearest ones: what to do next. */
  next: Finding[];
  /** The others that cost something. */
  more: Finding[];
  /** Small ones, and those without a size. */
  small: Finding[];
  /** Set aside by somebody. */
  dismissed: Finding[];
}

/** Of three laps and more habits come first; of fewer whatever was done. */
export function told(findings: Finding[], laps: number): Told {
  const open = findings.filter((f) => !f.dismissed);
  const dear = open.filter((f) => (f.cost_s ?? 0) >= LEAST_S).sort((a, b) => perLap(b) - perLap(a));
  const habits = laps >= 3 ? dear.filter((f) => f.often !== 'once') : dear;
  const next = habits.slice(0, NEXT);
  return {
    next,
    more: dear.filter((f) => !next.includes(f)),
    small: open.filter((f) => !dear.includes(f)),
    dismissed: findings.filter((f) => f.dismissed),
  };
}

const middle = (values: number[]) => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
};

/** What no cause explains of the laps' loss, in the middle of them; undefined without laps. */
export function unexplained(causes: Causes): number | undefined {
  return causes.laps.length === 0
    ? undefined
    : middle(causes.laps.map((lap) => lap.corners.reduce((sum, c) => sum + c.unexplained_s, 0)));
}

/** Corners of one lap that are worth telling, in the order they were driven. */
export const toldOf = (lap: LapAccounts): CornerAccount[] =>
  lap.corners.filter(
    (c) => Math.abs(c.lost_s) >= LEAST_S || c.parts.some((part) => part.cost_s >= LEAST_S),
  );

/** What the laps say to a guess. */
export interface Judged {
  guess: Guess;
  /** The finding that it hits; undefined where there is none. */
  hit?: Finding;
  /** The dearest thing that the laps show in that corner. */
  instead?: Finding;
}

export function judged(guesses: Guess[], findings: Finding[]): Judged[] {
  return guesses.map((guess) => {
    const there = findings
      .filter((f) => f.corner === guess.corner)
      .sort((a, b) => perLap(b) - perLap(a));
    const hit = there.find((f) => f.rule === guess.rule || f.with === guess.rule);
    return { guess, hit, instead: hit ? undefined : there[0] };
  });
}
