import { describe, expect, it } from 'vitest';
import { testTrace } from '../test-lap';
import { frameOf } from './frame';
import { ticksOf } from './scatter';

const frame = frameOf(
  testTrace(),
  { from: 150, length: 280 },
  { width: 620, height: 690, left: 172, right: 234 },
);

describe('the scatter of laps', () => {
  it('has a tick for each lap at its place, kinds in columns of their own', () => {
    const brake = ticksOf(frame, { letter: 'B', name: 'brake', stations: [190, 204] }, 0);
    expect(brake.map((t) => t.y)).toEqual([frame.along(40), frame.along(54)]);
    const drive = ticksOf(frame, { letter: 'D', name: 'drive', stations: [300] }, 3);
    expect(drive[0].x).toBeGreaterThan(brake[0].x);
  });

  it('leaves out what lies beyond the strip', () => {
    expect(ticksOf(frame, { letter: 'B', name: 'brake', stations: [700] }, 0)).toEqual([]);
  });
});
