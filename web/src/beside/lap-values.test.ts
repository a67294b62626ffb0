import { describe, expect, it } from 'vitest';
import type { LapValue } from '../api/laps';
import type { Trace } from '../api/types';
import { cautionsOf, changeWords, costWords, titleOf } from './lap-values';

const trace = { length_m: 4000, closed: true } as Trace;
const w = {
  length: (m: number) => `${Math.round(m)} m`,
  across: (m: number) => `${m.toFixed(1)} m`,
  speed: (v: number) => `${Math.round(v * 3.6)} km/h`,
};
const value = (more: Partial<LapValue>): LapValue => ({
  corner: 4,
  field: 'brake.at_m',
  before: 1200,
  theirs: 1215,
  after: 1208,
  page_s: -0.06,
  cautions: [],
  copy: true,
  ...more,
});

describe('what a lap would change', () => {
  it('says how far, which way, and what the page’s lap does', () => {
    expect(changeWords(value({}), trace, w)).toBe('8 m later');
    expect(costWords(value({}))).toBe('The page’s own lap: 0.06 s faster (model).');
    expect(costWords(value({ page_s: 0.002 }))).toContain('level');
    expect(costWords(value({ page_s: null }))).toContain('cannot drive it');
  });

  it('counts over the line', () => {
    expect(changeWords(value({ before: 3995, after: 5 }), trace, w)).toBe('10 m later');
    expect(changeWords(value({ before: 5, after: 3995 }), trace, w)).toBe('10 m earlier');
  });

  it('has words for each sort of value', () => {
    const of = (field: string, before: number, after: number) =>
      changeWords(value({ field, before, after }), trace, w);
    expect(of('apexes.speed_mps', 20, 21)).toBe('4 km/h faster');
    expect(of('apexes.offset_m', -3, -3.5)).toBe('0.5 m farther right');
    expect(of('gears.corner', 3, 2)).toBe('3 → 2');
    expect(of('trailBrake.atTurnIn_pct', 50, 30)).toBe('20 % less');
    expect(titleOf('turnIn.at_m')).toBe('turn-in');
  });

  it('tells what he does where that is not taken', () => {
    expect(cautionsOf(value({ cautions: ['kept-back'] }), trace, w)[0]).toContain('15 m later');
    const other = value({
      cautions: ['other-vehicle'],
      copy: false,
      field: 'gears.corner',
      before: 3,
      theirs: 4,
      after: 4,
    });
    expect(cautionsOf(other, trace, w)[0]).toContain('not to be copied');
    expect(changeWords(other, trace, w)).toBe('3 → 4');
  });
});
