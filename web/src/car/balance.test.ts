import { describe, expect, it } from 'vitest';
import { testPage } from '../test-lap';
import { cornerOf, metresWords } from './balance';

describe('braking zones', () => {
  const lap = { length_m: 1000, closed: true };
  const pages = [
    testPage({ corner: 1, name: 'Mill', lowest: { at_m: 20, speed_mps: 20 } }),
    testPage({ corner: 2, name: 'Ford', lowest: { at_m: 600, speed_mps: 20 } }),
  ];

  it('belong to the corner whose slowest place they lead to, across the start line too', () => {
    expect(cornerOf(pages, lap, 590)).toBe('2 Ford');
    expect(cornerOf(pages, lap, 985)).toBe('1 Mill');
    expect(cornerOf([], lap, 985)).toBe('–');
  });

  it('tell longer ways with a plus and nothing where there is nothing', () => {
    const text = (m: number) => `${m.toFixed(1)} m`.replace('-', '−');
    expect(metresWords(0.42, text)).toBe('+0.4 m');
    expect(metresWords(-0.42, text)).toBe('−0.4 m');
    expect(metresWords(0.02, text)).toBe('the same');
  });
});
