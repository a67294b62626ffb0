import { answer, body, Failed, form, http, madeFrom, upload } from './http';
import { lapCalls } from './lap-calls';
import { leadCalls } from './lead-calls';
import { recallCalls } from './recall-calls';
import type {
  Beside,
  CarOnCircuit,
  CornerGears,
  KeptSheet,
  LinkSweep,
  OnDay,
  SchoolLine,
  SetupSheet,
  SheetComparison,
  SpokenLap,
} from './answers';
import type {
  Brief,
  Decision,
  Heard,
  KeptSession,
  Prepared,
  Purposes,
  RadioMessage,
  Session,
  StepView,
  Weather,
} from './sessions';
import type { Conditions, LineChoice, OwnValues, Revision, View } from './types';
import type {
  CheckLine,
  CircuitEdits,
  CircuitPreview,
  CircuitSummary,
  CircuitView,
  ImportSettings,
  LayoutChange,
  LightView,
  WalkView,
} from '../circuit/types';

export { Failed };

export interface BookView {
  id: string;
  name: string;
  circuitId: string;
  circuit: string;
  layout: string;
  layoutVersion: number;
  newestCircuitId: string;
  newestLayoutVersion: number;
  carId: string;
  car: string;
  revisions: RevisionLine[];
}

export interface RevisionLine {
  number: number;
  parent?: number;
  createdAt: string;
  reason: string;
  time_s: number;
}

export interface Named {
  id: string;
  name: string;
}

export interface Imported extends Named {
  length_m?: number;
  corners?: number;
  warnings: string[];
}

/** What a revision is computed from. */
export interface Draft {
  parent: number;
  conditions: Conditions;
  line: LineChoice;
  ownValues: OwnValues[];
  setup?: SetupSheet;
}

export type JobView = {
  id: string;
  status: string;
  progress: number;
  result?: { id: string };
  problem?: string;
};

