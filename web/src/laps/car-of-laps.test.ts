import { describe, expect, it } from 'vitest';
import type { CarOfLaps, CarValue } from '../api/laps';
import { changesOf, differing, keyOf, lineOf } from './car-of-laps';

const value = (kind: CarValue['kind'], over: Partial<CarValue> = {}): CarValue => ({
  kind,
  gear: 0,
  before: 1,
  after: 0.92,
  error: 0.004,
  from: 80,
  differs: true,
  over_mass: true,
  changes: { '/engine/torqueCurve/0/1': 92 },
  ...over,
});
const car: CarOfLaps = {
  values: [
    value('power'),
    value('gear-ratio', {
      gear: 4,
      before: 1.2,
      after: 1.164,
      changes: { '/gearbox/ratios/3': 1.164 },
    }),
    value('drag-area', {
      before: 0.8,
      after: 0.81,
      error: 0.01,
      differs: false,
      changes: { '/aero/cdA_m2': 0.81 },
    }),
  ],
  mass_kg: 900,
  gripUsed: 0.92,
  of_sheet: { '/aero/cdA_m2': 0.9 },
  weighed: { '/mass_kg': 810 },
  laps: 6,
};

describe('the car of some laps', () => {
  it('is told value by value, each within twice its error', () => {
    expect(lineOf(car.values[0])).toMatchObject({
      name: 'Power',
      book: '100.0',
      laps: '92.0',
      within: '0.8',
    });
    expect(lineOf(car.values[1])).toMatchObject({ name: 'Gear 4', book: '1.200', laps: '1.164' });
  });

  it('changes what is chosen, over the sheet and the scales', () => {
    expect([...differing(car)]).toEqual(['power 0', 'gear-ratio 4']);
    expect(changesOf(car, new Set())).toEqual({ '/aero/cdA_m2': 0.9, '/mass_kg': 810 });
    expect(changesOf(car, new Set([keyOf(car.values[2])]))['/aero/cdA_m2']).toBe(0.81);
  });
});
