import type { components } from '../api/schema';
import type { BookView, CornerPage, Mark } from '../api/types';
import type { CircuitSummary } from '../circuit/types';
import type { KeptSession } from '../api/sessions';
import { hourWords, sessionName } from '../session/words';
import { cornerName } from '../ui/corner-name';

type Schema = components['schemas'];

/** Something that can be gone to. */
export interface Hit {
  /** What it is: book, corner, mark, note … */
  kind: string;
  name: string;
  /** Words of it that are looked through beside the name. */
  words?: string;
  href: string;
}

/** A corner of any book, and what its page notes. */
export type FoundCorner = Schema['BookSearchFoundCorner'];
/** A mark of any circuit. */
export type FoundMark = Schema['MarkSearchFoundMark'];

/** What is kept, as far as it is known here. */
export interface Known {
  books: readonly Pick<BookView, 'id' | 'name' | 'circuit' | 'car'>[];
  circuits: readonly Pick<CircuitSummary, 'id' | 'name' | 'layout'>[];
  sessions: readonly KeptSession[];
  corners: readonly FoundCorner[];
  marks: readonly FoundMark[];
  /** The book that is open, whose things come first. */
  open?: { id: string; circuitId: string; pages: readonly CornerPage[]; marks: readonly Mark[] };
}

/** Everything that can be gone to. */
export function hits({ books, circuits, sessions, corners, marks, open }: Known): Hit[] {
  return [
    ...corners.filter((corner) => corner.bookId === open?.id).flatMap((corner) => ofCorner(corner)),
    ...(open ? marksBefore(open) : []),
    ...books.map((book) => ({
      kind: 'book',
      name: book.name,
      words: `${book.circuit} ${book.car}`,
      href: `/books/${book.id}`,
    })),
    ...sessions.map((kept) => ({
      kind: 'session',
      name: sessionName(kept),
      words: `${kept.session.event}, ${hourWords(kept.session.startsAt)}`,
      href: `/books/${kept.bookId}/sessions/${kept.id}`,
    })),
    ...circuits.map(({ id, name, layout }) => ({
      kind: 'circuit',
      name,
      words: layout,
      href: `/circuits/${id}`,
    })),
    ...corners
      .filter((corner) => corner.bookId !== open?.id)
      .flatMap((corner) => ofCorner(corner, corner.book)),
    ...marks
      .filter((mark) => mark.circuitId !== open?.circuitId)
      .map(({ circuitId, circuit, label, note }) => ({
        kind: 'mark',
        name: label,
        words: `${circuit}${note && `: ${note}`}`,
        href: `/circuits/${circuitId}`,
      })),
  ];
}

const pageAt = (book: string, corner: number) => `/books/${book}/corner/${corner}`;

/** A corner and what its page notes; the book is said where it is another than the open one. */
function ofCorner({ bookId, corner, name, notes, wayOut }: FoundCorner, book?: string): Hit[] {
  const href = pageAt(bookId, corner);
  const called = cornerName({ corner, name });
  return [
    { kind: 'corner', name: called, words: book, href },
    ...[notes, wayOut].filter(Boolean).map((note) => ({
      kind: 'note',
      name: note,
      words: book ? `${called}, ${book}` : called,
      href,
    })),
  ];
}

function marksBefore({ id, pages, marks }: NonNullable<Known['open']>): Hit[] {
  return marks.flatMap((mark) => {
    const page = pageOf(pages, mark);
    return page
      ? [
          {
            kind: 'mark',
            name: mark.label,
            words: `before ${cornerName(page)}${mark.note && `: ${mark.note}`}`,
            href: pageAt(id, page.corner),
          },
        ]
      : [];
  });
}

/** The corner that a mark stands before or in: the first that ends behind it. */
const pageOf = (pages: readonly CornerPage[], mark: Mark) =>
  pages.find((page) => page.exit.trackOut_m >= mark.fromM) ?? pages[0];

const MOST = 12;

/** Those that hold all the words that are typed, the ones that begin with them first. */
export function matching(all: readonly Hit[], typed: string): Hit[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.length) return [];
  const text = (hit: Hit) => `${hit.name} ${hit.words ?? ''}`.toLowerCase();
  const rank = (hit: Hit) =>
    text(hit).startsWith(words[0]) ? 0 : text(hit).includes(` ${words[0]}`) ? 1 : 2;
  return all
    .filter((hit) => words.every((word) => text(hit).includes(word)))
    .map((hit, i) => ({ hit, i }))
    .sort((a, b) => rank(a.hit) - rank(b.hit) || a.i - b.i)
    .slice(0, MOST)
    .map(({ hit }) => hit);
}
