import { describe, expect, it } from 'vitest';
import type { Finding } from '../api/laps';
import { ACTIONS, findingWords, oftenWords, wholeWords } from './finding-words';

const w = {
  length: (m: number) => `${Math.round(m)} m`,
  speed: (v: number) => `${Math.round(3.6 * v)} km/h`,
};
const finding = (rule: Finding['rule'], amount?: number): Finding => ({
  corner: 4,
  rule,
  amount,
  at_m: 100,
  laps: ['f.2'],
  of: 6,
  often: 'once',
});

describe('a finding', () => {
  it('is told with its size in the driver’s units', () => {
    expect(findingWords(finding('braked-early', 11.2), w)).toBe('braked 11 m early');
    expect(findingWords(finding('over-slowed', 1.8), w)).toBe(
      'over-slowed by 6 km/h where the brake is off',
    );
    expect(findingWords(finding('coasted', 0.43), w)).toBe(
      'on neither pedal before the brake, 0.4 s too long',
    );
    expect(findingWords(finding('other-gear', 1), w)).toBe('a gear away from the page’s');
    expect(findingWords(finding('missed-apex', 1.34), w)).toBe('1.3 m off the apex and its kerb');
    expect(findingWords(finding('throttle-twice', 61), w)).toBe(
      'off the throttle again, by 61 % beyond the page',
    );
    expect(findingWords(finding('late-throttle'), w)).toBe('late on the throttle');
  });

  it('names its second part, and how often it was done', () => {
    expect(wholeWords({ ...finding('missed-apex', 1.2), with: 'over-slowed' }, w)).toBe(
      '1.2 m off the apex and its kerb, and over-slowed',
    );
    expect(oftenWords(finding('coasted', 1))).toBe('once, of 6 laps');
    expect(oftenWords({ often: 'habit', laps: ['a', 'b', 'c'], of: 4 })).toBe('on 3 of 4 laps');
    expect(oftenWords({ often: 'once', laps: ['a'], of: 1 })).toBe('in the one lap that counts');
  });

  it('comes with one thing to do, whatever its rule', () => {
    for (const action of Object.values(ACTIONS)) expect(action).toMatch(/\.$/);
  });
});
