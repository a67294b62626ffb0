import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { LibraryLap } from '../api/laps';
import { fakeStorage } from '../test-storage';
import { byFile, firstPair, found } from './library';
import { cutsOf, keepCuts } from './sectors';

const lap = (id: string, more: Partial<LibraryLap> = {}): LibraryLap => ({
  id,
  session: 's',
  sessionName: 'Practice of 2026-05-09',
  startsAt: '2026-05-09T10:00',
  book: 'b',
  bookName: 'Book',
  file: 'practice.laps.csv',
  driver: '',
  vehicle: 'Coupé',
  surface: 'dry',
  layout: 'long',
  layoutVersion: 1,
  number: 2,
  kind: 'flying',
  time_s: 100,
  best: false,
  ...more,
});
const LAPS = [
  lap('f.1', { kind: 'out', time_s: null }),
  lap('f.2', { best: true, sheet: 'less wing' }),
  lap('f.3'),
  lap('g.2', { driver: 'Mira', best: true, surface: 'wet' }),
  lap('h.2', { driver: 'Jo', vehicle: 'Litre', best: true }),
];

describe('looking for laps', () => {
  it('holds all the words, wherever they stand', () => {
    expect(found(LAPS, { words: 'mira WET', all: false }).map((l) => l.id)).toEqual(['g.2']);
    expect(found(LAPS, { words: 'you wing', all: false }).map((l) => l.id)).toEqual(['f.2']);
    expect(found(LAPS, { words: 'mira dry', all: false })).toEqual([]);
  });

  it('leaves out what has no time, unless all are wanted', () => {
    expect(found(LAPS, { words: '', all: false })).toHaveLength(4);
    expect(found(LAPS, { words: '', all: true })).toHaveLength(5);
  });

  it('puts the laps of a file together', () => {
    expect(byFile(LAPS).map((f) => [f.key, f.laps.length])).toEqual([
      ['f', 3],
      ['g', 1],
      ['h', 1],
    ]);
  });
});

describe('the first pair', () => {
  it('is one’s own best beside somebody’s in the same vehicle', () => {
    expect(firstPair(LAPS, 'b')).toEqual({ lap: 'f.2', with: 'g.2' });
    expect(firstPair([LAPS[4], ...LAPS], 'b').with).toBe('g.2');
    expect(firstPair(LAPS.slice(0, 3), 'b')).toEqual({ lap: 'f.2', with: 'page' });
    expect(firstPair([], 'b')).toEqual({ lap: undefined, with: 'page' });
  });
});

describe('one’s own sectors', () => {
  beforeEach(() => vi.stubGlobal('localStorage', fakeStorage()));
  it('are kept by book', () => {
    keepCuts('b', [100, 900]);
    expect(cutsOf('b')).toEqual([100, 900]);
    expect(cutsOf('other')).toEqual([]);
  });

  it('are none where what is kept cannot be read', () => {
    localStorage.setItem('marvek.sectors.b', '{broken');
    expect(cutsOf('b')).toEqual([]);
    localStorage.setItem('marvek.sectors.b', '[1, "x"]');
    expect(cutsOf('b')).toEqual([1]);
  });
});
