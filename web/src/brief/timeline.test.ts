import { describe, expect, it } from 'vitest';
import { testTrace } from '../test-lap';
import { callSpans, stationAt } from './timeline';

const trace = testTrace();

describe('places of a lap by time', () => {
  it('are speed times time on a lap of one speed', () => {
    expect(stationAt(trace, 4)).toBeCloseTo(100, 6);
    expect(stationAt(trace, 4.03)).toBeCloseTo(100.75, 6);
  });

  it('go on over the line', () => {
    expect(stationAt(trace, -1)).toBeCloseTo(975, 6);
    expect(stationAt(trace, 41)).toBeCloseTo(25, 6);
  });

  it('of calls are the same at any pace: a slower voice has more time, not more road', () => {
    const call = {
      corner: 1,
      from_s: 8,
      to_s: 9,
      point_m: 290,
      point_s: 11.6,
      words: 'x',
      begins: 8,
    };
    const [span] = callSpans(trace, [call], 0.5);
    expect(span.from_m).toBeCloseTo(100, 6);
    expect(span.to_m).toBeCloseTo(112.5, 6);
    expect(span.point_m).toBe(290);
  });
});
