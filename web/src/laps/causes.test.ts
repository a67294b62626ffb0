import { describe, expect, it } from 'vitest';
import type { Causes, Finding, LapAccounts } from '../api/laps';
import { judged, perLap, told, toldOf, unexplained } from './causes';

const finding = (corner: number, rule: Finding['rule'], more: Partial<Finding> = {}): Finding => ({
  corner,
  rule,
  at_m: 100 * corner,
  amount: 5,
  laps: ['f.1', 'f.2', 'f.3'],
  of: 4,
  often: 'habit',
  cost_s: 0.2,
  ...more,
});

describe('findings as they are shown', () => {
  it('stand by what they cost over the laps, three of them first', () => {
    const all = [
      finding(1, 'braked-early', { cost_s: 0.1 }),
      finding(2, 'over-slowed', { cost_s: 0.3 }),
      finding(3, 'coasted', { cost_s: 0.5, laps: ['f.1'], often: 'once' }),
      finding(4, 'late-throttle', { cost_s: 0.15 }),
      finding(5, 'other-gear', { cost_s: 0.05 }),
      finding(6, 'missed-apex', { cost_s: 0.02 }),
      finding(7, 'inconsistent', { cost_s: null }),
    ];
    const shown = told(all, 4);
    expect(shown.next.map((f) => f.corner)).toEqual([2, 4, 1]);
    expect(shown.more.map((f) => f.corner)).toEqual([3, 5]);
    expect(shown.small.map((f) => f.corner)).toEqual([6, 7]);
  });

  it('are told of a single lap too', () => {
    const once = finding(3, 'coasted', { laps: ['f.1'], of: 1, often: 'once' });
    expect(told([once], 1).next).toEqual([once]);
    expect(perLap(once)).toBeCloseTo(0.2, 9);
  });

  it('leave out what somebody dismissed', () => {
    const gone = finding(1, 'coasted', {
      dismissed: { id: 'n', corner: 1, rule: 'coasted', reason: 'traffic', laps: [] },
    });
    const shown = told([gone], 4);
    expect(shown.next).toEqual([]);
    expect(shown.dismissed).toEqual([gone]);
  });
});

const lap = (id: string, ...corners: [number, number][]): LapAccounts => ({
  id,
  lost_s: 1,
  brought_s: 0,
  handedOn_s: 0,
  corners: corners.map(([lost_s, unexplained_s], k) => ({
    corner: k + 1,
    lost_s,
    unexplained_s,
    parts: [],
  })),
});

describe('a lap told in driving order', () => {
  it('passes over corners that neither lost nor gained', () => {
    expect(toldOf(lap('f.1', [0.2, 0], [0.01, 0], [-0.05, 0])).map((c) => c.corner)).toEqual([
      1, 3,
    ]);
  });

  it('says what nothing explains', () => {
    const laps = [lap('a', [0, 0.1], [0, 0.2]), lap('b', [0, 0.1], [0, 0]), lap('c', [0, 0.5])];
    expect(unexplained({ findings: [], guesses: [], laps } as Causes)).toBeCloseTo(0.3, 9);
    expect(unexplained({ findings: [], guesses: [], laps: [] })).toBeUndefined();
  });
});

describe('what a driver said before he looked', () => {
  const found = [finding(4, 'late-throttle', { cost_s: 0.4 }), finding(4, 'coasted')];

  it('is hit, or another thing stands in that corner, or none', () => {
    const said = judged(
      [
        { id: '1', corner: 4, rule: 'late-throttle' },
        { id: '2', corner: 4, rule: 'over-slowed' },
        { id: '3', corner: 9, rule: 'coasted' },
      ],
      found,
    );
    expect(said[0].hit?.cost_s).toBe(0.4);
    expect(said[1].hit).toBeUndefined();
    expect(said[1].instead?.rule).toBe('late-throttle');
    expect(said[2]).toEqual({ guess: { id: '3', corner: 9, rule: 'coasted' } });
  });
});
