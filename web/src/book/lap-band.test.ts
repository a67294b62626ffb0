import { describe, expect, it } from 'vitest';
import { testPage, testTrace } from '../test-lap';
import {
  bandFrame,
  bandGround,
  bandLine,
  bandRoad,
  bandWedge,
  circuitPlan,
  cornerSpan,
} from './lap-band';

const trace = testTrace();
const frame = bandFrame(trace, 1000, 160);
const numbers = (path: string) => path.match(/-?\d+(\.\d+)?/g)!.map(Number);

describe('the lap as one band', () => {
  it('runs from left to right over its hills', () => {
    expect(frame.x(0)).toBeLessThan(frame.x(500));
    const top = trace.z_m.indexOf(Math.max(...trace.z_m)) * trace.step_m;
    const foot = trace.z_m.indexOf(Math.min(...trace.z_m)) * trace.step_m;
    expect(frame.y(top)).toBeLessThan(frame.y(foot));
  });

  it('stays within its frame', () => {
    for (const path of [
      bandRoad(frame),
      bandLine(frame),
      bandGround(frame),
      bandWedge(frame, 'brake'),
    ]) {
      const values = numbers(path);
      expect(Math.max(...values.filter((_, i) => i % 2 === 0))).toBeLessThanOrEqual(1000);
      const ys = values.filter((_, i) => i % 2 === 1);
      expect(Math.min(...ys)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...ys)).toBeLessThanOrEqual(160);
    }
  });

  it('hangs the brakes below the road and stands the throttle above it', () => {
    const s = 230;
    const brake = numbers(bandWedge(frame, 'brake')).filter((_, i) => i % 2 === 1);
    expect(Math.min(...brake)).toBeGreaterThan(frame.y(s) - 30);
    expect(Math.max(...brake)).toBeGreaterThan(frame.y(s) + frame.half(s, 'right'));
  });

  it('cuts a corner that lies across the line', () => {
    const span = cornerSpan(frame, testPage({ from_m: 950, to_m: 40 }));
    expect(span.x1).toBeCloseTo(frame.x(1000), 6);
    expect(span.mid).toBeGreaterThan(span.x0);
  });
});

describe('the plan of the circuit', () => {
  it('keeps its proportions and has north up', () => {
    const plan = circuitPlan(trace, 300, 200);
    const points = numbers(plan.outline);
    const xs = points.filter((_, i) => i % 2 === 0);
    const ys = points.filter((_, i) => i % 2 === 1);
    const width = Math.max(...xs) - Math.min(...xs);
    const height = Math.max(...ys) - Math.min(...ys);
    expect(width).toBeCloseTo(height, 0);
    // The circle lies north of the start line, so that it is drawn above it.
    expect(plan.at(500)[1]).toBeLessThan(plan.at(0)[1]);
    // To the right of a car that heads east is south: down.
    expect(plan.at(0, -10)[1]).toBeGreaterThan(plan.at(0)[1]);
  });
});
