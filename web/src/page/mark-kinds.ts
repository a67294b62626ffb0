import type { CircuitEdits } from '../circuit/types';
import type { Mark } from '../api/types';

/** A kind of mark that is noted with one press. */
export interface MarkKind {
  type: Mark['type'];
  words: string;
  /** What it is called until somebody calls it otherwise. */
  called: string;
  /** Where it stands whatever side was pressed. */
  side?: 'OVER' | 'ROAD';
}

/** What drivers aim by most often, the most lasting first. */
export const MARK_KINDS: readonly MarkKind[] = [
  { type: 'DISTANCE_BOARD', words: 'distance board', called: 'board' },
  { type: 'MARSHAL_POST', words: 'marshal post', called: 'post' },
  { type: 'BRIDGE', words: 'bridge', called: 'bridge', side: 'OVER' },
  { type: 'SIGN', words: 'sign', called: 'sign' },
  { type: 'KERB_START', words: 'begin of a kerb', called: 'begin of the kerb' },
  { type: 'KERB_END', words: 'end of a kerb', called: 'end of the kerb' },
  { type: 'PAINT_LINE', words: 'painted line', called: 'line', side: 'ROAD' },
  { type: 'TYRE_WALL_END', words: 'end of a tyre wall', called: 'end of the tyre wall' },
  { type: 'FENCE_END', words: 'end of a fence', called: 'end of the fence' },
  { type: 'BUILDING', words: 'building', called: 'building' },
  { type: 'TREE', words: 'tree', called: 'tree' },
  { type: 'SURFACE_CHANGE', words: 'change of surface', called: 'new surface', side: 'ROAD' },
];

/** Numbers that boards carry [m]. */
const BOARDS_M = [50, 100, 150, 200, 250, 300, 400];

/** A board's number: the usual one that is nearest to the way to its corner [m]. */
export const boardNumber = (toCornerM: number) =>
  BOARDS_M.reduce((best, n) => (Math.abs(n - toCornerM) < Math.abs(best - toCornerM) ? n : best));

/** A name that no other mark has. */
export function freeName(called: string, taken: readonly string[]): string {
  if (!taken.includes(called)) return called;
  for (let n = 2; ; n++) if (!taken.includes(`${called} ${n}`)) return `${called} ${n}`;
}

/** Whether two are one: by name and place. */
export const sameMark = (a: Mark, b: Mark) => a.label === b.label && a.fromM === b.fromM;

/** Marks of a draft that the version it is made from does not have. */
export const newMarks = (kept: CircuitEdits, draft: CircuitEdits): Mark[] =>
  draft.marks.filter((mark) => !kept.marks.some((other) => sameMark(mark, other)));
