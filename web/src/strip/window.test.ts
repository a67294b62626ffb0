import { describe, expect, it } from 'vitest';
import { testPage, testTrace } from '../test-lap';
import { overlap, place, samples, stationOf, windowOf } from './window';

const trace = testTrace();

describe('the window of a corner', () => {
  it('begins before the first action and ends after the last', () => {
    const window = windowOf(testPage(), trace);
    expect(window.from).toBe(155);
    expect(window.from + window.length).toBe(390 + 30);
  });

  it('may lie across the start line', () => {
    const page = testPage({ turnIn: { at_m: 60, speed_mps: 30 } });
    page.brake.at_m = 10;
    page.exit.trackOut_m = 140;
    page.throttle.full_m = 120;
    page.to_m = 130;
    const window = windowOf(page, trace);
    expect(window.from).toBe(965);
    expect(place(window, trace, 990)).toBe(25);
    expect(place(window, trace, 10)).toBe(45);
    expect(place(window, trace, 700)).toBeUndefined();
  });

  it('starts from the turn-in where there is no brake', () => {
    const page = testPage({ brake: { style: 'none' } });
    expect(windowOf(page, trace).from).toBe(225);
  });

  it('cuts stretches to what is seen', () => {
    const window = { from: 155, length: 265 };
    expect(overlap(window, trace, 140, 165)).toEqual([0, 10]);
    expect(overlap(window, trace, 410, 500)).toEqual([255, 265]);
    expect(overlap(window, trace, 500, 600)).toBeUndefined();
    expect(overlap({ from: 980, length: 100 }, trace, 990, 20)).toEqual([10, 40]);
  });

  it('is sampled from end to end', () => {
    const at = samples({ from: 0, length: 100 }, 30);
    expect(at[0]).toBe(0);
    expect(at[at.length - 1]).toBe(100);
    expect(at).toHaveLength(5);
  });

  it('is asked back for the station of a place in it, across the line too', () => {
    const window = { from: 965, length: 300 };
    expect(stationOf(window, trace, 10)).toBe(975);
    expect(stationOf(window, trace, 45)).toBe(10);
    expect(stationOf(window, { ...trace, closed: false }, 45)).toBe(1000);
  });
});
