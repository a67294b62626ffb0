import { describe, expect, it } from 'vitest';
import type { Finding } from '../api/laps';
import { ACTIONS, findingWords } from './finding-words';

const w = {
  length: (m: number) => `${Math.round(m)} m`,
  speed: (v: number) => `${Math.round(3.6 * v)} km/h`,
};
const finding = (rule: Finding['rule'], amount: number): Finding => ({
  corner: 4,
  rule,
  amount,
  laps: ['f.2'],
  of: 6,
});

describe('a finding', () => {
  it('is told with its size in the driver’s units', () => {
    expect(findingWords(finding('braked-early', 11.2), w)).toBe('braked 11 m early');
    expect(findingWords(finding('over-slowed', 1.8), w)).toBe(
      '6 km/h too slow at the lowest place',
    );
    expect(findingWords(finding('coasting', 0.43), w)).toBe('0.4 s on neither pedal');
    expect(findingWords(finding('other-gear', 1), w)).toBe('another gear');
    expect(findingWords(finding('missed-apex', 1.34), w)).toBe('1.3 m off the apex and its kerb');
    expect(findingWords(finding('throttle-twice', 1), w)).toBe(
      'off the throttle again once before it was flat',
    );
  });

  it('comes with one thing to do, whatever its rule', () => {
    for (const action of Object.values(ACTIONS)) expect(action).toMatch(/\.$/);
  });
});
