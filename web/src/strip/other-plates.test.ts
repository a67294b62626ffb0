import { describe, expect, it } from 'vitest';
import { testPage, testTrace } from '../test-lap';
import { frameOf } from './frame';
import { asidePlates } from './other-plates';
import { platesOf, type Plate } from './plates';

const trace = testTrace();
const frame = frameOf(
  trace,
  { from: 150, length: 280 },
  { width: 620, height: 690, left: 172, right: 234 },
);
const brake = (station: number): Plate => ({
  letter: 'B',
  name: 'brake',
  station,
  shape: 'square',
});

describe('plates of another day', () => {
  it('stand where they are along the road and know what they are told against', () => {
    const [plate] = asidePlates(frame, [brake(188)], platesOf(testPage()));
    expect(plate.from?.station).toBe(200);
    // Earlier is lower on the strip: the road runs from the bottom to the top.
    expect(plate.y).toBeGreaterThan(plate.fromY!);
    expect(plate.y).toBeCloseTo(frame.along(38), 9);
  });

  it('stand over the road, not beyond its edge', () => {
    const [plate] = asidePlates(frame, [brake(188)], []);
    expect(plate.shownX).toBeGreaterThan(frame.leftMargin);
    expect(plate.shownX).toBeLessThan(frame.rightMargin);
    expect(plate.fromY).toBeUndefined();
  });

  it('are left out where the point stays', () => {
    expect(asidePlates(frame, [brake(199.5)], platesOf(testPage()))).toEqual([]);
  });

  it('never cover one another, and are left out beyond the window', () => {
    const found = asidePlates(frame, [brake(188), { ...brake(189), name: 'release' }], []);
    expect(Math.abs(found[0].shownY - found[1].shownY)).toBeGreaterThanOrEqual(26.9);
    expect(asidePlates(frame, [brake(700)], [])).toEqual([]);
  });
});
