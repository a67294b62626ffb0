import { describe, expect, it } from 'vitest';
import type { Along } from '../api/laps';
import { behind, indexAt, knotsBeside, laneFor, pathOf, yIn } from './along';

const along = (time_s: (number | null)[]): Along => ({
  from_m: 100,
  step_m: 2,
  time_s,
  speed_mps: [],
  brake_pct: [],
  throttle_pct: [],
  gear: [],
  offset_m: [],
  steer_deg: [],
  rpm: [],
});

describe('two laps beside each other', () => {
  it('differ by the time since the begin of the stretch', () => {
    const lost = behind(along([10, 10.1, 10.3, null]), along([40, 40.1, 40.2, 40.3]));
    expect(lost[0]).toBe(0);
    expect(lost[1]).toBeCloseTo(0, 9);
    expect(lost[2]).toBeCloseTo(0.1, 9);
    expect(lost[3]).toBeNull();
  });

  it('are found at a station, within the stretch', () => {
    const lap = along([0, 0, 0, 0]);
    expect(indexAt(lap, 104.4)).toBe(2);
    expect(indexAt(lap, 20)).toBe(0);
    expect(indexAt(lap, 900)).toBe(3);
  });
});

describe('a lane', () => {
  it('has the high value at its top and the low one at its bottom', () => {
    const lane = { top: 10, bottom: 110, low: 0, high: 100 };
    expect(yIn(lane, 100)).toBe(10);
    expect(yIn(lane, 0)).toBe(110);
  });

  it('takes in all that is drawn, and is never flat', () => {
    const lane = laneFor(0, 100, [[20, 30, null], [25]], 4);
    expect(lane.low).toBeLessThan(20);
    expect(lane.high).toBeGreaterThan(30);
    const flat = laneFor(0, 100, [[7, 7]], 4);
    expect(flat.high - flat.low).toBeCloseTo(4, 9);
    expect(laneFor(0, 1, [[null]], 1).high).toBeGreaterThan(laneFor(0, 1, [[null]], 1).low);
  });

  it('breaks its line where a value is missing', () => {
    const lane = { top: 0, bottom: 10, low: 0, high: 10 };
    expect(pathOf([1, 2, null, 4, 5], (i) => i, lane)).toBe('M0.0 9.0L1.0 8.0M3.0 6.0L4.0 5.0');
  });
});

describe('what is written beside a lap', () => {
  const lap: Along = {
    ...along([0, 1, 2, 3, 4, 5]),
    brake_pct: [0, 20, 78, 60, null, 0],
    throttle_pct: [100, 0, 0, 0, 12, 14],
  };
  it('compares the most of a press, and each knot at its place', () => {
    const work = {
      presses: [{ on_m: 101, peak_pct: 85, knots: [{ at_m: 106, pct: 40 }], off_m: 109 }],
      phases: [{ kind: 'hold' as const, at_m: 108, to_pct: 15, until_m: 110 }],
    };
    const beside = knotsBeside(work, lap);
    expect(beside.map(({ written, driven }) => [written, driven])).toEqual([
      [85, 78],
      [40, 60],
      [15, 12],
      [15, 14],
    ]);
  });

  it('does not take the rise to the next knot for the begin of a press', () => {
    const rising: Along = { ...lap, brake_pct: [0, 18, 18, 20, 64, 65] };
    const work = {
      presses: [{ on_m: 102, peak_pct: 18, knots: [{ at_m: 108, pct: 65 }], off_m: 120 }],
      phases: [],
    };
    expect(knotsBeside(work, rising).map(({ driven }) => driven)).toEqual([18, 64]);
  });

  it('leaves out what is beyond the stretch and what the lap does not tell', () => {
    const work = {
      presses: [{ on_m: 60, peak_pct: 85, knots: [{ at_m: 108, pct: 40 }], off_m: 109 }],
      phases: [],
    };
    expect(knotsBeside(work, lap)).toEqual([]);
  });
});
