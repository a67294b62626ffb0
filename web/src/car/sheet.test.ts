import { describe, expect, it } from 'vitest';
import { figureRows } from './figures';
import { fieldWords, SHEET_FIELDS, sheetWords, typed, valueWords, withTyped } from './sheet';

const field = (key: string) => SHEET_FIELDS.find((f) => f.key === key)!;

describe('a setup sheet', () => {
  it('is typed in per cent where it is kept as a share', () => {
    const sheet = withTyped(field('brakeFrontShare'), { name: 'Dry' }, 63.5);
    expect(sheet.brakeFrontShare).toBeCloseTo(0.635, 9);
    expect(typed(field('brakeFrontShare'), sheet)).toBe(63.5);
  });

  it('leaves out what is emptied, and nothing else', () => {
    const sheet = { name: 'Dry', wing: 3, fuel_kg: 20 };
    expect(withTyped(field('wing'), sheet, undefined)).toEqual({ name: 'Dry', fuel_kg: 20 });
    expect(sheet.wing).toBe(3);
    expect(typed(field('finalDrive'), sheet)).toBeUndefined();
  });

  it('is told by the labels and units of the form, without what is left empty', () => {
    const told = sheetWords({ name: 'Wet', brakeFrontShare: 0.58, wing: 0 });
    expect(told).toEqual({ Name: 'Wet', 'Brakes, front': '58 %', 'Wing setting': '0' });
  });

  it('tells differences in the words of the form', () => {
    expect(fieldWords('rideHeightRear_mm')).toBe('Ride height, rear');
    expect(valueWords('brakeFrontShare', '0.63')).toBe('63 %');
    expect(valueWords('clA_m2', '')).toBe("the car's own");
    expect(valueWords('tyres', 'medium')).toBe('medium');
  });
});

describe('the figures of a vehicle', () => {
  const figures = {
    massKg: 256.4,
    frontWeightShare: 0.51,
    wheelbaseM: 1.43,
    cgHeightM: 0.62,
    powerW: 142_600,
    powerRpm: 12_480,
    gripLateral: 1.178,
    cdAM2: 0.34,
    clAM2: 0,
    wheelieG: 1.176,
    stoppieG: 1.13,
    leanLimitDeg: 49.7,
  };

  it('have their units, and those of two wheels only where there are two', () => {
    const rows = Object.fromEntries(figureRows(figures, true));
    expect(rows['power']).toBe('143 kW at 12500 rpm');
    expect(rows['lean at the limit']).toBe('50°');
    expect(figureRows(figures, false)).toHaveLength(5);
  });
});
