import { expect, it } from 'vitest';
import type { Mark, TraceCorner } from '../api/types';
import { cornersWithoutMarks } from './marks-wanted';

const mark = (type: Mark['type'], fromM: number): Mark => ({
  label: 'it',
  type,
  side: 'LEFT',
  fromM,
  toM: fromM,
  offsetM: 8,
  note: '',
});
const corner = (number: number, fromM: number) => ({ number, fromM }) as TraceCorner;
const ROAD = { length_m: 2000, closed: true };

it('names corners before which nothing stands that stays', () => {
  const corners = [corner(1, 50), corner(2, 600), corner(3, 1200)];
  const marks = [mark('DISTANCE_BOARD', 1900), mark('CONE', 550), mark('TREE', 1210)];
  // The board lies over the line before the first one; a cone is gone tomorrow; a tree is passed.
  expect(cornersWithoutMarks(ROAD, corners, marks).map((c) => c.number)).toEqual([2, 3]);
});
