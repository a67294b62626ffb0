import { answer, body, http } from './http';
import type { QuestionKind, RecallRound } from './recall';

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
};
