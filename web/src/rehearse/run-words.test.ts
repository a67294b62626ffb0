import { describe, expect, it } from 'vitest';
import type { Act, Run } from '../api/runs';
import { farthest, nearestAct, offWords, total, trend } from './run-words';

const acts: Act[] = [
  { corner: 1, kind: 'brake', at_m: 100, at_s: 2 },
  { corner: 1, kind: 'turn', at_m: 180, at_s: 4 },
  { corner: 2, kind: 'brake', at_m: 300, at_s: 6 },
];
const run = (at: string, mean: number | null): Run => ({
  id: at,
  at,
  revision: 1,
  speedShare: 1,
  help: 'road',
  until_s: 9,
  extra: 0,
  corners: [{ corner: 1, acts: 2, missed: mean == null ? 2 : 1, mean_m: mean }],
  hits: [
    { ...acts[0], off_s: -0.1, off_m: -5 },
    { ...acts[1], off_s: null, off_m: null },
    { ...acts[2], off_s: 0.2, off_m: 9 },
  ],
});

describe('a press', () => {
  it('belongs to the nearest act of its kind', () => {
    expect(nearestAct(acts, { kind: 'brake', at_s: 3.9 })?.corner).toBe(1);
    expect(nearestAct(acts, { kind: 'brake', at_s: 4.1 })?.corner).toBe(2);
    expect(nearestAct(acts, { kind: 'brake', at_s: 8.6 })).toBeUndefined();
    expect(nearestAct(acts, { kind: 'release', at_s: 2 })).toBeUndefined();
  });

  it('is told in the driver’s units', () => {
    const metres = (m: number) => `${Math.round(m)} m`;
    expect([-4.2, 0.4, 7].map((m) => offWords(m, metres))).toEqual([
      '4 m early',
      'on it',
      '7 m late',
    ]);
  });
});

describe('a run', () => {
  it('adds up', () => {
    expect(total(run('2026-11-20T10:00:00', 5))).toEqual({ mean_m: 7, missed: 1, acts: 3 });
    expect(farthest(run('2026-11-20T10:00:00', 5).hits)?.corner).toBe(2);
    expect(farthest([])).toBeUndefined();
  });

  it('gives a mean a day', () => {
    const runs = [
      run('2026-11-20T10:00:00', 12),
      run('2026-11-20T18:00:00', 8),
      run('2026-11-21T10:00:00', null),
      run('2026-11-22T10:00:00', 4),
    ];
    expect(trend(runs, 1)).toEqual([
      { day: '2026-11-20', mean_m: 10 },
      { day: '2026-11-22', mean_m: 4 },
    ]);
    expect(trend(runs, 7)).toEqual([]);
  });
});
