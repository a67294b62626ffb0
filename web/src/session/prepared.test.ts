import { describe, expect, it } from 'vitest';
import type { Change, Prepared } from '../api/sessions';
import { testPage } from '../test-lap';
import {
  acceptRest,
  alteredValue,
  changedPages,
  changeWords,
  decide,
  decisionOn,
  pageNews,
  valueWords,
} from './prepared';

const lap = { length_m: 1000, closed: true };
const w = {
  length: (m: number) => `${Math.round(m)} m`,
  speed: (v: number) => `${Math.round(3.6 * v)} km/h`,
};
const brake: Change = {
  corner: 1,
  field: 'brake.at_m',
  before: 200,
  after: 191,
  why: 'conditions',
};
const gear: Change = { corner: 3, field: 'gears.corner', before: 3, after: 2, why: 'own-moved' };
const kerb: Change = { corner: 3, field: 'kerbs.exit', before: 4, after: 0, why: 'conditions' };
const prepared = (decisions: Prepared['decisions'] = []) =>
  ({ changes: [brake, gear, kerb], decisions }) as unknown as Prepared;

describe('what a session changes', () => {
  it('is gone through by changed pages only', () => {
    const pages = changedPages(prepared([{ corner: 3, field: 'kerbs.exit', choice: 'leave' }]));
    expect(pages.map((p) => [p.corner, p.changes.length, p.open])).toEqual([
      [1, 1, 1],
      [3, 2, 1],
    ]);
  });

  it('is told as a shift', () => {
    expect(changeWords(brake, brake.after, lap, w)).toBe('9 m earlier');
    expect(changeWords(gear, gear.after, lap, w)).toBe('one gear lower');
    expect(changeWords(kerb, kerb.after, lap, w)).toBe('leave it');
    expect(changeWords({ ...brake, before: null }, 191, lap, w)).toBe('now needed');
    expect(changeWords({ ...brake, after: null }, null, lap, w)).toBe('no longer needed');
    expect(changeWords({ ...brake, field: 'apexes.speed_mps', before: 25 }, 20, lap, w)).toBe(
      '18 km/h slower',
    );
  });

  it('is told over the start line the short way', () => {
    expect(changeWords({ ...brake, before: 5 }, 996, lap, w)).toBe('9 m earlier');
  });

  it('shows values as a driver reads them', () => {
    expect(valueWords('brake.at_m', 191, testPage(), lap, w)).toBe('129 m before the apex');
    expect(valueWords('kerbs.exit', 0, testPage(), lap, w)).toBe('leave it');
    expect(valueWords('gears.corner', null, testPage(), lap, w)).toBe('–');
  });
});

describe('two pages of a corner', () => {
  it('are told apart as it is said, without what nobody drives', () => {
    const wet = testPage();
    wet.brake = { ...wet.brake, at_m: 191 };
    wet.gears = { ...wet.gears, corner: 2 };
    wet.kerbs = { ...wet.kerbs, exit: 'none' };
    wet.throttle = { ...wet.throttle, full_m: 352 };
    expect(pageNews(testPage(), wet, lap, w)).toEqual([
      'brake 9 m earlier',
      'one gear lower',
      'exit kerb: leave it',
    ]);
    expect(pageNews(testPage(), testPage(), lap, w)).toEqual([]);
  });

  it('say where the brakes are needed only now', () => {
    const flat = testPage();
    flat.brake = { ...flat.brake, at_m: undefined };
    expect(pageNews(flat, testPage(), lap, w)).toEqual(['brake now needed']);
  });
});

describe('what a driver says of it', () => {
  it('takes the place of what was said before', () => {
    const once = decide([], brake, 'leave');
    const twice = decide(once, brake, 'alter', 195);
    expect(twice).toEqual([{ corner: 1, field: 'brake.at_m', choice: 'alter', value: 195 }]);
    expect(decisionOn(twice, brake)?.value).toBe(195);
    expect(decisionOn(twice, gear)).toBeUndefined();
  });

  it('accepts the rest without touching what is decided', () => {
    const left = prepared(decide([], gear, 'leave'));
    expect(acceptRest(left, 3).map((d) => [d.field, d.choice])).toEqual([
      ['gears.corner', 'leave'],
      ['kerbs.exit', 'accept'],
    ]);
    expect(acceptRest(left)).toHaveLength(3);
  });

  it('alters places by metres and the rest as it is', () => {
    expect(alteredValue(brake, -12, lap)).toBe(188);
    expect(alteredValue({ ...brake, before: 5 }, -12, lap)).toBe(993);
    expect(alteredValue(gear, 1, lap)).toBe(1);
  });
});
