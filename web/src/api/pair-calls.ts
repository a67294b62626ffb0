import { answer, http } from './http';

const of = (id: string) => ({ path: { id } });

/** Calls about laps of a circuit beside each other: of their screens alone. */
export const pairCalls = {
  library: (book: string) => answer(http.GET('/api/books/{id}/library', { params: of(book) })),
  pair: (book: string, lap: string, beside: string) =>
    answer(
      http.GET('/api/books/{id}/pair', {
        params: { path: { id: book }, query: { lap, with: beside } },
      }),
    ),
  values: (book: string, lap: string) =>
    answer(
      http.GET('/api/books/{id}/lap-values', { params: { path: { id: book }, query: { lap } } }),
    ),
  /** Pins words to a metre of a lap. */
  pin: (session: string, pin: { lap: string; at_m: number; words: string; author?: 'driver' }) =>
    answer(
      http.POST('/api/sessions/{id}/remarks', {
        params: of(session),
        body: { author: 'driver', ...pin },
      }),
    ),
  unpin: (id: string) => answer(http.DELETE('/api/debrief-notes/{id}', { params: of(id) })),
};
