import { answer, body, form, http, upload, uploadTold } from './http';
import type {
  Along,
  Debrief,
  Dismissed,
  HistoryEntry,
  LapFile,
  LapKind,
  LapPreview,
  LapRemark,
  LiveState,
  Mapping,
  MovedStep,
  ProposalKind,
  Review,
  Rule,
} from './laps';
import type { RevisionLine } from './client';

function withMapping(file: File, mapping: Mapping): FormData {
  const data = form(file);
  if (Object.keys(mapping).length) data.append('mapping', JSON.stringify(mapping));
  return data;
}

const of = (id: string) => ({ path: { id } });

/** Calls about laps, what they did, and what comes of it. */
export const lapCalls = {
  debrief: (session: string) =>
    answer<Debrief>(http.GET('/api/sessions/{id}/debrief', { params: of(session) })),
  previewLaps: (file: File, mapping: Mapping) =>
    upload<LapPreview>('/api/laps/preview', withMapping(file, mapping)),
  addLaps: (
    session: string,
    file: File,
    mapping: Mapping,
    onshare: (share: number) => void,
    signal: AbortSignal,
  ) =>
    uploadTold<LapFile>(
      `/api/sessions/${session}/laps`,
      withMapping(file, mapping),
      onshare,
      signal,
    ),
  lapLine: (file: string, lap: number) =>
    answer<{ step_m: number; offset_m: number[] }>(
      http.GET('/api/laps/{id}/line', { params: { path: { id: file }, query: { lap } } }),
    ),
  sayKind: (file: string, number: number, kind: LapKind | null) =>
    answer<void>(
      http.PUT('/api/laps/{id}/laps/{number}/kind', {
        params: { path: { id: file, number } },
        body: body({ kind }),
      }),
    ),
  removeLaps: (id: string) => answer<void>(http.DELETE('/api/laps/{id}', { params: of(id) })),
  dismiss: (
    session: string,
    finding: { corner: number; rule: Rule; laps: string[] },
    reason: string,
  ) =>
    answer<Dismissed>(
      http.POST('/api/sessions/{id}/dismissed', {
        params: of(session),
        body: body({ ...finding, reason }),
      }),
    ),
  remark: (
    session: string,
    remark: { corner?: number; lap?: string; author: 'driver' | 'coach'; words: string },
  ) =>
    answer<LapRemark>(
      http.POST('/api/sessions/{id}/remarks', { params: of(session), body: body(remark) }),
    ),
  /** Takes a remark or a dismissal back. */
  removeDebriefNote: (id: string) =>
    answer<void>(http.DELETE('/api/debrief-notes/{id}', { params: of(id) })),
  along: (session: string, lap: string, from_m: number, to_m: number) =>
    answer<Along>(
      http.GET('/api/sessions/{id}/along', {
        params: { path: { id: session }, query: { lap, from_m, to_m } },
      }),
    ),
  review: (session: string) =>
    answer<Review>(http.GET('/api/sessions/{id}/review', { params: of(session) })),
  keepReview: (
    session: string,
    kept: {
      parent: number;
      accepted: { corner: number; kind: ProposalKind; value?: number }[];
      calibrate: boolean;
      reason: string;
    },
  ) =>
    answer<RevisionLine>(
      http.POST('/api/sessions/{id}/review', { params: of(session), body: body(kept) }),
    ),
  noteSteps: (session: string) =>
    answer<MovedStep[]>(http.POST('/api/sessions/{id}/review/steps', { params: of(session) })),
  history: (book: string, corner: number) =>
    answer<HistoryEntry[]>(
      http.GET('/api/books/{id}/corners/{corner}/history', {
        params: { path: { id: book, corner } },
      }),
    ),
  live: (session: string) =>
    answer<LiveState>(http.GET('/api/sessions/{id}/live', { params: of(session) })),
  startLive: (session: string, laps: number, seed: number, timesFaster: number) =>
    answer<LiveState>(
      http.POST('/api/sessions/{id}/live', {
        params: of(session),
        body: body({ laps, seed, timesFaster }),
      }),
    ),
  stopLive: (session: string) =>
    answer<LiveState>(http.DELETE('/api/sessions/{id}/live', { params: of(session) })),
};
