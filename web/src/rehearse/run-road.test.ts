import { describe, expect, it } from 'vitest';
import { PIECE_M, piecesAt } from './run-road';

const ring = { closed: true, length_m: 1000 };
const road = { closed: false, length_m: 1000 };

describe('pieces of the road that comes', () => {
  it('cover what is in sight and one more', () => {
    const pieces = piecesAt(ring, 500, 40, 260);
    expect(pieces[0] * PIECE_M).toBeLessThanOrEqual(460);
    expect((pieces.at(-1)! + 1) * PIECE_M).toBeGreaterThan(760 + PIECE_M - 1e-9);
    expect(pieces).toEqual([...pieces].sort((a, b) => a - b));
  });

  it('go on behind the line of a lap, and end with an open road', () => {
    expect(piecesAt(ring, 990, 40, 260).at(-1)! * PIECE_M).toBeGreaterThan(1000);
    expect(piecesAt(road, 990, 40, 260).at(-1)! * PIECE_M).toBeLessThanOrEqual(1000);
    expect(piecesAt(ring, 0, 40, 260)[0]).toBe(0);
  });
});
