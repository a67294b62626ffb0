import { describe, expect, it } from 'vitest';

import { testPage, testTrace } from '../test-lap';
import { hits, matching, type Known } from './search';

const known: Known = {
  books: [{ id: 'b', name: 'Harrow, dry', circuit: 'Harrowfen', car: 'Coupé' }],
  circuits: [{ id: 'c', name: 'Harrowfen', layout: 'long' }],
  sessions: [],
  corners: [
    { bookId: 'o', book: 'Skar', corner: 2, name: '', notes: 'wet under the trees', wayOut: '' },
    {
      bookId: 'b',
      book: 'Harrow, dry',
      corner: testPage().corner,
      name: testPage().name,
      notes: 'bump at the harrow shed',
      wayOut: '',
    },
  ],
  marks: [
    { circuitId: 'c', circuit: 'Harrowfen', label: '100 board', note: '' },
    { circuitId: 's', circuit: 'Skar', label: '100 board', note: 'leans' },
  ],
  open: { id: 'b', circuitId: 'c', pages: [testPage()], marks: testTrace().marks },
};

describe('looking for something', () => {
  it('finds corners, marks and notes of the open book, books and circuits', () => {
    const all = hits(known);
    expect(matching(all, 'harrow').map((hit) => hit.kind)).toEqual(['book', 'circuit', 'note']);
    const [mark] = matching(all, '100 board');
    expect(mark).toMatchObject({ kind: 'mark', href: `/books/b/corner/${testPage().corner}` });
    expect(matching(all, testPage().name)[0].kind).toBe('corner');
  });

  it('finds corners, notes and marks of all other books and circuits, and says whose they are', () => {
    const all = hits(known);
    expect(matching(all, 'turn 2')[0]).toEqual({
      kind: 'corner',
      name: 'turn 2',
      words: 'Skar',
      href: '/books/o/corner/2',
    });
    expect(matching(all, 'wet trees')[0]).toMatchObject({
      kind: 'note',
      words: 'turn 2, Skar',
      href: '/books/o/corner/2',
    });
    // The open book's come first; its circuit's are not there twice.
    expect(matching(all, '100 board').map((hit) => hit.href)).toEqual([
      `/books/b/corner/${testPage().corner}`,
      '/circuits/s',
    ]);
    expect(hits({ ...known, open: undefined }).filter((hit) => hit.kind === 'mark')).toHaveLength(
      2,
    );
  });

  it('wants all the words, in any order and case', () => {
    const all = hits(known);
    expect(matching(all, 'DRY harrow').map((hit) => hit.kind)).toEqual(['book']);
    expect(matching(all, 'dry wet')).toEqual([]);
    expect(matching(all, ' ')).toEqual([]);
  });
});
