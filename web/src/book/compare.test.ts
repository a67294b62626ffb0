import { describe, expect, it } from 'vitest';
import type { Conditions, Revision, View } from '../api/types';
import { testPage, testTrace } from '../test-lap';
import { compareConditions, compareRevisions } from './compare';

const writer = {
  speed: (v: number) => `${v.toFixed(1)} m/s`,
  length: (m: number) => `${Math.round(m)} m`,
  across: (m: number) => `${m.toFixed(1)} m`,
};
/** Pages of a lap that takes so much longer than the other. */
const view = (pages: Revision['pages'], longer = 1): View => ({
  revision: { pages } as Revision,
  trace: {
    ...testTrace(),
    time_s: testTrace().time_s.map((t) => t * longer),
    speed_mps: testTrace().speed_mps.map((v) => v / longer),
  },
});

describe('two revisions', () => {
  it('of which nothing differs are told so by an empty list', () => {
    expect(compareRevisions(view([testPage()]), view([testPage()]), writer)).toEqual([]);
  });

  it('show the changed value, who says so and what it costs', () => {
    const after = testPage({ sources: { 'brake.at_m': 'driver' }, notes: 'ridges' });
    after.brake.at_m = 190;
    const [corner] = compareRevisions(view([testPage()]), view([after], 1.003), writer);
    expect(corner.seconds).toBeCloseTo(0.12, 9);
    expect(corner.differences).toEqual([
      { what: 'brake at', before: '200 m', after: '190 m', source: 'driver' },
      { what: 'notes', before: '–', after: 'ridges', source: 'model' },
    ]);
  });

  it('keep a corner whose points are the same but whose time is not', () => {
    const [corner] = compareRevisions(view([testPage()]), view([testPage()], 1.0075), writer);
    expect(corner.differences).toEqual([]);
    expect(corner.seconds).toBeCloseTo(0.3, 9);
  });

  it('leave out differences that cannot be read', () => {
    const after = testPage();
    after.brake.at_m = 200.3;
    expect(compareRevisions(view([testPage()]), view([after], 1.0001), writer)).toEqual([]);
  });
});

describe('a corner on two days', () => {
  it('is timed between the same two places: a point that moved takes no time with it', () => {
    const [first, second] = [testPage(), testPage({ corner: 2 })];
    second.brake.at_m = 700;
    second.turnIn.at_m = 760;
    const wet = [testPage(), testPage({ corner: 2 })];
    wet[0].brake.at_m = 150;
    wet[1].brake.at_m = 640;
    wet[1].turnIn.at_m = 760;
    const corners = compareRevisions(view([first, second]), view(wet, 1.01), writer);
    expect(corners.map((c) => c.seconds)).toEqual([expect.closeTo(0.2, 9), expect.closeTo(0.2, 9)]);
  });
});

describe('two sets of conditions', () => {
  const dry = {
    surface: 'dry',
    tyres: 'warm',
    gripUsed: 0.92,
    fuel_kg: 0,
    pedalChange_s: 0.15,
    brakeBuildUp_s: 0.25,
    airTemperature_c: 18,
    pressure_hpa: 1013.25,
    windSpeed_mps: 0,
    windFrom_deg: 0,
    humidity_pct: 0,
  } as Conditions;

  it('show only what differs', () => {
    expect(compareConditions(dry, dry, writer)).toEqual([]);
    const found = compareConditions(dry, { ...dry, surface: 'wet', gripUsed: 0.85 }, writer);
    expect(found.map((d) => [d.what, d.before, d.after])).toEqual([
      ['surface', 'dry', 'wet'],
      ['grip used', '92 %', '85 %'],
    ]);
  });
});
