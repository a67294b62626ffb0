import { describe, expect, it } from 'vitest';
import type { RecallQuestion } from '../api/recall';
import { testPage } from '../test-lap';
import { answerWords, ASKED, GRADES, learnedWords } from './recall-words';

const lap = { length_m: 1000, closed: true };
const length = (m: number) => `${Math.round(m)} m`;
const question = (kind: RecallQuestion['kind'], before: string | null): RecallQuestion => ({
  corner: 1,
  kind,
  changed: before !== null,
  before,
  fresh: false,
});

describe('what a page answers', () => {
  const page = testPage();

  it('is told in the words of the page', () => {
    expect(answerWords('gear', page, lap, length)).toBe(`gear ${page.gears.corner}`);
    expect(answerWords('kerbs', page, lap, length)).toMatch(/^apex .+, exit .+$/);
    const before = { ...page, throttle: { first_m: page.apexes[0].at_m - 12 } };
    expect(answerWords('throttle', before, lap, length)).toBe('12 m before the apex');
  });

  it('is a dash where the page has nothing', () => {
    expect(answerWords('throttle', { ...page, throttle: {} }, lap, length)).toBe('–');
    expect(answerWords('release', { ...page, trailBrake: undefined }, lap, length)).toBe('–');
  });

  it('is asked for every kind', () => {
    for (const words of Object.values(ASKED)) expect(words).toMatch(/\?$/);
  });
});

describe('what was learned before', () => {
  it('stands beside the new answer', () => {
    expect(learnedWords(question('gear', '3'))).toBe('gear 3');
    expect(learnedWords(question('throttle', '-6'))).toBe('about 12 m before the apex');
    expect(learnedWords(question('brake-mark', '12 m past the 100 board, left'))).toBe(
      '12 m past the 100 board, left',
    );
    expect(learnedWords(question('kerbs', 'TYRE FULL'))).toMatch(/^apex .+, exit .+$/);
    expect(learnedWords(question('gear', null))).toBeUndefined();
  });
});

describe('grades', () => {
  it('go up with the key and part right from wrong at 3', () => {
    expect(GRADES.map((g) => g.quality)).toEqual([1, 3, 4, 5]);
  });
});
