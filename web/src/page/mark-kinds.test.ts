import { describe, expect, it } from 'vitest';

import type { Mark } from '../api/types';
import type { CircuitEdits } from '../circuit/types';
import { boardNumber, freeName, newMarks } from './mark-kinds';

const mark = (label: string, fromM: number) => ({ label, fromM }) as Mark;
const edits = (...marks: Mark[]) => ({ marks }) as CircuitEdits;

describe('marks that are noted with one press', () => {
  it('take the usual number of a board that is nearest to the way to the corner', () => {
    expect([88, 130, 260, 900, -20].map(boardNumber)).toEqual([100, 150, 250, 400, 50]);
  });

  it('take a name that no other mark has', () => {
    expect(freeName('post', [])).toBe('post');
    expect(freeName('post', ['post', 'post 2', 'tree'])).toBe('post 3');
  });

  it('are those of the draft that the version does not have', () => {
    const kept = edits(mark('post', 100), mark('tree', 300));
    const draft = edits(mark('post', 100), mark('tree', 300), mark('post', 900));
    expect(newMarks(kept, draft)).toEqual([mark('post', 900)]);
    expect(newMarks(kept, kept)).toEqual([]);
  });
});
