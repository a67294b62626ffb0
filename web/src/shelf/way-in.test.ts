import { describe, expect, it } from 'vitest';
import { nextStep, stepsOf, type OnShelf } from './way-in';

const EMPTY: OnShelf = { circuits: [], cars: [], books: [], sessions: [] };
const book = { id: 'b', carId: 'c', circuitId: 'k' };
const mine: OnShelf = {
  circuits: [{ id: 'k' }, { id: 'l' }],
  cars: [{ id: 'c' }],
  books: [book],
  sessions: [],
};
const there = (shelf: OnShelf, demo: string[] = []) =>
  stepsOf(shelf, new Set(demo)).map((step) => step.there);

describe('the way in', () => {
  it('begins with the circuit where nothing is there', () => {
    const steps = stepsOf(EMPTY, new Set());
    expect(steps).toHaveLength(5);
    expect(nextStep(steps)).toBe(0);
    expect(there(EMPTY)).toEqual(['', '', '', '', '']);
    expect(steps[3].href).toBe('/new');
    expect(steps[4].href).toBe('/new');
    expect(steps[0].example).toBeUndefined();
  });

  it('says where one stands, and leads on from the newest book', () => {
    expect(there(mine)).toEqual(['2 circuits', '1 car', '1 book', '', '']);
    const steps = stepsOf(mine, new Set());
    expect(nextStep(steps)).toBe(3);
    expect(steps[3].href).toBe('/books/b/sessions');
    expect(steps[4].href).toBe('/books/b/sessions');
  });

  it('ends with the session that was driven last', () => {
    const sessions = [
      { id: 's', bookId: 'b', driven: true },
      { id: 't', bookId: 'b', driven: false },
    ];
    const steps = stepsOf({ ...mine, sessions }, new Set());
    expect(nextStep(steps)).toBe(-1);
    expect(steps[4].href).toBe('/books/b/sessions/s/debrief');
  });

  it('counts nothing of the demo, but shows it as an example', () => {
    const sessions = [{ id: 's', bookId: 'b', driven: true }];
    const shelf = { ...mine, sessions };
    const demo = ['k', 'l', 'c', 'b'];
    expect(there(shelf, demo)).toEqual(['', '', '', '', '']);
    expect(stepsOf(shelf, new Set(demo)).map((step) => step.example)).toEqual([
      '/circuits/k',
      '/books/b/car',
      '/books/b',
      '/books/b/sessions',
      '/books/b/sessions/s/debrief',
    ]);
  });
});
