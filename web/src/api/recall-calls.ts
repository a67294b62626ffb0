import { answer, body, http } from './http';
import type { ImaginedLap, QuestionKind, RecallRound, StopwatchState } from './recall';

/** Calls about learning a book. */
export const recallCalls = {
  recall: (book: string, order: 'lap' | 'weakest', ahead: boolean) =>
    answer<RecallRound>(
      http.GET('/api/books/{id}/recall', {
        params: { path: { id: book }, query: { order, ahead } },
      }),
    ),
  recalled: (book: string, corner: number, kind: QuestionKind, quality: number) =>
    answer<{ due: string; interval_days: number }>(
      http.POST('/api/books/{id}/recall', {
        params: { path: { id: book } },
        body: body({ corner, kind, quality }),
      }),
    ),
  stopwatch: (book: string) =>
    answer<StopwatchState>(
      http.GET('/api/books/{id}/stopwatch', { params: { path: { id: book } } }),
    ),
  keepImagined: (book: string, taps_s: number[]) =>
    answer<ImaginedLap>(
      http.POST('/api/books/{id}/stopwatch', {
        params: { path: { id: book } },
        body: body({ taps_s }),
      }),
    ),
  removeImagined: (id: string) =>
    answer<void>(http.DELETE('/api/imagined-laps/{id}', { params: { path: { id } } })),
};
