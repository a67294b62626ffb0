import { answer, form, http, uploadTold } from './http';
import type { Columns, LapKind, ProposalKind, Rule, Surface, Whose } from './laps';

/** Nothing named is not said at all: what is remembered of such files holds then. */
const said = ({ mapping, headerLine }: Columns) => ({
  mapping: Object.keys(mapping).length ? mapping : undefined,
  headerLine,
});

const of = (id: string) => ({ path: { id } });

/**
 * Calls about laps, what they did, what it cost, and what comes of it: of their screens alone, so that no
 * other one loads them.
 */
export const lapCalls = {
  debrief: (session: string, whose: Whose) =>
    answer(
      http.GET('/api/sessions/{id}/debrief', {
        params: { path: { id: session }, query: whose },
      }),
    ),
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
    answer(http.POST('/api/sessions/{id}/guesses', { params: of(session), body: guess })),
  /** A file as it would be read; nothing of it is kept. */
  previewLaps: (session: string, file: File, columns: Columns) =>
    answer(
      http.POST('/api/sessions/{id}/laps/preview', {
        params: of(session),
        body: { file, ...said(columns) },
        bodySerializer: form,
      }),
    ),
  addLaps: (
    session: string,
    file: File,
    columns: Columns,
    whose: Whose,
    onshare: (share: number) => void,
    signal: AbortSignal,
  ) =>
    uploadTold(
      '/api/sessions/{id}/laps',
      session,
      form({ file, ...said(columns), ...whose }),
      onshare,
      signal,
    ),
  sayWhose: (file: string, whose: Whose) =>
    answer(http.PUT('/api/laps/{id}/whose', { params: of(file), body: whose })),
  /** What a session was driven on after all. */
  saySurface: (session: string, surface: Surface) =>
    answer(http.PUT('/api/sessions/{id}/surface', { params: of(session), body: { surface } })),
  lapLine: (file: string, lap: number) =>
    answer(http.GET('/api/laps/{id}/line', { params: { path: { id: file }, query: { lap } } })),
  renameLaps: (file: string, name: string) =>
    answer(http.PUT('/api/laps/{id}/name', { params: { path: { id: file } }, body: { name } })),
  sayKind: (file: string, number: number, kind: LapKind | null) =>
    answer(
      http.PUT('/api/laps/{id}/laps/{number}/kind', {
        params: { path: { id: file, number } },
        body: { kind },
      }),
    ),
  dismiss: (
    session: string,
    finding: { corner: number; rule: Rule; laps: string[] },
    reason: string,
  ) =>
    answer(
      http.POST('/api/sessions/{id}/dismissed', {
        params: of(session),
        body: { ...finding, reason },
      }),
    ),
  remark: (
    session: string,
    remark: { corner?: number; lap?: string; author: 'driver' | 'coach'; words: string },
  ) => answer(http.POST('/api/sessions/{id}/remarks', { params: of(session), body: remark })),
  /** Takes a remark or a dismissal back. */
  removeDebriefNote: (id: string) =>
    answer(http.DELETE('/api/debrief-notes/{id}', { params: of(id) })),
  along: (session: string, lap: string, from_m: number, to_m: number) =>
    answer(
      http.GET('/api/sessions/{id}/along', {
        params: { path: { id: session }, query: { lap, from_m, to_m } },
      }),
    ),
  carOfLaps: (session: string, mass_kg: number | undefined, gripUsed: number | undefined) =>
    answer(
      http.GET('/api/sessions/{id}/car', {
        params: { ...of(session), query: { mass_kg, gripUsed } },
      }),
    ),
  review: (session: string) =>
    answer(http.GET('/api/sessions/{id}/review', { params: of(session) })),
  keepReview: (
    session: string,
    kept: {
      parent: number;
      accepted: { corner: number; kind: ProposalKind; value?: number }[];
      calibrate: boolean;
      reason: string;
    },
  ) => answer(http.POST('/api/sessions/{id}/review', { params: of(session), body: kept })),
  noteSteps: (session: string) =>
    answer(http.POST('/api/sessions/{id}/review/steps', { params: of(session) })),
  history: (book: string, corner: number) =>
    answer(
      http.GET('/api/books/{id}/corners/{corner}/history', {
        params: { path: { id: book, corner } },
      }),
    ),
  live: (session: string) => answer(http.GET('/api/sessions/{id}/live', { params: of(session) })),
  startLive: (session: string, laps: number, seed: number, timesFaster: number) =>
    answer(
      http.POST('/api/sessions/{id}/live', {
        params: of(session),
        body: { laps, seed, timesFaster },
      }),
    ),
  stopLive: (session: string) =>
    answer(http.DELETE('/api/sessions/{id}/live', { params: of(session) })),
};
