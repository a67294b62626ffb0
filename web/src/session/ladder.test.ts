import { describe, expect, it } from 'vitest';
import { ladder } from './ladder';

const lap = { length_m: 1000, closed: true };

describe('the way from the safe mark to the target', () => {
  it('is true to scale', () => {
    const rungs = ladder({ steps_m: [100, 120, 130] }, lap, 300);
    expect(rungs.map((r) => r.x)).toEqual([0, 200, 300]);
    expect(rungs.map((r) => r.metres)).toEqual([30, 10, 0]);
  });

  it('goes over the start line', () => {
    expect(ladder({ steps_m: [990, 0, 10] }, lap, 100).map((r) => r.metres)).toEqual([20, 10, 0]);
  });

  it('keeps steps apart that would touch', () => {
    const rungs = ladder({ steps_m: [100, 140, 141, 142] }, lap, 300);
    expect(rungs.map((r) => r.x)).toEqual([0, 100, 200, 300]);
  });

  it('of one step is a point', () => {
    expect(ladder({ steps_m: [100] }, lap, 300)).toEqual([{ x: 0, metres: 0 }]);
  });
});
