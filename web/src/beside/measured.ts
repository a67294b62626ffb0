import type { OwnField } from '../api/types';
import { setOwn, type DraftState } from '../book/draft';

/**
 * Sets one own value that laps measured.
 *
 * @param laps by their names, as they stand in the book's file
 */
export function setMeasured(
  state: DraftState,
  corner: number,
  field: OwnField,
  value: number,
  laps: string[],
): DraftState {
  const set = setOwn(state, corner, field, value);
  const ownValues = set.ownValues.map((own) =>
    own.corner === corner ? { ...own, measured: { ...own.measured, [field]: laps } } : own,
  );
  return { ...set, ownValues };
}
