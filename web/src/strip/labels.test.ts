import { describe, expect, it } from 'vitest';
import { spread } from './labels';

describe('spread', () => {
  it('leaves labels with room where they want to be', () => {
    const labels = [
      { wanted: 100, height: 20 },
      { wanted: 50, height: 20 },
    ];
    expect(spread(labels, 0, 200)).toEqual([100, 50]);
  });

  it('moves two that collide apart by equal parts', () => {
    const labels = [
      { wanted: 100, height: 20 },
      { wanted: 104, height: 20 },
    ];
    expect(spread(labels, 0, 200)).toEqual([92, 112]);
  });

  it('never overlaps and never leaves the bounds, however crowded', () => {
    const labels = Array.from({ length: 12 }, (_, i) => ({ wanted: 10 + (i % 3), height: 15 }));
    const middles = spread(labels, 0, 200)
      .slice()
      .sort((a, b) => a - b);
    expect(middles[0]).toBeGreaterThanOrEqual(7.5);
    for (let i = 1; i < middles.length; i++) {
      expect(middles[i] - middles[i - 1]).toBeGreaterThanOrEqual(15 - 1e-9);
    }
    expect(middles[11]).toBeLessThanOrEqual(192.5 + 1e-9);
  });
});
