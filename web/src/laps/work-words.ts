import type { Reading } from '../api/laps';

type Work = NonNullable<Reading['work']>;
type Margin = NonNullable<NonNullable<Reading['margins']>['inside']>;

/** Writes lengths with their unit. */
type Length = (m: number) => string;

const WHEN = { entry: 'on the way in', power: 'under power', kerb: 'on the kerb' } as const;

/** What the hands did; undefined where no channel tells it. */
export function handsWords(work: Work, length: Length): string | undefined {
  if (work.slides == null) return undefined;
  const said = work.slides.map((s) => `caught ${s.by_deg}° ${WHEN[s.when]}`);
  if (work.wheelBeyond_deg) {
    said.push(`${work.wheelBeyond_deg}° too much for ${length(work.wheelBeyondOver_m ?? 0)}`);
  }
  return said.join('; ') || 'quiet';
}

/** A pedal on the other for less is none [s]. */
const OVERLAP_S = 0.05;

/** What the feet did at once; undefined where no channel tells it. */
export function feetWords(work: Work): string | undefined {
  if (work.overlap_s == null) return undefined;
  const said: string[] = [];
  if (work.overlap_s >= OVERLAP_S) said.push(`both pedals for ${work.overlap_s.toFixed(1)} s`);
  if (work.downshifts) {
    const short = work.matched! < work.downshifts ? `, ${work.engineShort_pct} % too slow` : '';
    said.push(`engine matched ${work.matched} of ${work.downshifts}${short}`);
  }
  return said.join('; ') || 'one at a time';
}

/** How near to a limit; undefined where the positions do not tell. */
export function marginWords(margin: Margin | null | undefined): string | undefined {
  if (!margin) return undefined;
  const cm = `${Math.abs(margin.left_cm)} cm`;
  if (margin.standing === 'too-close-to-tell') {
    return `${margin.left_cm >= 0 ? cm : `−${cm}`}: too close to tell`;
  }
  return margin.standing === 'beyond' ? `${cm} beyond` : cm;
}

/** The error that margins have, in the middle of laps [cm]; undefined without any. */
export function marginError(readings: Reading[]): number | undefined {
  const errors = readings
    .flatMap((r) => [r.margins?.inside, r.margins?.outside])
    .flatMap((m) => (m ? [m.error_cm] : []))
    .sort((a, b) => a - b);
  return errors[errors.length >> 1];
}
