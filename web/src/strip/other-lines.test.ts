import { describe, expect, it } from 'vitest';
import { testPage, testTrace } from '../test-lap';
import { frameOf } from './frame';
import { lettersAt, otherPath, type OtherLine } from './other-lines';
import { windowOf } from './window';

const trace = testTrace();
const frame = frameOf(trace, windowOf(testPage(), trace), {
  width: 400,
  height: 600,
  left: 50,
  right: 50,
});
const straight = (offset: number, from = 200): OtherLine => ({
  letters: 'Ti',
  name: 'Tight',
  from_m: from,
  step_m: 1,
  offset_m: Array.from({ length: 120 }, () => offset),
  dash: '',
});
const numbers = (path: string) => path.match(/-?[\d.]+/g)!.map(Number);

describe('another line on the strip', () => {
  it('lies where its offset is, upward as it is driven', () => {
    const points = numbers(otherPath(frame, straight(2)));
    expect(points[0]).toBeCloseTo(frame.across(2), 3);
    expect(points[1]).toBeGreaterThan(points[points.length - 1]);
    expect(points[0]).toBeLessThan(frame.across(0));
  });

  it('is cut to the window, and empty outside of it', () => {
    const end = numbers(otherPath(frame, straight(1, 350)));
    expect(Math.min(...end.filter((_, i) => i % 2 === 1))).toBeGreaterThanOrEqual(18 - 1e-6);
    expect(otherPath(frame, straight(1, 700))).toBe('');
  });

  it('carries its letters where it is farthest from the line that is driven', () => {
    const other = straight(0);
    other.offset_m = other.offset_m.map((_, k) => (k === 60 ? 3 : 0));
    const at = lettersAt(frame, other, () => 0, 1)!;
    expect(at.x).toBeCloseTo(frame.across(3), 6);
    expect(at.y).toBeCloseTo(frame.along(260 - frame.window.from), 6);
    expect(lettersAt(frame, straight(0, 700), () => 0, 0)).toBeUndefined();
  });
});
