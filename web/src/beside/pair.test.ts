import { describe, expect, it } from 'vitest';
import type { Along } from '../api/laps';
import {
  beginsAt,
  drawn,
  heldAt,
  lostOn,
  secondsBetween,
  sectorsOf,
  stationAfter,
  valueAt,
} from './pair';

const nothing: (number | null)[] = [];
const along = (time_s: (number | null)[]): Along => ({
  from_m: 0,
  step_m: 2,
  time_s,
  speed_mps: nothing,
  brake_pct: nothing,
  throttle_pct: nothing,
  gear: nothing,
  offset_m: nothing,
  steer_deg: nothing,
  rpm: nothing,
});
/** 20 m/s for ten stations. */
const steady = along(Array.from({ length: 11 }, (_, k) => k * 0.1));
/** Half as fast. */
const slow = along(Array.from({ length: 11 }, (_, k) => k * 0.2));

describe('values along a lap', () => {
  it('lie between their neighbours, but for those that are held', () => {
    expect(valueAt(steady, [10, 20, 40], 3)).toBe(30);
    expect(heldAt(steady, [2, 3, 4], 3)).toBe(4);
    expect(valueAt(steady, [10, null, 40], 1)).toBe(10);
    expect(valueAt(steady, [null, null], 1)).toBeUndefined();
  });
});

describe('a replay', () => {
  it('is where the lap is after so long', () => {
    expect(stationAfter(steady, 0, 0.5)).toBeCloseTo(10);
    expect(stationAfter(slow, 0, 0.5)).toBeCloseTo(5);
    expect(stationAfter(steady, 6, 0.25)).toBeCloseTo(11);
  });

  it('goes backwards with time back to its begin', () => {
    for (const s of [1, 7.3, 15.9]) {
      expect(stationAfter(steady, 0, secondsBetween(steady, 0, s)!)).toBeCloseTo(s);
    }
  });

  it('stands where the lap ends, and where it has not begun', () => {
    expect(stationAfter(steady, 0, 99)).toBe(20);
    const ends = along([0, 0.1, 0.2, null, null]);
    expect(stationAfter(ends, 0, 99)).toBe(4);
    const begins = along([null, null, 0, 0.1]);
    expect(stationAfter(begins, 0, 5)).toBe(0);
  });

  it('begins where both laps have begun', () => {
    const whole = { along: steady } as never;
    const out = { along: along([null, null, null, 0, 0.1, 0.2]) } as never;
    expect(beginsAt({ first: out, second: whole }, 0)).toBe(6);
    expect(beginsAt({ first: whole, second: out }, 0)).toBe(6);
    expect(beginsAt({ first: out, second: whole }, 7)).toBe(7);
    expect(beginsAt({ first: whole, second: whole }, 3)).toBe(3);
  });

  it('goes on behind a hole', () => {
    const holed = along([0, 0.1, null, null, 0.4, 0.5]);
    expect(stationAfter(holed, 0, 0.45)).toBeCloseTo(9);
    const wide = along([0, 0.1, null, null, null, null, null, 0.7, 0.8]);
    expect(stationAfter(wide, 0, 0.05)).toBeCloseTo(1);
    expect(secondsBetween(wide, 0, 8)).toBeUndefined();
  });
});

describe('what is lost on a part', () => {
  const pair = { first: { along: slow } as never, behind_s: [0, 0.1, 0.2, 0.3, null] };
  it('is the difference of its ends', () => {
    expect(lostOn(pair, { name: '', from: 2, to: 5 })).toBeCloseTo(0.15);
    expect(lostOn(pair, { name: '', from: 0, to: 8 })).toBeUndefined();
  });
});

describe('sectors', () => {
  it('are one more than cuts, in order, and cover the lap', () => {
    expect(sectorsOf([60, 20, 150], 100).map(({ from, to }) => [from, to])).toEqual([
      [0, 20],
      [20, 60],
      [60, 100],
    ]);
    expect(sectorsOf([], 100)).toHaveLength(1);
  });
});

describe('a drawn line', () => {
  const y = (v: number) => v;
  it('is broken where a value is missing', () => {
    expect(drawn([1, null, 3, 4], 2, { from: 0, to: 6 }, 60, y)).toBe('M0.0 1.0M40.0 3.0L60.0 4.0');
  });

  it('keeps the peak of many values in one pixel', () => {
    const column = Array.from({ length: 1001 }, (_, k) => (k === 503 ? 80 : 0));
    const path = drawn(column, 1, { from: 0, to: 1000 }, 50, y);
    expect(path).toContain(' 80.0');
    expect(path.match(/[ML]/g)!.length).toBeLessThan(110);
  });
});
