import type { Beside } from '../api/answers';

type Row = Beside['rows'][number];

/** What the second vehicle does otherwise in a corner, in a few words. */
export function besideWords(row: Row, lengthText: (m: number) => string): string {
  const { first, second } = row;
  if (first.kind !== second.kind) {
    const words = { STRAIGHT: 'stays flat', LIFT: 'lifts', BRAKES: 'has to brake' };
    return words[second.kind];
  }
  if (first.kind === 'BRAKES' && row.brakesLaterM != null) {
    if (Math.abs(row.brakesLaterM) < 1) return 'brakes at the same place';
    const way = row.brakesLaterM > 0 ? 'later' : 'earlier';
    return `brakes ${lengthText(Math.abs(row.brakesLaterM))} ${way}`;
  }
  return 'does the same';
}
