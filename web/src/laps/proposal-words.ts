import type { Proposal, ProposalKind } from '../api/laps';
import type { CornerPage, Trace } from '../api/types';
import { between, onLap } from '../strip/lap-axis';

/** Writes lengths and speeds with their units. */
export interface ProposalWriter {
  length: (m: number) => string;
  speed: (mps: number) => string;
}

/** What sort of change it is, and why it is proposed. */
export const KINDS: Record<ProposalKind, { letter: string; title: string; why: string }> = {
  'marker-earlier': {
    letter: 'B',
    title: 'Brake mark, a step back',
    why: 'The laps braked before the mark. It moves to one step beyond where they did, so that it is worked up to.',
  },
  'marker-later': {
    letter: 'B',
    title: 'Brake mark, a step on',
    why: 'The laps braked behind the mark and made the corner. One step towards them, never past the limit less its margin.',
  },
  gear: {
    letter: 'G',
    title: 'Gear',
    why: 'The laps used another gear, and the model has no loss.',
  },
  release: {
    letter: 'R',
    title: 'Off the brake',
    why: 'The laps were off the brake elsewhere, and lost nothing by it.',
  },
  shape: {
    letter: 'P',
    title: 'Pressure at the turn-in',
    why: 'The laps turned in with another pressure, and lost nothing by it.',
  },
  'apex-speed': {
    letter: 'A',
    title: 'Lowest speed',
    why: 'The laps carried more speed than the page, and made the corner.',
  },
  throttle: {
    letter: 'D',
    title: 'First throttle',
    why: 'The laps were on the throttle earlier, without a lift.',
  },
  proven: {
    letter: '✓',
    title: 'Proven',
    why: 'Driven as it is written, and made every time.',
  },
  'confidence-up': {
    letter: '↑',
    title: 'More sure',
    why: 'Made every time, and nothing stands out.',
  },
  'confidence-down': {
    letter: '↓',
    title: 'Less sure',
    why: 'Missed or unsteady in these laps.',
  },
};

const isStation = (field: string | null | undefined) => field?.endsWith('_m') ?? false;

/** How much it changes: "8 m earlier", "3rd → 4th", "2 km/h faster". */
export function changeOf(
  p: Proposal,
  lap: Pick<Trace, 'length_m' | 'closed'>,
  w: ProposalWriter,
): string {
  const before = p.before;
  if (p.field == null) {
    return before == null ? `${p.after} of 5` : `${before} → ${p.after} of 5`;
  }
  if (before == null) return 'now written down';
  if (isStation(p.field)) {
    const by = between(lap, before, p.after);
    return `${w.length(Math.abs(by))} ${by < 0 ? 'earlier' : 'later'}`;
  }
  if (p.field === 'apexes.speed_mps') {
    const by = p.after - before;
    return `${w.speed(Math.abs(by))} ${by < 0 ? 'slower' : 'faster'}`;
  }
  return `${before} → ${p.after}`;
}

/** A value as it is: a place from the apex, a speed, a gear. */
export function valueOf(
  p: Proposal,
  value: number | null | undefined,
  page: CornerPage,
  lap: Pick<Trace, 'length_m' | 'closed'>,
  w: ProposalWriter,
): string {
  if (value == null) return '–';
  if (p.field == null) return `${value} of 5`;
  if (p.field === 'apexes.speed_mps') return w.speed(value);
  if (!isStation(p.field)) return String(Math.round(value));
  const by = between(lap, page.apexes[0].at_m, value);
  return `${w.length(Math.abs(by))} ${by < 0 ? 'before' : 'past'} the apex`;
}

/** What a driver's figure stands for: metres later than before, a gear, a speed, a share of 5. */
export function altered(
  p: Proposal,
  figure: number,
  lap: Pick<Trace, 'length_m' | 'closed'>,
): number {
  return isStation(p.field) ? onLap(lap, (p.before ?? p.after) + figure) : figure;
}

/** What is said of a proposal so far. */
export type Said = { choice: 'accept' | 'refuse' } | { choice: 'alter'; value: number };

export const keyOf = (p: Proposal) => `${p.corner} ${p.kind}`;

/** The proposals that are taken, as the server wants them. */
export function taken(proposals: Proposal[], said: Record<string, Said>) {
  return proposals.flatMap((p) => {
    const s = said[keyOf(p)];
    if (!s || s.choice === 'refuse') return [];
    const { corner, kind } = p;
    return [s.choice === 'alter' ? { corner, kind, value: s.value } : { corner, kind }];
  });
}

/** Whether it is a judgement of a page as a whole and moves nothing. */
export const isJudgement = (p: Proposal) => p.field == null;
