import { describe, expect, it } from 'vitest';
import type { CarDocument } from '../api/answers';
import { allValues, valuesAt } from './car-values';
import { factsOf, type TypedFacts } from './make-car.svelte';
import { kilowatts } from './power';

const car = {
  driver_kg: 80,
  gearbox: { ratios: [3, 2], efficiency: 0.9 },
  engine: {
    torqueCurve: [
      [2000, 150],
      [6000, 140],
    ],
  },
} as unknown as CarDocument;

const typed: TypedFacts = {
  name: ' Mine ',
  kind: 'motorcycle',
  mass_kg: 190,
  power: 100,
  powerUnit: 'PS',
  power_rpm: 9000,
  limiter_rpm: 10000,
  drive: 'all',
  gears: 6,
  topSpeed_kmh: 240,
  tyres: 'road',
  wings: true,
};

describe('values of a car', () => {
  it('are named with their units, lists one by one', () => {
    expect(valuesAt(car, '/driver_kg')).toEqual([
      { pointer: '/driver_kg', name: 'Driver', unit: 'kg', decimals: 1, value: 80 },
    ]);
    expect(valuesAt(car, '/gearbox/ratios').map((v) => [v.pointer, v.value])).toEqual([
      ['/gearbox/ratios/0', 3],
      ['/gearbox/ratios/1', 2],
    ]);
    expect(valuesAt(car, '/engine/torqueCurve')[1]).toMatchObject({
      pointer: '/engine/torqueCurve/1/1',
      name: 'Torque at 6000 rpm',
      value: 140,
    });
    expect(valuesAt(car, '/gearbox/efficiency')[0].value).toBe(0.9);
    expect(valuesAt(car, '/unknown')).toEqual([]);
  });
});

describe('facts of a car', () => {
  it('are asked with once all are there', () => {
    expect(factsOf({ ...typed, mass_kg: undefined }, {})).toBeUndefined();
    expect(factsOf({ ...typed, name: ' ' }, {})).toBeUndefined();
    expect(factsOf(typed, {})).toMatchObject({ name: 'Mine', drive: 'rear', wings: false });
  });

  it('have power in kilowatts whatever it is told in', () => {
    // NIST SP 811, B.8: a horsepower is 745.6999 W, the metric one 735.4988 W.
    expect(kilowatts(100, 'hp')).toBeCloseTo(74.56999, 4);
    expect(kilowatts(100, 'PS')).toBeCloseTo(73.54988, 4);
    expect(kilowatts(100, 'kW')).toBe(100);
    expect(factsOf(typed, {})!.power_kw).toBeCloseTo(73.54988, 4);
  });
});

describe('every value of a car', () => {
  it('is told by its group, each entry of a list by itself', () => {
    const groups = allValues(car);
    expect(groups.map((group) => group.name)).toEqual([
      'Mass and size',
      'Engine',
      'Gearbox',
      'Tyres and brakes',
      'Air',
    ]);
    expect(groups[1].values.map((value) => value.name)).toEqual([
      'Torque at 2000 rpm',
      'Torque at 6000 rpm',
    ]);
    expect(groups[2].values.map((value) => value.pointer)).toEqual([
      '/gearbox/ratios/0',
      '/gearbox/ratios/1',
      '/gearbox/efficiency',
    ]);
  });
});
