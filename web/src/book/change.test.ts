import { describe, expect, it } from 'vitest';
import type { Change, CornerPage, Trace, View } from '../api/types';
import { laidOver } from './change';

const page = (corner: number, time_s: number) => ({ corner, time_s }) as CornerPage;
const base = {
  revision: { number: 2, pages: [page(1, 10), page(2, 20), page(3, 30)] },
  trace: {
    step_m: 2,
    speed_mps: [10, 11, 12, 13, 14],
    time_s: [0, 1, 2, 3, 4],
    gear: [1, 1, 2, 2, 3],
    topLateral_g: 1.1,
    corners: [{ number: 1 }],
    marks: [],
    kerbs: [],
    zones: [],
    hazards: [],
    remarks: [],
    sky: { azimuth_deg: 90, elevation_deg: 4, intoTheSun: [] },
  } as unknown as Trace,
} as View;

const change = (pages: CornerPage[], trace: Partial<Change['trace']>) =>
  ({
    revision: { number: 3, pages },
    trace: { runs: [], figures: {}, noSky: false, ...trace },
  }) as unknown as Change;

describe('what a draft changes', () => {
  it('is laid over what it was made from, and leaves the rest the same thing', () => {
    const view = laidOver(
      base,
      change([page(2, 21)], {
        runs: [
          { column: 'speed_mps', from: 1, count: 2, values: [10.5, 11.5], plus: null },
          { column: 'time_s', from: 1, count: 1, values: [1.2], plus: null },
          { column: 'time_s', from: 2, count: 3, values: [], plus: 0.25 },
        ],
        figures: { topLateral_g: 1.2 },
        remarks: [{ corner: 2, field: 'brake.at_m', said: { code: 'own.flat', facts: {} } }],
      }),
    );
    expect(view.revision.number).toBe(3);
    expect(view.revision.pages.map((p) => p.time_s)).toEqual([10, 21, 30]);
    expect(view.revision.pages[0]).toBe(base.revision.pages[0]);
    expect(view.trace.speed_mps).toEqual([10, 10.5, 11.5, 13, 14]);
    expect(view.trace.time_s).toEqual([0, 1.2, 2.25, 3.25, 4.25]);
    expect(view.trace.gear).toBe(base.trace.gear);
    expect(view.trace.topLateral_g).toBe(1.2);
    expect(view.trace.remarks).toHaveLength(1);
    expect(view.trace.sky).toBe(base.trace.sky);
    // The parent's own stays as it is.
    expect(base.trace.speed_mps).toEqual([10, 11, 12, 13, 14]);
  });

  it('may be that there is no sky any more, or another one', () => {
    expect(laidOver(base, change([], { noSky: true })).trace.sky).toBeNull();
    const sky = { azimuth_deg: 180, elevation_deg: 30, intoTheSun: [] };
    expect(laidOver(base, change([], { sky })).trace.sky).toEqual(sky);
  });

  it('is all of it where the road is another one', () => {
    const whole = { step_m: 1 } as Trace;
    const view = laidOver(base, change([page(7, 1)], { whole }));
    expect(view.trace).toBe(whole);
    expect(view.revision.pages.map((p) => p.corner)).toEqual([7]);
  });
});
