import { describe, expect, it } from 'vitest';
import { testPage } from '../test-lap';
import { cost, ranks, rankWords, weight } from './stakes';

describe('stakes', () => {
  const light = testPage({ corner: 1, stakes: { apex2kmhSlower_s: 0.02 } });
  const heavy = testPage({
    corner: 2,
    stakes: { apex2kmhSlower_s: 0.09, brake5mEarly_s: 0.05, apexHalfMetreOff_s: -0.01 },
  });
  const pages = [light, heavy, testPage({ corner: 3 })];

  it('weigh what the slips cost together; what gains weighs nothing', () => {
    expect(weight(heavy)).toBeCloseTo(0.14, 9);
    expect(weight(pages[2])).toBe(0);
  });

  it('rank the corners', () => {
    expect([...ranks(pages)]).toEqual([
      [2, 1],
      [1, 2],
      [3, 3],
    ]);
    expect(rankWords(pages, heavy)).toBe('1st of 3 by cost of slips');
    expect(rankWords(pages, light)).toBe('2nd of 3 by cost of slips');
    expect(rankWords(pages, pages[2])).toBe('');
  });

  it('count in words, the teens too', () => {
    const many = Array.from({ length: 23 }, (_, i) =>
      testPage({ corner: i + 1, stakes: { exit1kmhSlower_s: 1 - i / 100 } }),
    );
    expect(rankWords(many, many[10])).toBe('11th of 23 by cost of slips');
    expect(rankWords(many, many[21])).toBe('22nd of 23 by cost of slips');
    expect(rankWords(many, many[2])).toBe('3rd of 23 by cost of slips');
  });

  it('are written with their sign', () => {
    expect(cost(0.042)).toBe('+0.04 s');
    expect(cost(-0.02)).toBe('−0.02 s');
    expect(cost(-0.001)).toBe('+0.00 s');
  });
});
