import { describe, expect, it } from 'vitest';
import type { Conditions, Revision } from '../api/types';
import { testPage } from '../test-lap';
import { compareConditions, compareRevisions } from './compare';

const writer = {
  speed: (v: number) => `${v.toFixed(1)} m/s`,
  length: (m: number) => `${Math.round(m)} m`,
  across: (m: number) => `${m.toFixed(1)} m`,
};
const revision = (pages: Revision['pages']) => ({ pages }) as Revision;

describe('two revisions', () => {
  it('of which nothing differs are told so by an empty list', () => {
    expect(compareRevisions(revision([testPage()]), revision([testPage()]), writer)).toEqual([]);
  });

  it('show the changed value, who says so and what it costs', () => {
    const after = testPage({ time_s: 10.12, sources: { 'brake.at_m': 'driver' }, notes: 'ridges' });
    after.brake.at_m = 190;
    const [corner] = compareRevisions(revision([testPage()]), revision([after]), writer);
    expect(corner.seconds).toBeCloseTo(0.12, 9);
    expect(corner.differences).toEqual([
      { what: 'brake at', before: '200 m', after: '190 m', source: 'driver' },
      { what: 'notes', before: '–', after: 'ridges', source: 'model' },
    ]);
  });

  it('keep a corner whose points are the same but whose time is not', () => {
    const after = testPage({ time_s: 10.3 });
    const [corner] = compareRevisions(revision([testPage()]), revision([after]), writer);
    expect(corner.differences).toEqual([]);
    expect(corner.seconds).toBeCloseTo(0.3, 9);
  });

  it('leave out differences that cannot be read', () => {
    const after = testPage({ time_s: 10.002 });
    after.brake.at_m = 200.3;
    expect(compareRevisions(revision([testPage()]), revision([after]), writer)).toEqual([]);
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
