import { describe, expect, it } from 'vitest';
import type { Conditions } from '../api/types';
import { countChanges, type DraftState } from './draft';
import { clashes, merged, onlyMine } from './merge';

const conditions = { surface: 'dry', gripUsed: 0.92 } as Conditions;
const before: DraftState = {
  conditions,
  line: 'smooth',
  ownValues: [{ corner: 3, 'brake.at_m': 700, notes: 'bumps' }],
};

describe('two savers from the same revision', () => {
  const theirs: DraftState = {
    ...before,
    ownValues: [{ corner: 3, 'brake.at_m': 690, notes: 'bumps' }],
  };
  const mine: DraftState = {
    ...before,
    line: 'fastest',
    ownValues: [
      { corner: 3, 'brake.at_m': 710 },
      { corner: 5, 'gears.corner': 2 },
    ],
  };
  const found = clashes(before, theirs, mine);

  it('sees every value that the two have different, with what it was', () => {
    expect(found).toEqual([
      { corner: undefined, field: 'line', before: 'smooth', theirs: 'smooth', mine: 'fastest' },
      { corner: 3, field: 'brake.at_m', before: 700, theirs: 690, mine: 710 },
      { corner: 3, field: 'notes', before: 'bumps', theirs: 'bumps', mine: undefined },
      { corner: 5, field: 'gears.corner', before: undefined, theirs: undefined, mine: 2 },
    ]);
  });

  it('tells what only one of them touched from what both did', () => {
    expect(found.map(onlyMine)).toEqual([true, false, true, true]);
  });

  it('puts what is chosen into theirs and loses nothing else', () => {
    const both = merged(
      theirs,
      found.filter((c) => c.field !== 'brake.at_m'),
    );
    expect(both.line).toBe('fastest');
    expect(both.ownValues).toEqual([
      { corner: 3, 'brake.at_m': 690 },
      { corner: 5, 'gears.corner': 2 },
    ]);
    expect(merged(theirs, [])).toEqual(theirs);
    expect(clashes(theirs, mine, merged(theirs, found))).toEqual([]);
  });

  it('takes a line of one\u2019s own with its offsets, and leaves none behind', () => {
    const own: DraftState = { ...before, line: 'own', lineOffsets_m: [1, 2] };
    const other: DraftState = { ...before, line: 'own', lineOffsets_m: [1, 3] };
    expect(merged(theirs, clashes(before, theirs, own)).lineOffsets_m).toEqual([1, 2]);
    expect(clashes(before, own, other)).toHaveLength(1);
    const back = merged(own, clashes(before, own, mine));
    expect(back.line).toBe('fastest');
    expect(back.lineOffsets_m).toBeUndefined();
    expect(countChanges(before, own)).toBe(1);
    expect(countChanges(own, other)).toBe(1);
    expect(countChanges(own, { ...own, lineOffsets_m: [1, 2] })).toBe(0);
  });

  it('finds nothing where both say the same', () => {
    expect(clashes(before, mine, mine)).toEqual([]);
  });

  it('takes conditions one by one', () => {
    const wet = { ...before, conditions: { ...conditions, surface: 'wet' } as Conditions };
    const slow = { ...before, conditions: { ...conditions, gripUsed: 0.85 } };
    const settled = merged(wet, clashes(before, wet, slow).filter(onlyMine));
    expect(settled.conditions).toEqual({ surface: 'wet', gripUsed: 0.85 });
  });
});
