import { describe, expect, it } from 'vitest';
import { paceWords, sectorsOf, tapped } from './taps';

describe('taps of a lap in the head', () => {
  it('are counted from the one at the line', () => {
    const line = tapped(undefined, 5000);
    expect(line.taps_s).toEqual([]);
    const first = tapped(line, 17_250);
    expect(tapped(first, 30_000).taps_s).toEqual([12.25, 25]);
  });

  it('leave out a key that bounces', () => {
    const first = tapped(tapped(undefined, 0), 4000);
    expect(tapped(first, 4090)).toBe(first);
    expect(tapped(tapped(undefined, 0), 60).taps_s).toEqual([]);
  });
});

describe('a part of it', () => {
  it('says whether it ran fast or slow', () => {
    expect(paceWords(12, 10)).toBe('2.0 s slow: something is searched');
    expect(paceWords(8.5, 10)).toBe('1.5 s fast: something is left out');
    expect(paceWords(10.4, 10)).toBe('as it is driven');
  });
});

describe('sectors of a lap in the head', () => {
  const part = (corner: number, reference_s: number, imagined_s: number) => ({
    corner,
    reference_s,
    imagined_s,
  });

  it('are its thirds, each to the tap nearest to it', () => {
    // 90 s: thirds at 30 and 60; the taps are at 12, 28, 45, 65, 80 and 90.
    const parts = [
      part(1, 12, 10),
      part(2, 16, 17),
      part(3, 17, 17),
      part(4, 20, 25),
      part(5, 15, 15),
      part(0, 10, 9),
    ];
    expect(sectorsOf(parts)).toEqual([part(2, 28, 27), part(4, 37, 42), part(0, 25, 24)]);
  });

  it('are fewer where there are few taps', () => {
    expect(sectorsOf([part(0, 40, 41)])).toEqual([part(0, 40, 41)]);
    expect(sectorsOf([part(1, 10, 9), part(0, 40, 41)])).toHaveLength(2);
    expect(sectorsOf([])).toEqual([]);
  });
});
