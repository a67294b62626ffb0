import { answer, http } from './http';
import type { QuestionKind } from './recall';

import type { Help, Press } from './runs';

/** Calls about learning a book. */
export const recallCalls = {
  recall: (book: string, order: 'lap' | 'weakest', ahead: boolean) =>
    answer(
      http.GET('/api/books/{id}/recall', {
        params: { path: { id: book }, query: { order, ahead } },
      }),
    ),
  recalled: (book: string, corner: number, kind: QuestionKind, quality: number) =>
    answer(
      http.POST('/api/books/{id}/recall', {
        params: { path: { id: book } },
        body: { corner, kind, quality },
      }),
    ),
  stopwatch: (book: string) =>
    answer(http.GET('/api/books/{id}/stopwatch', { params: { path: { id: book } } })),
  keepImagined: (book: string, taps_s: number[]) =>
    answer(
      http.POST('/api/books/{id}/stopwatch', {
        params: { path: { id: book } },
        body: { taps_s },
      }),
    ),
  runs: (book: string) =>
    answer(http.GET('/api/books/{id}/runs', { params: { path: { id: book } } })),
  keepRun: (
    book: string,
    run: { revision: number; speedShare: number; help: Help; until_s: number; presses: Press[] },
  ) => answer(http.POST('/api/books/{id}/runs', { params: { path: { id: book } }, body: run })),
  removeRun: (id: string) => answer(http.DELETE('/api/runs/{id}', { params: { path: { id } } })),
  removeImagined: (id: string) =>
    answer(http.DELETE('/api/imagined-laps/{id}', { params: { path: { id } } })),
};
