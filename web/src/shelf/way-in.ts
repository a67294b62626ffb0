import type { KeptSession } from '../api/sessions';
import type { BookView } from '../api/types';

/** One of the five steps from nothing to a lap that is looked back at. */
export interface WayStep {
  name: string;
  /** What it takes. */
  takes: string;
  /** Where it is done. */
  href: string;
  action: string;
  /** How many of one's own there are already, in words; empty where none is. */
  there: string;
  /** Where the demo shows it; without one where it is put away. */
  example?: string;
}

interface Thing {
  id: string;
}
type Book = Pick<BookView, 'id' | 'carId' | 'circuitId'>;
type Session = Pick<KeptSession, 'id' | 'bookId' | 'driven'>;

/** What is on the shelf. */
export interface OnShelf {
  circuits: Thing[];
  cars: Thing[];
  books: Book[];
  sessions: Session[];
}

const counted = (n: number, one: string) => (n === 0 ? '' : `${n} ${one}${n === 1 ? '' : 's'}`);

/** What is one's own, or else what is the demo's. */
function part(
  { circuits, cars, books, sessions }: OnShelf,
  demo: ReadonlySet<string>,
  wanted: boolean,
) {
  const isDemo = ({ id }: Thing) => demo.has(id) === wanted;
  return {
    circuits: circuits.filter(isDemo),
    cars: cars.filter(isDemo),
    books: books.filter(isDemo),
    sessions: sessions.filter((session) => demo.has(session.bookId) === wanted),
  };
}

/** Where a session is planned, and the last driven one is looked back at. */
function rooms({ sessions }: OnShelf, book: Book | undefined) {
  const driven = sessions.filter((session) => session.driven).at(-1);
  return {
    plan: book && `/books/${book.id}/sessions`,
    back: driven && `/books/${driven.bookId}/sessions/${driven.id}/debrief`,
    book: book && `/books/${book.id}`,
    car: book && `/books/${book.id}/car`,
    circuit: book && `/circuits/${book.circuitId}`,
  };
}

/**
 * The five steps, and how far somebody has come.
 *
 * @param demo ids of what came with the demo: it is an example, and nobody's progress
 */
export function stepsOf(shelf: OnShelf, demo: ReadonlySet<string>): WayStep[] {
  const own = part(shelf, demo, false);
  const shown = part(shelf, demo, true);
  const mine = rooms(own, own.books.at(-1));
  const theirs = rooms(shown, shown.books[0]);
  const driven = own.sessions.filter((session) => session.driven).length;
  return [
    {
      name: 'Your circuit',
      takes: 'A track of your telephone once round, or a surveyed line.',
      href: '/circuits/new',
      action: 'Bring in a circuit',
      there: counted(own.circuits.length, 'circuit'),
      example: theirs.circuit,
    },
    {
      name: 'Your car',
      takes: 'Ten facts that you know of it, or its file.',
      href: '/cars/new',
      action: 'Make a car',
      there: counted(own.cars.length, 'car'),
      example: theirs.car,
    },
    {
      name: 'Your book',
      takes: 'One circuit, one car: the pages are computed in seconds.',
      href: '/new',
      action: 'Make a book',
      there: counted(own.books.length, 'book'),
      example: theirs.book,
    },
    {
      name: 'Drive',
      takes: 'Plan the session, read its brief, and work up from the safe marks.',
      href: mine.plan ?? '/new',
      action: 'Plan a session',
      there: counted(own.sessions.length, 'session'),
      example: theirs.plan,
    },
    {
      name: 'Look back',
      takes: 'The logger’s file of the session: what cost time, and the next revision.',
      href: mine.back ?? mine.plan ?? '/new',
      action: 'Look back',
      there: driven ? `${driven} driven` : '',
      example: theirs.back,
    },
  ];
}

/** Index of the first step that nothing is there of; −1 once all are done. */
export const nextStep = (steps: WayStep[]) => steps.findIndex((step) => step.there === '');

/** Ids to look things up in; never changed. */
export const setOf = (ids: string[]): ReadonlySet<string> => new Set(ids);
