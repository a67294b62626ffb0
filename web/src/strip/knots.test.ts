import { describe, expect, it } from 'vitest';
import { knotsOf, moved, without } from './knots';

const work = {
  presses: [{ on_m: 100, peak_pct: 90, knots: [{ at_m: 150, pct: 35 }], off_m: 180 }],
  phases: [
    { kind: 'lift' as const, at_m: 200, to_pct: 50, until_m: 220 },
    { kind: 'flat' as const, at_m: 260, to_pct: 100 },
  ],
};

describe('knots of the pedals', () => {
  it('stand in driving order, each with what can be changed of it', () => {
    const knots = knotsOf(work);
    expect(knots.map(({ station, pct, amount }) => [station, pct, amount])).toEqual([
      [100, 90, true],
      [150, 35, true],
      [180, 0, false],
      [200, 100, false],
      [220, 50, true],
      [260, 100, false],
    ]);
  });

  it('are moved one at a time', () => {
    const [on, pressure, off, lift, depth, flat] = knotsOf(work);
    expect(moved(work, on, 95, 0)).toEqual([{ ...work.presses[0], on_m: 95, peak_pct: 1 }]);
    expect(moved(work, pressure, 155, 30)).toEqual([
      { ...work.presses[0], knots: [{ at_m: 155, pct: 30 }] },
    ]);
    expect(moved(work, off, 190, 40)).toEqual([{ ...work.presses[0], off_m: 190 }]);
    expect(moved(work, lift, 195, 20)).toEqual([{ ...work.phases[0], at_m: 195 }, work.phases[1]]);
    expect(moved(work, depth, 225, 40)).toEqual([
      { ...work.phases[0], until_m: 225, to_pct: 40 },
      work.phases[1],
    ]);
    expect(moved(work, flat, 250, 40)).toEqual([work.phases[0], { ...work.phases[1], at_m: 250 }]);
  });

  it('are taken out, a press with its begin or its end', () => {
    const [on, pressure, , , depth] = knotsOf(work);
    expect(without(work, on)).toEqual([]);
    expect(without(work, pressure)).toEqual([{ ...work.presses[0], knots: [] }]);
    expect(without(work, depth)).toEqual([work.phases[1]]);
  });
});
