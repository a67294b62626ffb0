import { describe, expect, it } from 'vitest';

import { testPage, testTrace } from '../test-lap';
import { hits, matching, type Known } from './search';

const known: Known = {
  books: [{ id: 'b', name: 'Harrow, dry', circuit: 'Harrowfen', car: 'Coupé' }],
  circuits: [{ id: 'c', name: 'Harrowfen', layout: 'long' }],
  sessions: [],
  open: {
    id: 'b',
    pages: [{ ...testPage(), notes: 'bump at the harrow shed' }],
    marks: testTrace().marks,
  },
};

describe('looking for something', () => {
  it('finds corners, marks and notes of the open book, books and circuits', () => {
    const all = hits(known);
    expect(matching(all, 'harrow').map((hit) => hit.kind)).toEqual(['book', 'circuit', 'note']);
    const [mark] = matching(all, '100 board');
    expect(mark).toMatchObject({ kind: 'mark', href: `/books/b/corner/${testPage().corner}` });
    expect(matching(all, testPage().name)[0].kind).toBe('corner');
  });

  it('wants all the words, in any order and case', () => {
    const all = hits(known);
    expect(matching(all, 'DRY harrow').map((hit) => hit.kind)).toEqual(['book']);
    expect(matching(all, 'dry wet')).toEqual([]);
    expect(matching(all, ' ')).toEqual([]);
  });
});