export const api = {
  books: () => answer<BookView[]>(http.GET('/api/books')),
  book: (id: string) => answer<BookView>(http.GET('/api/books/{id}', { params: { path: { id } } })),
  circuits: () => answer<CircuitSummary[]>(http.GET('/api/circuits')),
  cars: () => answer<Named[]>(http.GET('/api/cars')),
  view: (id: string, number: number) =>
    answer<View>(
      http.GET('/api/books/{id}/revisions/{number}/view', { params: { path: { id, number } } }),
    ),
  revision: (id: string, number: number) =>
    answer<Revision>(
      http.GET('/api/books/{id}/revisions/{number}', { params: { path: { id, number } } }),
    ),
  tryOut: (id: string, draft: Draft) =>
    answer<View>(http.POST('/api/books/{id}/try', { params: { path: { id } }, body: body(draft) })),
  keep: (id: string, draft: Draft, reason: string) =>
    answer<RevisionLine>(
      http.POST('/api/books/{id}/revisions', {
        params: { path: { id } },
        body: body({ ...draft, reason }),
      }),
    ),
  createBook: (circuitId: string, carId: string, name: string, line: LineChoice) =>
    answer<{ id?: string; job?: string }>(
      http.POST('/api/books', { body: body({ circuitId, carId, name, line }) }),
    ),
  searchLine: (id: string, draft: Draft) =>
    answer<{ id?: string; job?: string }>(
      http.POST('/api/books/{id}/line', { params: { path: { id } }, body: body(draft) }),
    ),
  schools: (id: string, corner: number, draft: Draft) =>
    answer<SchoolLine[]>(
      http.POST('/api/books/{id}/corners/{corner}/schools', {
        params: { path: { id, corner } },
        body: body(draft),
      }),
    ),
  link: (id: string, corner: number, draft: Draft) =>
    answer<LinkSweep>(
      http.POST('/api/books/{id}/corners/{corner}/link', {
        params: { path: { id, corner } },
        body: body(draft),
      }),
    ),
  gears: (id: string, corner: number, draft: Draft) =>
    answer<CornerGears>(
      http.POST('/api/books/{id}/corners/{corner}/gears', {
        params: { path: { id, corner } },
        body: body(draft),
      }),
    ),
  days: (id: string, draft: Draft) =>
    answer<OnDay[]>(
      http.POST('/api/books/{id}/days', { params: { path: { id } }, body: body(draft) }),
    ),
  purposes: (id: string, draft: Draft) =>
    answer<Purposes>(
      http.POST('/api/books/{id}/purposes', { params: { path: { id } }, body: body(draft) }),
    ),
  allSessions: () => answer<KeptSession[]>(http.GET('/api/sessions')),
  sessions: (book: string) =>
    answer<KeptSession[]>(http.GET('/api/books/{id}/sessions', { params: { path: { id: book } } })),
  session: (id: string) =>
    answer<KeptSession>(http.GET('/api/sessions/{id}', { params: { path: { id } } })),
  planSession: (book: string, session: Session) =>
    answer<KeptSession>(
      http.POST('/api/books/{id}/sessions', {
        params: { path: { id: book } },
        body: body(session),
      }),
    ),
  planNext: (id: string) =>
    answer<KeptSession>(http.POST('/api/sessions/{id}/next', { params: { path: { id } } })),
  changeSession: (id: string, session: Session, edition: number) =>
    answer<KeptSession>(
      http.PUT('/api/sessions/{id}', {
        params: { path: { id }, header: madeFrom(edition) },
        body: body(session),
      }),
    ),
  removeSession: (id: string, edition: number) =>
    answer<void>(
      http.DELETE('/api/sessions/{id}', {
        params: { path: { id }, header: madeFrom(edition) },
      }),
    ),
  weather: (book: string, at: string, hours: number) =>
    answer<Weather>(
      http.GET('/api/books/{id}/weather', {
        params: { path: { id: book }, query: { at, hours } },
      }),
    ),
  prepare: (id: string) =>
    answer<Prepared>(http.GET('/api/sessions/{id}/preparation', { params: { path: { id } } })),
  decide: (id: string, decisions: Decision[], edition: number) =>
    answer<Prepared>(
      http.PUT('/api/sessions/{id}/decisions', {
        params: { path: { id }, header: madeFrom(edition) },
        body: body(decisions),
      }),
    ),
  issue: (id: string, reason: string, edition: number) =>
    answer<KeptSession>(
      http.POST('/api/sessions/{id}/issue', {
        params: { path: { id }, header: madeFrom(edition) },
        body: { reason },
      }),
    ),
  brief: (id: string, length: string) =>
    answer<Brief>(
      http.GET('/api/sessions/{id}/brief', { params: { path: { id }, query: { length } } }),
    ),
  ...lapCalls,
  ...leadCalls,
  ...recallCalls,
  steps: (book: string, number: number) =>
    answer<StepView[]>(
      http.GET('/api/books/{id}/revisions/{number}/steps', {
        params: { path: { id: book, number } },
      }),
    ),
  noteStep: (book: string, number: number, step: StepView, word: string) =>
    answer<StepView[]>(
      http.POST('/api/books/{id}/revisions/{number}/steps/{corner}', {
        params: {
          path: { id: book, number, corner: step.corner },
          header: madeFrom(step.edition),
        },
        body: { word },
      }),
    ),
  say: (words: string) => answer<RadioMessage>(http.POST('/api/radio', { body: { words } })),
  heard: (after: number) => answer<Heard>(http.GET('/api/radio', { params: { query: { after } } })),
  spoken: (
    id: string,
    { conditions, line, ownValues, setup }: Draft,
    pace: number,
    length: string,
  ) =>
    answer<SpokenLap>(
      http.POST('/api/books/{id}/calls', {
        params: { path: { id } },
        body: body({ conditions, line, ownValues, setup, pace, length }),
      }),
    ),
  carOnCircuit: (id: string, draft: Draft) =>
    answer<CarOnCircuit>(
      http.POST('/api/books/{id}/car', { params: { path: { id } }, body: body(draft) }),
    ),
  compareSheets: (
    id: string,
    { conditions, line, ownValues }: Draft,
    first: SetupSheet,
    second: SetupSheet,
  ) =>
    answer<SheetComparison>(
      http.POST('/api/books/{id}/sheets/compare', {
        params: { path: { id } },
        body: body({ conditions, line, ownValues, first, second }),
      }),
    ),
  beside: (id: string, other: string) =>
    answer<Beside>(http.GET('/api/books/{id}/beside/{other}', { params: { path: { id, other } } })),
  sheets: (car: string) =>
    answer<KeptSheet[]>(http.GET('/api/cars/{id}/sheets', { params: { path: { id: car } } })),
  addSheet: (car: string, sheet: SetupSheet) =>
    answer<KeptSheet>(
      http.POST('/api/cars/{id}/sheets', { params: { path: { id: car } }, body: body(sheet) }),
    ),
  changeSheet: (car: string, sheet: KeptSheet, values: SetupSheet) =>
    answer<KeptSheet>(
      http.PUT('/api/cars/{id}/sheets/{sheet}', {
        params: { path: { id: car, sheet: sheet.id }, header: madeFrom(sheet.edition) },
        body: body(values),
      }),
    ),
  removeSheet: (car: string, sheet: KeptSheet) =>
    answer<void>(
      http.DELETE('/api/cars/{id}/sheets/{sheet}', {
        params: { path: { id: car, sheet: sheet.id }, header: madeFrom(sheet.edition) },
      }),
    ),
  job: (id: string) => answer<JobView>(http.GET('/api/jobs/{id}', { params: { path: { id } } })),
  cancel: (id: string) =>
    answer<JobView>(http.DELETE('/api/jobs/{id}', { params: { path: { id } } })),
  importCircuit: (file: File, settings?: ImportSettings) =>
    upload<Imported>('/api/circuits/import', form(file, settings)),
  importLayout: (id: string, file: File, settings: ImportSettings, reason: string) => {
    const data = form(file, settings);
    data.append('reason', reason);
    return upload<{ id: string; version: number }>(`/api/circuits/${id}/versions/import`, data);
  },
  importCar: (file: File) => upload<Imported>('/api/cars/import', form(file)),
  importBook: (file: File) => upload<{ id: string }>('/api/books/import', form(file)),
  previewCircuit: (file: File, settings: ImportSettings, signal: AbortSignal) =>
    upload<CircuitPreview>('/api/circuits/preview', form(file, settings), signal),
  circuit: (id: string) =>
    answer<CircuitView>(http.GET('/api/circuits/{id}', { params: { path: { id } } })),
  keepCircuitDraft: (id: string, edits: CircuitEdits, edition: number) =>
    answer<{ changes: LayoutChange[]; edition: number }>(
      http.PUT('/api/circuits/{id}/draft', {
        params: { path: { id }, header: madeFrom(edition) },
        body: body(edits),
      }),
    ),
  discardCircuitDraft: (id: string, edition: number) =>
    answer<void>(
      http.DELETE('/api/circuits/{id}/draft', {
        params: { path: { id }, header: madeFrom(edition) },
      }),
    ),
  keepLayout: (id: string, edition: number, reason: string, validFrom?: string) =>
    answer<{ id: string; version: number }>(
      http.POST('/api/circuits/{id}/versions', {
        params: { path: { id }, header: madeFrom(edition) },
        body: body({ reason, validFrom }),
      }),
    ),
  light: (id: string, at: string) =>
    answer<LightView>(
      http.GET('/api/circuits/{id}/light', { params: { path: { id }, query: { at } } }),
    ),
  walk: (id: string) =>
    answer<WalkView>(http.GET('/api/circuits/{id}/walk', { params: { path: { id } } })),
  beginWalk: (id: string) =>
    answer<WalkView>(http.POST('/api/circuits/{id}/walk', { params: { path: { id } } })),
  tick: (walk: string, item: string, done: boolean) =>
    answer<WalkView>(
      http.PUT('/api/walks/{id}/ticks', {
        params: { path: { id: walk } },
        body: body({ item, done }),
      }),
    ),
  walkNote: (walk: string, note: FormData) => upload<WalkView>(`/api/walks/${walk}/notes`, note),
  dropWalkNote: (walk: string, note: string) =>
    answer<WalkView>(
      http.DELETE('/api/walks/{id}/notes/{note}', { params: { path: { id: walk, note } } }),
    ),
  walkWaypoints: (walk: string, file: File) =>
    upload<WalkView>(`/api/walks/${walk}/waypoints`, form(file)),
  finishWalk: (walk: string, edition: number, reason: string, validFrom?: string) =>
    answer<{ circuitId: string; version: number; changes: LayoutChange[] }>(
      http.POST('/api/walks/{id}/finish', {
        params: { path: { id: walk }, header: madeFrom(edition) },
        body: body({ reason, validFrom }),
      }),
    ),
  moveLayout: (book: string, circuitId: string) =>
    answer<{ revision: number; changes: LayoutChange[]; checks: CheckLine[] }>(
      http.POST('/api/books/{id}/layout', {
        params: { path: { id: book } },
        body: body({ circuitId }),
      }),
    ),
  checks: (book: string) =>
    answer<CheckLine[]>(http.GET('/api/books/{id}/checks', { params: { path: { id: book } } })),
  clearCheck: (book: string, corner: number) =>
    answer<CheckLine[]>(
      http.POST('/api/books/{id}/checks/{corner}/cleared', {
        params: { path: { id: book, corner } },
      }),
    ),
};
