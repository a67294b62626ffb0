import { describe, expect, it } from 'vitest';
import type { Kerb, Mark } from '../api/types';
import { testTrace } from '../test-lap';
import { dragged } from './dragging';
import {
  add,
  joinWithNext,
  moved,
  near,
  newThing,
  onSide,
  remove,
  renumbered,
  replace,
  splitCorner,
  withWidths,
  wrapped,
} from './edits';
import type { CircuitEdits, DrawnCorner } from './types';

const road = testTrace();
const corner = (number: number, fromM: number, toM: number): DrawnCorner => ({
  number,
  name: `c${number}`,
  side: 'LEFT',
  fromM,
  toM,
  linkWithNext: false,
  rule: null,
});
const edits: CircuitEdits = {
  name: 'Ring',
  layout: '',
  timeZone: 'UTC',
  trackLimits: 'FREE',
  stretches: [],
  marks: road.marks,
  kerbs: [],
  zones: road.zones,
  hazards: [],
  corners: [corner(1, 100, 200), corner(2, 280, 380), corner(3, 900, 20)],
  widths: [],
};

describe('widths measured anew', () => {
  it('hold over their stretch, a side left out as it was', () => {
    const wide = withWidths(road, [{ fromM: 100, toM: 140, leftM: 8, rightM: null }]);
    expect(wide.left_m.filter((w) => w === 8)).toHaveLength(21);
    expect([wide.left_m[49], wide.left_m[50], wide.left_m[70], wide.left_m[71]]).toEqual([
      5, 8, 8, 5,
    ]);
    expect(wide.right_m).toEqual(road.right_m);
    expect(road.left_m[60]).toBe(5);
  });

  it('go over the start line, and the later one counts', () => {
    const wide = withWidths(road, [
      { fromM: 980, toM: 20, leftM: 7, rightM: 7 },
      { fromM: 0, toM: 20, leftM: 4 },
    ]);
    expect([wide.left_m[495], wide.left_m[5], wide.left_m[20]]).toEqual([7, 4, 5]);
    expect([wide.right_m[495], wide.right_m[5], wide.right_m[20]]).toEqual([7, 7, 6]);
  });
});

describe('things along the road', () => {
  it('wrap round a closed lap and stop at the ends of an open road', () => {
    expect(wrapped(road, 1010)).toBe(10);
    expect(wrapped(road, -5)).toBe(995);
    expect(wrapped({ ...road, closed: false }, 1010)).toBe(1000);
  });

  it('move with their length, also over the line', () => {
    const kerb = newThing('kerbs', 980, 'LEFT', road, edits) as Kerb;
    expect([kerb.fromM, kerb.toM]).toEqual([980, 10]);
    const on = moved(road, kerb, 30);
    expect([on.fromM, on.toM]).toEqual([10, 40]);
  });

  it('stand beyond the line on the side they are put', () => {
    const mark = newThing('marks', 300, 'RIGHT', road, edits) as Mark;
    expect(mark.offsetM).toBe(-9);
    const over = onSide(mark, 'LEFT') as Mark;
    expect([over.side, over.offsetM]).toEqual(['LEFT', 9]);
    expect(onSide({ ...mark, side: 'ROAD' }, 'LEFT')).toEqual({ ...mark, side: 'ROAD' });
  });

  it('are added, replaced and removed without touching what was', () => {
    const more = add(edits, 'kerbs', newThing('kerbs', 50, 'LEFT', road, edits));
    expect(more.kerbs).toHaveLength(1);
    expect(edits.kerbs).toHaveLength(0);
    const at = { kind: 'marks' as const, index: 1 };
    expect(remove(edits, at).marks.map((m) => m.label)).not.toContain('old oak');
    const renamed = replace(edits, at, { ...edits.marks[1], label: 'young oak' });
    expect(renamed.marks[1].label).toBe('young oak');
  });

  it('are found near a metre, nearest first, and along it', () => {
    const found = near(road, edits, 235, 60);
    expect(found.map((f) => f.name)).toEqual(['bump', 'old oak', '1 c1', '100 board', '2 c2']);
    expect(found[0].metres).toBe(0);
    expect(found[1].metres).toBe(15);
    expect(near(road, edits, 5, 10)[0]).toMatchObject({ name: '3 c3', metres: 0 });
  });
});

describe('corners', () => {
  it('are split at a metre within them and numbered anew', () => {
    const split = splitCorner(road, edits, 1, 330)!;
    expect(split.corners.map((c) => [c.number, c.name, c.fromM, c.toM])).toEqual([
      [1, 'c1', 100, 200],
      [2, 'c2', 280, 330],
      [3, 'c2 2', 330, 380],
      [4, 'c3', 900, 20],
    ]);
    expect(split.corners[1].linkWithNext).toBe(true);
    expect(splitCorner(road, edits, 1, 500)).toBeNull();
  });

  it('are split across the start line too', () => {
    const split = splitCorner(road, edits, 2, 960)!;
    expect(split.corners.at(-1)).toMatchObject({ fromM: 960, toM: 20 });
  });

  it('are joined with the one after them in driving order', () => {
    const joined = joinWithNext(edits, 0);
    expect(joined.corners.map((c) => [c.number, c.name, c.fromM, c.toM])).toEqual([
      [1, 'c1', 100, 380],
      [2, 'c3', 900, 20],
    ]);
    const only = { ...edits, corners: [corner(1, 100, 200)] };
    expect(joinWithNext(only, 0)).toBe(only);
  });

  it('are numbered from 1 in driving order', () => {
    const mixed = { ...edits, corners: [corner(7, 500, 600), corner(3, 100, 200)] };
    expect(renumbered(mixed).corners.map((c) => [c.number, c.fromM])).toEqual([
      [1, 100],
      [2, 500],
    ]);
  });
});

describe('dragging', () => {
  const at = { kind: 'zones' as const, index: 0 };

  it('moves the whole or one end', () => {
    expect(dragged(road, edits, at, 'all', 10, undefined).zones[0]).toMatchObject({
      fromM: 240,
      toM: 254,
    });
    expect(dragged(road, edits, at, 'to', 10, undefined).zones[0]).toMatchObject({
      fromM: 230,
      toM: 254,
    });
  });

  it('changes sides where the thing has one', () => {
    const board = { kind: 'marks' as const, index: 0 };
    expect(dragged(road, edits, board, 'all', 0, 'RIGHT').marks[0].side).toBe('RIGHT');
    expect(dragged(road, edits, at, 'all', 0, 'RIGHT').zones[0].side).toBe('ROAD');
  });
});
