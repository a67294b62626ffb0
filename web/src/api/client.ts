import { answer, Failed, form, http, madeFrom } from './http';
import { leadCalls } from './lead-calls';
import { peopleCalls } from './people-calls';
import { putAwayCalls } from './put-away-calls';
import { recallCalls } from './recall-calls';
import type { CarFacts, KeptSheet, SetupSheet } from './answers';
import type { Decision, Session, StepView, StepWord } from './sessions';
import type { Draft, LineChoice, WalkNoteParts } from './types';
import type { CircuitEdits, ImportSettings } from '../circuit/types';

export { Failed };

export const api = {
  books: () => answer(http.GET('/api/books')),
  book: (id: string) => answer(http.GET('/api/books/{id}', { params: { path: { id } } })),
  circuits: () => answer(http.GET('/api/circuits')),
  cars: () => answer(http.GET('/api/cars')),
  view: (id: string, number: number) =>
    answer(
      http.GET('/api/books/{id}/revisions/{number}/view', { params: { path: { id, number } } }),
    ),
  newestView: (id: string) =>
    answer(http.GET('/api/books/{id}/view', { params: { path: { id } } })),
  revision: (id: string, number: number) =>
    answer(http.GET('/api/books/{id}/revisions/{number}', { params: { path: { id, number } } })),
  tryOut: (id: string, draft: Draft, signal?: AbortSignal) =>
    answer(http.POST('/api/books/{id}/try', { params: { path: { id } }, body: draft, signal })),
  change: (id: string, draft: Draft, signal?: AbortSignal) =>
    answer(http.POST('/api/books/{id}/change', { params: { path: { id } }, body: draft, signal })),
  keep: (id: string, draft: Draft, reason: string) =>
    answer(
      http.POST('/api/books/{id}/revisions', {
        params: { path: { id } },
        body: { ...draft, reason },
      }),
    ),
  createBook: (
    circuitId: string,
    carId: string,
    name: string,
    line: LineChoice,
    lineOffsets_m?: number[],
  ) => answer(http.POST('/api/books', { body: { circuitId, carId, name, line, lineOffsets_m } })),
  searchLine: (id: string, draft: Draft) =>
    answer(http.POST('/api/books/{id}/line', { params: { path: { id } }, body: draft })),
  traceLine: (id: string, file: File) =>
    answer(
      http.POST('/api/books/{id}/traced-line', {
        params: { path: { id } },
        body: { file },
        bodySerializer: form,
      }),
    ),
  schools: (id: string, corner: number, draft: Draft, signal?: AbortSignal) =>
    answer(
      http.POST('/api/books/{id}/corners/{corner}/schools', {
        params: { path: { id, corner } },
        body: draft,
        signal,
      }),
    ),
  link: (id: string, corner: number, draft: Draft, signal?: AbortSignal) =>
    answer(
      http.POST('/api/books/{id}/corners/{corner}/link', {
        params: { path: { id, corner } },
        body: draft,
        signal,
      }),
    ),
  gears: (id: string, corner: number, draft: Draft, signal?: AbortSignal) =>
    answer(
      http.POST('/api/books/{id}/corners/{corner}/gears', {
        params: { path: { id, corner } },
        body: draft,
        signal,
      }),
    ),
  offeredMarks: (id: string, corner: number, draft: Draft, signal?: AbortSignal) =>
    answer(
      http.POST('/api/books/{id}/corners/{corner}/marks', {
        params: { path: { id, corner } },
        body: draft,
        signal,
      }),
    ),
  days: (id: string, draft: Draft, signal?: AbortSignal) =>
    answer(http.POST('/api/books/{id}/days', { params: { path: { id } }, body: draft, signal })),
  purposes: (id: string, draft: Draft, signal?: AbortSignal) =>
    answer(
      http.POST('/api/books/{id}/purposes', { params: { path: { id } }, body: draft, signal }),
    ),
  cornersToFind: () => answer(http.GET('/api/search/corners')),
  marksToFind: () => answer(http.GET('/api/search/marks')),
  allSessions: () => answer(http.GET('/api/sessions')),
  sessions: (book: string) =>
    answer(http.GET('/api/books/{id}/sessions', { params: { path: { id: book } } })),
  session: (id: string) => answer(http.GET('/api/sessions/{id}', { params: { path: { id } } })),
  planSession: (book: string, session: Session) =>
    answer(
      http.POST('/api/books/{id}/sessions', {
        params: { path: { id: book } },
        body: session,
      }),
    ),
  planNext: (id: string) =>
    answer(http.POST('/api/sessions/{id}/next', { params: { path: { id } } })),
  changeSession: (id: string, session: Session, edition: number) =>
    answer(
      http.PUT('/api/sessions/{id}', {
        params: { path: { id }, header: madeFrom(edition) },
        body: session,
      }),
    ),
  weather: (book: string, at: string, hours: number) =>
    answer(
      http.GET('/api/books/{id}/weather', {
        params: { path: { id: book }, query: { at, hours } },
      }),
    ),
  prepare: (id: string) =>
    answer(http.GET('/api/sessions/{id}/preparation', { params: { path: { id } } })),
  decide: (id: string, decisions: Decision[], edition: number) =>
    answer(
      http.PUT('/api/sessions/{id}/decisions', {
        params: { path: { id }, header: madeFrom(edition) },
        body: decisions,
      }),
    ),
  issue: (id: string, reason: string, edition: number) =>
    answer(
      http.POST('/api/sessions/{id}/issue', {
        params: { path: { id }, header: madeFrom(edition) },
        body: { reason },
      }),
    ),
  brief: (id: string, length: string) =>
    answer(http.GET('/api/sessions/{id}/brief', { params: { path: { id }, query: { length } } })),
  /** The path of a lap as a line for a draft. */
  traceLap: (file: string, lap: number) =>
    answer(
      http.GET('/api/laps/{id}/traced-line', { params: { path: { id: file }, query: { lap } } }),
    ),
  ...leadCalls,
  ...peopleCalls,
  ...putAwayCalls,
  ...recallCalls,
  steps: (book: string, number: number) =>
    answer(
      http.GET('/api/books/{id}/revisions/{number}/steps', {
        params: { path: { id: book, number } },
      }),
    ),
  noteStep: (book: string, number: number, step: StepView, word: StepWord) =>
    answer(
      http.POST('/api/books/{id}/revisions/{number}/steps/{corner}', {
        params: {
          path: { id: book, number, corner: step.corner },
          header: madeFrom(step.edition),
        },
        body: { word },
      }),
    ),
  say: (words: string) => answer(http.POST('/api/radio', { body: { words } })),
  heard: (after: number) => answer(http.GET('/api/radio', { params: { query: { after } } })),
  spoken: (
    id: string,
    { conditions, line, lineOffsets_m, ownValues, setup }: Draft,
    pace: number,
    length: string,
    /** Of the run; without one what is written for warm tyres is said. */
    lap?: number,
    signal?: AbortSignal,
  ) =>
    answer(
      http.POST('/api/books/{id}/calls', {
        params: { path: { id } },
        body: { conditions, line, lineOffsets_m, ownValues, setup, pace, length, lap },
        signal,
      }),
    ),
  carOnCircuit: (id: string, draft: Draft, signal?: AbortSignal) =>
    answer(http.POST('/api/books/{id}/car', { params: { path: { id } }, body: draft, signal })),
  changedCar: (
    id: string,
    { conditions, line, lineOffsets_m, ownValues, setup }: Draft,
    changes: Record<string, number>,
    signal?: AbortSignal,
  ) =>
    answer(
      http.POST('/api/books/{id}/car/changed', {
        params: { path: { id } },
        body: { conditions, line, lineOffsets_m, ownValues, setup, changes },
        signal,
      }),
    ),
  keepChangedCar: (id: string, name: string, changes: Record<string, number>) =>
    answer(
      http.POST('/api/cars/{id}/changed', { params: { path: { id } }, body: { name, changes } }),
    ),
  compareSheets: (
    id: string,
    { conditions, line, lineOffsets_m, ownValues }: Draft,
    first: SetupSheet,
    second: SetupSheet,
  ) =>
    answer(
      http.POST('/api/books/{id}/sheets/compare', {
        params: { path: { id } },
        body: { conditions, line, lineOffsets_m, ownValues, first, second },
      }),
    ),
  beside: (id: string, other: string) =>
    answer(http.GET('/api/books/{id}/beside/{other}', { params: { path: { id, other } } })),
  sheets: (car: string) =>
    answer(http.GET('/api/cars/{id}/sheets', { params: { path: { id: car } } })),
  addSheet: (car: string, sheet: SetupSheet) =>
    answer(http.POST('/api/cars/{id}/sheets', { params: { path: { id: car } }, body: sheet })),
  changeSheet: (car: string, sheet: KeptSheet, values: SetupSheet) =>
    answer(
      http.PUT('/api/cars/{id}/sheets/{sheet}', {
        params: { path: { id: car, sheet: sheet.id }, header: madeFrom(sheet.edition) },
        body: values,
      }),
    ),
  removeSheet: (car: string, sheet: KeptSheet) =>
    answer(
      http.DELETE('/api/cars/{id}/sheets/{sheet}', {
        params: { path: { id: car, sheet: sheet.id }, header: madeFrom(sheet.edition) },
      }),
    ),
  job: (id: string) => answer(http.GET('/api/jobs/{id}', { params: { path: { id } } })),
  cancel: (id: string) => answer(http.DELETE('/api/jobs/{id}', { params: { path: { id } } })),
  importCircuit: (file: File, settings?: ImportSettings) =>
    answer(http.POST('/api/circuits/import', { body: { file, settings }, bodySerializer: form })),
  importLayout: (id: string, file: File, settings: ImportSettings, reason: string) =>
    answer(
      http.POST('/api/circuits/{id}/versions/import', {
        params: { path: { id } },
        body: { file, settings, reason },
        bodySerializer: form,
      }),
    ),
  sketchCar: (body: CarFacts, signal?: AbortSignal) =>
    answer(http.POST('/api/cars/sketch', { body, signal })),
  importCar: (file: File) =>
    answer(http.POST('/api/cars/import', { body: { file }, bodySerializer: form })),
  importBook: (file: File) =>
    answer(http.POST('/api/books/import', { body: { file }, bodySerializer: form })),
  previewCircuit: (file: File, settings: ImportSettings, signal: AbortSignal) =>
    answer(
      http.POST('/api/circuits/preview', {
        body: { file, settings },
        bodySerializer: form,
        signal,
      }),
    ),
  /** What the columns of a table of points are taken for; none where the file is no table. */
  roadColumns: (file: File, settings: ImportSettings, signal: AbortSignal) =>
    answer(
      http.POST('/api/circuits/columns', {
        body: { file, settings },
        bodySerializer: form,
        signal,
      }),
    ),
  circuit: (id: string) => answer(http.GET('/api/circuits/{id}', { params: { path: { id } } })),
  keepCircuitDraft: (id: string, edits: CircuitEdits, edition: number) =>
    answer(
      http.PUT('/api/circuits/{id}/draft', {
        params: { path: { id }, header: madeFrom(edition) },
        body: edits,
      }),
    ),
  discardCircuitDraft: (id: string, edition: number) =>
    answer(
      http.DELETE('/api/circuits/{id}/draft', {
        params: { path: { id }, header: madeFrom(edition) },
      }),
    ),
  keepLayout: (id: string, edition: number, reason: string, validFrom?: string) =>
    answer(
      http.POST('/api/circuits/{id}/versions', {
        params: { path: { id }, header: madeFrom(edition) },
        body: { reason, validFrom },
      }),
    ),
  light: (id: string, at: string) =>
    answer(http.GET('/api/circuits/{id}/light', { params: { path: { id }, query: { at } } })),
  walk: (id: string) => answer(http.GET('/api/circuits/{id}/walk', { params: { path: { id } } })),
  beginWalk: (id: string) =>
    answer(http.POST('/api/circuits/{id}/walk', { params: { path: { id } } })),
  tick: (walk: string, item: string, done: boolean) =>
    answer(
      http.PUT('/api/walks/{id}/ticks', {
        params: { path: { id: walk } },
        body: { item, done },
      }),
    ),
  walkNote: (walk: string, note: WalkNoteParts) =>
    answer(
      http.POST('/api/walks/{id}/notes', {
        params: { path: { id: walk } },
        body: note,
        bodySerializer: form,
      }),
    ),
  dropWalkNote: (walk: string, note: string) =>
    answer(http.DELETE('/api/walks/{id}/notes/{note}', { params: { path: { id: walk, note } } })),
  walkWaypoints: (walk: string, file: File) =>
    answer(
      http.POST('/api/walks/{id}/waypoints', {
        params: { path: { id: walk } },
        body: { file },
        bodySerializer: form,
      }),
    ),
  finishWalk: (walk: string, edition: number, reason: string, validFrom?: string) =>
    answer(
      http.POST('/api/walks/{id}/finish', {
        params: { path: { id: walk }, header: madeFrom(edition) },
        body: { reason, validFrom },
      }),
    ),
  moveLayout: (book: string, circuitId: string) =>
    answer(
      http.POST('/api/books/{id}/layout', {
        params: { path: { id: book } },
        body: { circuitId },
      }),
    ),
  checks: (book: string) =>
    answer(http.GET('/api/books/{id}/checks', { params: { path: { id: book } } })),
  clearCheck: (book: string, corner: number) =>
    answer(
      http.POST('/api/books/{id}/checks/{corner}/cleared', {
        params: { path: { id: book, corner } },
      }),
    ),
};
