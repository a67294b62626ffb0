import { describe, expect, it } from 'vitest';
import {
  gain,
  gainOver,
  lapTime,
  lengthFrom,
  lengthIn,
  speedFrom,
  speedIn,
  today,
  whole,
} from './format';

describe('units', () => {
  // NIST SP 811, appendix B.8: 1 mi = 1609.344 m, 1 yd = 0.9144 m, 1 ft = 0.3048 m.
  it('converts by the published factors', () => {
    expect(speedIn(1609.344 / 3600, 'mph')).toBeCloseTo(1, 12);
    expect(speedIn(10, 'km/h')).toBeCloseTo(36, 12);
    expect(lengthIn(0.9144, 'yd')).toBeCloseTo(1, 12);
    expect(lengthIn(0.3048, 'ft')).toBeCloseTo(1, 12);
  });

  // Apex speeds as the trade quotes them in both units, rounded to 5 km/h (common practice).
  it.each([
    [50, 80],
    [65, 105],
    [80, 130],
    [100, 160],
    [125, 200],
    [145, 235],
    [160, 255],
    [190, 305],
  ])('%i mph is %i km/h to the nearest five', (mph, kmh) => {
    expect(Math.round(speedIn(speedFrom(mph, 'mph'), 'km/h') / 5) * 5).toBe(kmh);
  });

  it('comes back from every unit', () => {
    for (const unit of ['m', 'yd', 'ft'] as const) {
      expect(lengthFrom(lengthIn(123.4, unit), unit)).toBeCloseTo(123.4, 10);
    }
  });
});

describe('figures', () => {
  it('writes lap times with minutes and thousandths', () => {
    expect(lapTime(114.2662)).toBe('1:54.266');
    expect(lapTime(59.9996)).toBe('1:00.000');
    expect(lapTime(125)).toBe('2:05.000');
  });

  it('tells gain and loss by sign and word', () => {
    expect(gain(0.044)).toBe('+0.04 s, slower');
    expect(gain(-0.3)).toBe('−0.30 s, faster');
    expect(gain(0.004)).toBe('0.00 s, the same');
    expect(gain(-0.004)).toBe('0.00 s, the same');
  });

  it('writes whole numbers with a true minus', () => {
    expect(whole(-3.6)).toBe('−4');
    expect(whole(-0.2)).toBe('0');
    expect(whole(88.5)).toBe('89');
  });
});

describe('a difference in a sentence', () => {
  it('has its word and no sign, and is no difference where it cannot be read', () => {
    expect(gainOver(0.044, 'the page')).toBe('0.04 s slower than the page');
    expect(gainOver(-0.3, 'revision 2')).toBe('0.30 s faster than revision 2');
    expect(gainOver(0.004, 'revision 2')).toBe('as fast as revision 2');
  });
});

describe('today', () => {
  it('is the day of the clock on the wall, whatever the day is at Greenwich', () => {
    expect(today(new Date(2026, 5, 3, 0, 20))).toBe('2026-06-03');
    expect(today(new Date(2026, 11, 31, 23, 50))).toBe('2026-12-31');
  });
});
