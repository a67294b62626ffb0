import type { CornerPage } from '../api/types';

/** Pages whose brake point no mark tells, that first where braking 5 m early costs most. */
export function marksWanted(pages: readonly CornerPage[]): CornerPage[] {
  const cost = (page: CornerPage) => page.stakes?.brake5mEarly_s ?? 0;
  return pages
    .filter(({ brake }) => brake.at_m !== undefined && (!brake.target || brake.target.weak))
    .filter(({ brake }) => !brake.target?.own)
    .sort((a, b) => cost(b) - cost(a));
}
