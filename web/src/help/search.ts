import type { BookView, CornerPage, Mark } from '../api/types';
import type { CircuitSummary } from '../circuit/types';
import type { KeptSession } from '../api/sessions';
import { hourWords, sessionName } from '../session/words';
import { cornerName } from '../ui/corner-name';

/** Something that can be gone to. */
export interface Hit {
  /** What it is: book, corner, mark, note … */
  kind: string;
  name: string;
  /** Words of it that are looked through beside the name. */
  words?: string;
  href: string;
}

/** What is kept, as far as it is known here. */
export interface Known {
  books: readonly Pick<BookView, 'id' | 'name' | 'circuit' | 'car'>[];
  circuits: readonly Pick<CircuitSummary, 'id' | 'name' | 'layout'>[];
  sessions: readonly KeptSession[];
  /** The book that is open. */
  open?: { id: string; pages: readonly CornerPage[]; marks: readonly Mark[] };
}

/** Everything that can be gone to. */
export function hits({ books, circuits, sessions, open }: Known): Hit[] {
  return [
    ...(open ? inBook(open) : []),
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
  ];
}

function inBook({ id, pages, marks }: NonNullable<Known['open']>): Hit[] {
  const at = (corner: number) => `/books/${id}/corner/${corner}`;
  return [
    ...pages.map((page) => ({ kind: 'corner', name: cornerName(page), href: at(page.corner) })),
    ...marks.flatMap((mark) => {
      const page = pageOf(pages, mark);
      return page
        ? [
            {
              kind: 'mark',
              name: mark.label,
              words: `before ${cornerName(page)}${mark.note && `: ${mark.note}`}`,
              href: at(page.corner),
            },
          ]
        : [];
    }),
    ...pages.flatMap((page) =>
      [page.notes, page.wayOut].flatMap((note) =>
        note ? [{ kind: 'note', name: note, words: cornerName(page), href: at(page.corner) }] : [],
      ),
    ),
  ];
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
