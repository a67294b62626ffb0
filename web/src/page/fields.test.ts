import { describe, expect, it } from 'vitest';
import type { CornerPage, OwnField } from '../api/types';
import { testPage } from '../test-lap';
import {
  amountAt,
  FIELDS,
  marksOf,
  PATHS,
  pointAt,
  shownAt,
  targetAt,
  textAt,
  TYPED,
} from './fields';

const w = {
  length: (m: number) => `${Math.round(m)} m`,
  speed: (v: number) => `${Math.round(3.6 * v)} km/h`,
  across: (m: number) => `${m.toFixed(1)} m`,
};

describe('the list of what a page can hold', () => {
  it('is read from the page wherever the page has it', () => {
    const page = testPage({ lowest: { at_m: 330, speed_mps: 20 }, confidence: 3 });
    expect(amountAt(page, 'brake.at_m')).toBe(page.brake.at_m);
    // The slowest place need not be the apex.
    expect(amountAt(page, 'apexes.speed_mps')).toBe(20);
    expect(amountAt(page, 'apexes.offset_m')).toBe(page.apexes[0].offset_m);
    expect(amountAt({ ...page, kerbs: { ...page.kerbs, exit: 'full' } }, 'kerbs.exit')).toBe(4);
    expect(amountAt({ ...page, trailBrake: undefined }, 'trailBrake.release_m')).toBeUndefined();
    expect(shownAt(page, 'confidence')).toBe(3);
  });

  it('is told by its kind', () => {
    const page = testPage({ confidence: 3, notes: '', line: 'late-apex' });
    const told = (path: OwnField) => textAt(page, path, w);
    expect(told('apexes.speed_mps')).toMatch(/km\/h$/);
    expect(told('brake.initial_pct')).toMatch(/ %$/);
    expect(told('confidence')).toBe('3 of 5');
    expect(told('notes')).toBe('–');
    expect(told('line')).toBe('Late apex');
    expect(textAt({ ...page, line: undefined }, 'line', w)).toBe('as the lap');
    expect(told('brake.mark')).toBe('100 board');
  });

  it('has words for each, and a plate for each place along the lap', () => {
    for (const path of PATHS) {
      expect(FIELDS[path].name).not.toBe('');
      if (FIELDS[path].kind !== 'station') continue;
      expect([path, FIELDS[path].letter?.length, FIELDS[path].shape, FIELDS[path].plate]).toEqual([
        path,
        1,
        expect.any(String),
        expect.any(String),
      ]);
    }
  });

  it('tells places that only a driver gives by a mark or his words', () => {
    const target = {
      mark: 'old oak',
      side: 'left',
      offset_m: 0,
      thing: 'old oak',
      text: '',
    } as const;
    const page: CornerPage = { ...testPage(), look: { at_m: 300, target } };
    expect(TYPED).toEqual(['look.at_m']);
    expect(marksOf('look.at_m')).toEqual(['look.mark', 'look.words']);
    expect(marksOf('brake.at_m')).toEqual(['brake.mark', 'brake.words']);
    expect(pointAt(page, 'look.at_m')?.at_m).toBe(300);
    expect(targetAt(page, 'look.at_m')).toEqual(target);
    expect(pointAt(testPage(), 'look.at_m')).toBeUndefined();
    expect(targetAt(page, 'trailBrake.release_m')).toBeUndefined();
    expect(
      textAt(
        { ...page, look: { at_m: 300, target: { ...target, own: 'the gap' } } },
        'look.mark',
        w,
      ),
    ).toBe('the gap');
  });
});
