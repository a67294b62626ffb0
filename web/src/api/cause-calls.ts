import { answer, http } from './http';
import type { Rule, Whose } from './laps';

/** Calls about what cost laps their time: of the debrief alone, so that no other screen loads them. */
export const causeCalls = {
  /** What cost the laps their time; it takes longer than what they did. */
  causes: (session: string, whose: Whose, signal?: AbortSignal) =>
    answer(
      http.GET('/api/sessions/{id}/causes', {
        params: { path: { id: session }, query: whose },
        signal,
      }),
    ),
  /** What somebody thinks cost time, before he looks. */
  guess: (session: string, guess: { corner: number; rule: Rule }) =>
    answer(
      http.POST('/api/sessions/{id}/guesses', { params: { path: { id: session } }, body: guess }),
    ),
};
