import type { CornerPage } from '../api/types';

/** How much a corner matters: what its usual slips cost together [s a lap]. */
export function weight(page: Pick<CornerPage, 'stakes'>): number {
  return Object.values(page.stakes ?? {}).reduce((sum, cost) => sum + Math.max(0, cost), 0);
}

/** Place of each corner by its stakes, 1 the most; by corner number. */
export function ranks(pages: CornerPage[]): Map<number, number> {
  const order = [...pages].sort((a, b) => weight(b) - weight(a));
  return new Map(order.map((page, i) => [page.corner, i + 1]));
}

/** "2nd of 14 by cost of slips"; empty where stakes are not known. */
export function rankWords(pages: CornerPage[], page: CornerPage): string {
  if (!page.stakes) return '';
  const rank = ranks(pages).get(page.corner)!;
  return `${ordinal(rank)} of ${pages.length} by cost of slips`;
}

function ordinal(n: number): string {
  const tens = Math.floor(n / 10) % 10;
  const ending = tens === 1 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${ending}`;
}

/** A cost as it is read beside a line: "+0.04 s". */
export const cost = (seconds: number) =>
  `${seconds < -0.005 ? '−' : '+'}${Math.abs(seconds).toFixed(2)} s`;
