import { describe, expect, it } from 'vitest';
import { feetWords, handsWords, marginError, marginWords } from './work-words';

const length = (m: number) => `${Math.round(m)} m`;

describe('hands, feet and edges', () => {
  it('tells slides by what the car was doing, and a front that slides', () => {
    const slide = { at_m: 300, by_deg: 34, over_m: 12, when: 'power' as const };
    expect(handsWords({ slides: [slide] }, length)).toBe('caught 34° under power');
    expect(handsWords({ slides: [], wheelBeyond_deg: 22, wheelBeyondOver_m: 31.6 }, length)).toBe(
      '22° too much for 32 m',
    );
    expect(handsWords({ slides: [] }, length)).toBe('quiet');
    expect(handsWords({}, length)).toBeUndefined();
  });

  it('tells pedals that are pressed together, and an engine that is too slow for its gear', () => {
    expect(feetWords({ overlap_s: 0.62 })).toBe('both pedals for 0.6 s');
    expect(feetWords({ overlap_s: 0, downshifts: 3, matched: 1, engineShort_pct: 21 })).toBe(
      'engine matched 1 of 3, 21 % too slow',
    );
    expect(feetWords({ overlap_s: 0.02, downshifts: 0 })).toBe('one at a time');
    expect(feetWords({})).toBeUndefined();
  });

  it('says of an edge only what the positions can tell', () => {
    expect(marginWords({ left_cm: 84, error_cm: 12, standing: 'clear' })).toBe('84 cm');
    expect(marginWords({ left_cm: -60, error_cm: 12, standing: 'beyond' })).toBe('60 cm beyond');
    expect(marginWords({ left_cm: -9, error_cm: 12, standing: 'too-close-to-tell' })).toBe(
      '−9 cm: too close to tell',
    );
    expect(marginWords(null)).toBeUndefined();
    expect(marginError([])).toBeUndefined();
  });
});
