import { describe, expect, it } from 'vitest';
import { differences, words } from './differences';

describe('differences', () => {
  it('are told value by value', () => {
    const theirs = { event: 'June', tyres: { laps: 4 }, parts: [{ from_m: 3 }] };
    const mine = { event: 'July', tyres: { laps: 4 }, parts: [{ from_m: 5 }] };
    expect(differences(theirs, mine)).toEqual([
      { where: 'event', theirs: 'June', mine: 'July' },
      { where: 'parts, 1, from (m)', theirs: '3', mine: '5' },
    ]);
  });

  it('name what only one of them has', () => {
    expect(differences({ a: [1] }, { a: [1, { x: 'y', z: true }], b: null })).toEqual([
      { where: 'a, 2', theirs: 'nothing', mine: 'y, yes' },
    ]);
    expect(differences({ list: [] }, {})).toEqual([
      { where: 'list', theirs: '0 entries', mine: 'nothing' },
    ]);
  });

  it('of equal states are none', () => {
    expect(differences({ a: { b: [1, 2] } }, { a: { b: [1, 2] } })).toEqual([]);
  });

  it('speak words', () => {
    expect(words('bestLap_s')).toBe('best lap (s)');
    expect(words('fromM')).toBe('from (m)');
    expect(words('heightMm')).toBe('height (mm)');
    expect(words('wheel')).toBe('wheel');
  });
});
