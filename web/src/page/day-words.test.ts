import { describe, expect, it } from 'vitest';
import type { DayShift } from '../api/answers';
import { shiftWords } from './day-words';

const w = {
  length: (m: number) => `${Math.round(m)} m`,
  speed: (v: number) => `${Math.round(3.6 * v)} km/h`,
};
const shift = (changes: Partial<DayShift>): DayShift => ({
  corner: 4,
  begins: false,
  brakeHeld: false,
  gearsLower: 0,
  lowestSlower_mps: 0,
  lost_s: 0,
  gear: 3,
  ...changes,
});

describe('a corner on another day', () => {
  it('is told in the order it is driven', () => {
    const wet = shift({
      brakeEarlier_m: 9.2,
      gearsLower: 1,
      releaseEarlier_m: 3.2,
      lowestSlower_mps: 3,
      throttleLater_m: 6,
      exitKerb: 'none',
    });
    expect(shiftWords(wet, w)).toBe(
      'brake 9 m earlier, one gear lower, 3 m earlier off the brake, 11 km/h slower at the lowest, 6 m later on the throttle, kerb at the exit: leave it',
    );
  });

  it('says when it is no longer flat, and what gets easier', () => {
    expect(shiftWords(shift({ begins: true }), w)).toBe('now with brakes');
    expect(shiftWords(shift({ brakeEarlier_m: -7, gearsLower: -2 }), w)).toBe(
      'brake 7 m later, 2 gears higher',
    );
  });

  it('says where a slower approach is no reason to brake later', () => {
    expect(shiftWords(shift({ brakeEarlier_m: 0, brakeHeld: true }), w)).toBe(
      'brake no later, though slower there',
    );
  });

  it('leaves out what is not worth a word', () => {
    expect(shiftWords(shift({ brakeEarlier_m: 0.4, lowestSlower_mps: 0.1 }), w)).toBe(
      'as in the book',
    );
  });
});
