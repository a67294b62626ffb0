import { answer, body, http } from './http';
import type { ImaginedLap, QuestionKind, RecallRound, StopwatchState } from './recall';

import type { Help, Press, Run, Runs } from './runs';

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
  runs: (book: string) =>
    answer<Runs>(http.GET('/api/books/{id}/runs', { params: { path: { id: book } } })),
  keepRun: (
    book: string,
    run: { revision: number; speedShare: number; help: Help; until_s: number; presses: Press[] },
  ) =>
    answer<Run>(
      http.POST('/api/books/{id}/runs', { params: { path: { id: book } }, body: body(run) }),
    ),
  removeRun: (id: string) =>
    answer<void>(http.DELETE('/api/runs/{id}', { params: { path: { id } } })),
  removeImagined: (id: string) =>
    answer<void>(http.DELETE('/api/imagined-laps/{id}', { params: { path: { id } } })),
};
