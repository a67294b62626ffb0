import { describe, expect, it } from 'vitest';
import { paceWords, tapped } from './taps';

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
