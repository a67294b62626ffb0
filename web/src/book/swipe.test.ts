import { describe, expect, it } from 'vitest';
import { turnedBy } from './swipe';

const from = { x: 200, y: 800, at_ms: 1000 };
const to = (dx: number, dy: number, ms: number) => ({ x: 200 + dx, y: 800 + dy, at_ms: 1000 + ms });

describe('a finger along the tabs', () => {
  it('turns the pages as leaves are turned: to the left goes on', () => {
    expect(turnedBy(from, to(-80, 5, 120))).toBe(1);
    expect(turnedBy(from, to(80, -5, 120))).toBe(-1);
  });

  it('scrolls when it is slow, and does nothing when it is short or goes up', () => {
    expect(turnedBy(from, to(-80, 5, 400))).toBe(0);
    expect(turnedBy(from, to(-30, 0, 100))).toBe(0);
    expect(turnedBy(from, to(-60, -50, 100))).toBe(0);
  });
});
