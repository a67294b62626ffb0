import { describe, expect, it } from 'vitest';
import type { DayShift } from '../api/answers';
import { testPage } from '../test-lap';
import { dayPlates, movesOwn } from './day-plates';

const lap = { length_m: 1000, closed: true };
const shift = (changes: Partial<DayShift>): DayShift => ({
  corner: 1,
  begins: false,
  brakeHeld: false,
  gearsLower: 0,
  lowestSlower_mps: 0,
  lost_s: 0,
  gear: 3,
  ...changes,
});

describe('the plates of another day', () => {
  it('stand as far from the page’s as the model’s move', () => {
    const wet = shift({ brakeEarlier_m: 9, releaseEarlier_m: 4, throttleLater_m: 6 });
    expect(dayPlates(testPage(), wet, lap).map((p) => [p.letter, p.station])).toEqual([
      ['B', 191],
      ['R', 296],
      ['D', 328],
    ]);
  });

  it('leave out what stays, and go over the line', () => {
    expect(dayPlates(testPage(), shift({ brakeEarlier_m: 0.4 }), lap)).toEqual([]);
    const early = testPage();
    early.brake.at_m = 5;
    expect(dayPlates(early, shift({ brakeEarlier_m: 9 }), lap)[0].station).toBe(996);
  });

  it('show the brakes where only the other day needs them', () => {
    const flat = testPage();
    flat.brake = { ...flat.brake, at_m: undefined };
    const plates = dayPlates(flat, shift({ begins: true, brakeAt_m: 250 }), lap);
    expect(plates.map((p) => [p.letter, p.station])).toEqual([['B', 250]]);
  });

  it('are told apart where the page’s value is the driver’s own', () => {
    const own = testPage({ sources: { 'brake.at_m': 'driver' } });
    expect(movesOwn(own, shift({ brakeEarlier_m: 9, throttleLater_m: 6 }))).toEqual(['brake.at_m']);
    expect(movesOwn(own, shift({ brakeEarlier_m: null }))).toEqual([]);
  });
});
