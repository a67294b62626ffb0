import { describe, expect, it } from 'vitest';
import type { BriefLine } from '../session/brief-lines';
import { beforeCards, cautionLines, leftWords } from './before-cards';

const line = (corner: number, changes: Partial<BriefLine>): BriefLine => ({
  corner,
  name: `c${corner}`,
  say: `say ${corner}`,
  changed: [],
  cautions: [],
  days: [],
  focus: false,
  ...changes,
});

describe('the last ten minutes', () => {
  const lines = [
    line(1, { changed: ['brake 8 m earlier'] }),
    line(2, { focus: true, cautions: ['wall on the left'] }),
    line(3, {}),
    line(4, { focus: true, changed: ['gear 2', 'no exit kerb'] }),
  ];

  it('are the corners to work on, then what is new', () => {
    expect(beforeCards(lines).map((c) => `${c.kind} ${c.corner}`)).toEqual([
      'focus 2',
      'focus 4',
      'changed 1',
      'changed 4',
    ]);
    expect(beforeCards(lines)[3].answer).toEqual(['gear 2', 'no exit kerb']);
  });

  it('end with what stands in the way', () => {
    expect(cautionLines(lines).map((l) => l.corner)).toEqual([2]);
    expect(beforeCards([line(3, {})])).toEqual([]);
  });

  it('put danger first, and say the days with the corner', () => {
    const danger = line(9, { cautions: ['danger, exit: wall'] });
    expect(cautionLines([...lines, danger]).map((l) => l.corner)).toEqual([9, 2]);
    const cold = line(5, { focus: true, days: ['laps 1 to 3: gear 2'] });
    expect(beforeCards([cold])[0].answer).toEqual(['say 5', 'laps 1 to 3: gear 2']);
  });

  it('run down', () => {
    expect([600, 599.2, 61, 0.4, -3].map(leftWords)).toEqual([
      '10:00',
      '10:00',
      '1:01',
      '0:01',
      '0:00',
    ]);
  });
});
