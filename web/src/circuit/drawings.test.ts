import { describe, expect, it } from 'vitest';
import { frameOf } from '../strip/frame';
import { testTrace } from '../test-lap';
import { atHand, holds, SHOWN_M, stationTicks, windowAround } from './lap-strip';
import { nearest, outline, planFrame, stretch, uncovered } from './plan';
import type { CircuitEdits } from './types';

const road = testTrace();
const edits: CircuitEdits = {
  name: 'Ring',
  layout: '',
  timeZone: 'UTC',
  trackLimits: 'FREE',
  stretches: [],
  marks: road.marks,
  kerbs: [],
  zones: road.zones,
  hazards: [],
  corners: [],
  widths: [],
};
const numbers = (path: string) => path.match(/-?\d+(\.\d+)?/g)!.map(Number);

describe('the plan', () => {
  it('shows the whole circuit within its box, north up', () => {
    const frame = planFrame(road, 400, 300);
    const points = numbers(outline(frame));
    expect(Math.min(...points)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...points.filter((_, i) => i % 2 === 1))).toBeLessThanOrEqual(300);
    expect(frame.at(500)[1]).toBeLessThan(frame.at(0)[1]);
  });

  it('finds the place under the pointer', () => {
    const frame = planFrame(road, 400, 300);
    for (const [station, offset] of [
      [120, 0],
      [400, 8],
      [777, -12],
    ]) {
      const [s, d] = nearest(road, ...frame.invert(...frame.at(station, offset)));
      expect(s).toBeCloseTo(station, 0);
      expect(d).toBeCloseTo(offset, 0);
    }
  });

  it('comes closer around a place', () => {
    const frame = planFrame(road, 400, 300, 8, 250);
    expect(frame.at(250)[0]).toBeCloseTo(200, 6);
    expect(frame.scale).toBeCloseTo(8 * planFrame(road, 400, 300).scale, 9);
  });

  it('draws stretches beside the road', () => {
    const frame = planFrame(road, 400, 300);
    expect(numbers(stretch(frame, 990, 30, 6)).length).toBeGreaterThan(6);
  });

  it('leaves out labels that would cover others', () => {
    const places: [number, number][] = [
      [0, 0],
      [5, 5],
      [200, 0],
    ];
    expect(uncovered(places, (p) => p, 14)).toEqual([places[0], places[2]]);
  });
});

describe('the strip of the lap', () => {
  const frame = frameOf(road, windowAround(road, 240), {
    width: 440,
    height: 700,
    left: 180,
    right: 120,
  });

  it('shows the same length everywhere, across the line too', () => {
    expect(windowAround(road, 10)).toEqual({ from: 850, length: SHOWN_M });
    const open = { ...road, closed: false };
    expect(windowAround(open, 10).from).toBe(0);
    expect(windowAround(open, 990).from).toBe(1000 - SHOWN_M);
  });

  it('lets things be taken hold of where they are', () => {
    const found = holds(frame, edits);
    expect(found.map((h) => h.name)).toEqual(['bump', '100 board', 'old oak', 'footbridge']);
    const board = found.find((h) => h.name === '100 board')!;
    const at = frame.along(190 - frame.window.from);
    expect((board.top + board.bottom) / 2).toBeCloseTo(at, 6);
    expect(board.bottom - board.top).toBeGreaterThanOrEqual(30);
    expect(board.x + board.width).toBeLessThanOrEqual(frame.leftMargin);
    const oak = found.find((h) => h.name === 'old oak')!;
    expect(oak.x).toBeGreaterThanOrEqual(frame.rightMargin);
  });

  it('keeps only what is near at hand, over the line too', () => {
    const long = { ...road, length_m: 5000 };
    const labels = (centre: number) => atHand(long, centre).marks.map((m) => m.label);
    expect(labels(200)).toEqual(['100 board', 'old oak', 'footbridge', 'far post']);
    expect(labels(1000)).toEqual(['far post']);
    expect(labels(4800)).toEqual(['100 board', 'old oak', 'footbridge']);
    expect(labels(2500)).toEqual([]);
  });

  it('counts its metres anew after the line', () => {
    const over = frameOf(road, windowAround(road, 0), {
      width: 440,
      height: 700,
      left: 180,
      right: 120,
    });
    expect(stationTicks(over, 50).map((t) => t.station)).toEqual([850, 900, 950, 0, 50, 100, 150]);
  });
});
