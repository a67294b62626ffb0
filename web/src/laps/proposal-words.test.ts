import { describe, expect, it } from 'vitest';
import type { Proposal } from '../api/laps';
import { testPage } from '../test-lap';
import { altered, changeOf, isJudgement, keyOf, KINDS, taken, valueOf } from './proposal-words';

const lap = { length_m: 1000, closed: true };
const w = {
  length: (m: number) => `${Math.round(m)} m`,
  speed: (v: number) => `${Math.round(3.6 * v)} km/h`,
};
const proposal = (over: Partial<Proposal>): Proposal => ({
  corner: 1,
  kind: 'marker-earlier',
  field: 'brake.at_m',
  before: 2,
  after: 994,
  count: 5,
  laps: ['Practice, laps 2 to 6'],
  ...over,
});

describe('a proposal in words', () => {
  it('says how far a point moves, over the line too', () => {
    expect(changeOf(proposal({}), lap, w)).toBe('8 m earlier');
    expect(changeOf(proposal({ after: 7 }), lap, w)).toBe('5 m later');
  });

  it('says gears, speeds and how sure as they are', () => {
    expect(
      changeOf(proposal({ kind: 'gear', field: 'gears.corner', before: 3, after: 4 }), lap, w),
    ).toBe('3 → 4');
    const speed = proposal({
      kind: 'apex-speed',
      field: 'apexes.speed_mps',
      before: 20,
      after: 21,
    });
    expect(changeOf(speed, lap, w)).toBe('4 km/h faster');
    const sure = proposal({ kind: 'proven', field: null, before: null, after: 5 });
    expect(changeOf(sure, lap, w)).toBe('5 of 5');
    expect(isJudgement(sure)).toBe(true);
  });

  it('tells a place from the apex', () => {
    const page = testPage();
    const at = page.apexes[0].at_m;
    expect(valueOf(proposal({}), at - 60, page, lap, w)).toBe('60 m before the apex');
    expect(valueOf(proposal({}), null, page, lap, w)).toBe('–');
  });

  it('has a reason for every kind', () => {
    for (const kind of Object.values(KINDS)) expect(kind.why).toMatch(/\.$/);
  });
});

describe('what is said of proposals', () => {
  it('is measured from the old place where it is a place', () => {
    expect(altered(proposal({}), -4, lap)).toBe(998);
    expect(altered(proposal({ field: 'gears.corner' }), 3, lap)).toBe(3);
  });

  it('goes to the server without what is refused or open', () => {
    const [a, b, c] = [1, 2, 3].map((corner) => proposal({ corner }));
    const said = {
      [keyOf(a)]: { choice: 'accept' as const },
      [keyOf(b)]: { choice: 'refuse' as const },
      [keyOf(c)]: { choice: 'alter' as const, value: 12 },
    };
    expect(taken([a, b, c, proposal({ corner: 4 })], said)).toEqual([
      { corner: 1, kind: 'marker-earlier' },
      { corner: 3, kind: 'marker-earlier', value: 12 },
    ]);
  });
});
