import { describe, expect, it } from 'vitest';
import { testTrace } from '../test-lap';
import { ahead, between, lapSeconds, seconds, valueAt, onLap } from './lap-axis';

const trace = testTrace();

describe('the axis of a lap', () => {
  it('goes on over the start line', () => {
    expect(ahead(trace, 980, 20)).toBe(40);
    expect(ahead(trace, 20, 980)).toBe(960);
    expect(between(trace, 980, 20)).toBe(40);
    expect(between(trace, 20, 980)).toBe(-40);
  });

  it('does not wrap on an open road', () => {
    const open = { ...trace, closed: false };
    expect(ahead(open, 980, 20)).toBe(-960);
    expect(valueAt(open, trace.time_s, -5)).toBe(0);
  });

  it('reads between samples and across the line', () => {
    expect(valueAt(trace, trace.time_s, 101)).toBeCloseTo(101 / 25, 9);
    expect(valueAt(trace, trace.z_m, 999)).toBeCloseTo((trace.z_m[499] + trace.z_m[0]) / 2, 9);
    expect(valueAt(trace, trace.gear, -2)).toBe(4);
  });

  it('counts seconds over the line', () => {
    expect(lapSeconds(trace)).toBeCloseTo(40, 6);
    expect(seconds(trace, 990, 10)).toBeCloseTo(0.8, 6);
    expect(seconds(trace, 100, 350)).toBeCloseTo(10, 6);
  });

  it('brings a station onto the lap, and keeps within an open road', () => {
    expect(onLap({ length_m: 1000, closed: true }, 1012)).toBe(12);
    expect(onLap({ length_m: 1000, closed: true }, -8)).toBe(992);
    expect(onLap({ length_m: 1000, closed: false }, -8)).toBe(0);
    expect(onLap({ length_m: 1000, closed: false }, 1012)).toBe(1000);
  });
});
