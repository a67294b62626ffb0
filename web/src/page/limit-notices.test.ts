import { describe, expect, it } from 'vitest';
import { testPage } from '../test-lap';
import { countsIn, noticesIn, noticeWords, type LimitNotice } from './limit-notices';

const metres = (m: number) => `${m} m`;
const NOTICE: LimitNotice = {
  from_m: 300,
  to_m: 350,
  side: 'right',
  wheels: 2,
  line: 'white-line',
  consequence: { time_s: 5 },
  sessions: ['qualifying', 'race'],
};
const LAP = { length_m: 1000, closed: true };

describe('a notice of track limits', () => {
  it('says where, how many wheels, which line and what follows', () => {
    expect(noticeWords(NOTICE, testPage(), LAP, metres, metres)).toBe(
      'right, 20 m before the apex to 30 m past the apex: two wheels stay inside the white line, ' +
        'else 5 s are added (qualifying, race)',
    );
    const painted: LimitNotice = {
      ...NOTICE,
      wheels: 4,
      line: { beyond_m: -1.2 },
      backBefore_m: 340,
      consequence: 'lap-deleted',
      sessions: undefined,
    };
    expect(noticeWords(painted, testPage(), LAP, metres, metres)).toBe(
      'right, 20 m before the apex to 30 m past the apex: no wheel over a line 1.2 m inside the ' +
        'white line (run-off may be used if back before 20 m past the apex), else the lap is deleted',
    );
  });
  it('counts in the sessions it names, and wherever it names none', () => {
    expect(countsIn(NOTICE, 'race')).toBe(true);
    expect(countsIn(NOTICE, 'practice')).toBe(false);
    expect(countsIn(NOTICE, 'simulator')).toBe(true);
    expect(countsIn({ ...NOTICE, sessions: undefined }, 'practice')).toBe(true);
  });
  it('is said in the brief of such a session', () => {
    const edge = { allowed_m: 1 };
    const limits = {
      rule: 'free' as const,
      entry: edge,
      apex: edge,
      exit: edge,
      notices: [NOTICE],
    };
    const page = testPage({ limits });
    expect(noticesIn(page, 'race', metres)).toEqual([
      'limits right: two wheels stay inside the white line, else 5 s are added',
    ]);
    expect(noticesIn(page, 'practice', metres)).toEqual([]);
  });
});
