import { describe, expect, it } from 'vitest';
import { goesWords } from './away-words';

describe('what goes with a stored thing', () => {
  it('is counted in words', () => {
    expect(goesWords([])).toBe('');
    expect(goesWords([{ what: 'revision', count: 1 }])).toBe(' and 1 revision');
    expect(
      goesWords([
        { what: 'revision', count: 3 },
        { what: 'session', count: 1 },
        { what: 'file of laps', count: 2 },
      ]),
    ).toBe(', 3 revisions, 1 session and 2 files of laps');
  });
});
