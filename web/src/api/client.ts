import createClient from 'openapi-fetch';
import type { paths } from './schema';
import type { Conditions, OwnValues, Problem, Revision, View } from './types';

const http = createClient<paths>({ baseUrl: '' });

/** An answer that was not good, with what the server says about it. */
export class Failed extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.problem = problem;
  }
}

const UNREACHABLE: Problem = {
  title: 'Marvek does not answer',
  detail: 'The server cannot be reached. Is ./marvek start still running? What you typed is kept.',
  status: 0,
};

async function answer<T>(call: Promise<{ data?: unknown; error?: unknown }>): Promise<T> {
  let result;
  try {
    result = await call;
  } catch {
    throw new Failed(UNREACHABLE);
  }
  if (result.error !== undefined) {
    throw new Failed(result.error as Problem);
  }
  return result.data as T;
}

export interface BookView {
  id: string;
  name: string;
  circuitId: string;
  circuit: string;
  layout: string;
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
  line: 'smooth' | 'centreline';
  ownValues: OwnValues[];
}

export type JobView = {
  id: string;
  status: string;
  progress: number;
  result?: { id: string };
  problem?: string;
};

/** A JSON body whose inner members the generated schema leaves open. */
const body = (value: unknown) => value as never;

function form(file: File): FormData {
  const data = new FormData();
  data.append('file', file);
  return data;
}

async function upload<T>(path: string, file: File): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, { method: 'POST', body: form(file) });
  } catch {
    throw new Failed(UNREACHABLE);
  }
  const json = await response.json();
  if (!response.ok) {
    throw new Failed(json as Problem);
  }
  return json as T;
}

export const api = {
  books: () => answer<BookView[]>(http.GET('/api/books')),
  book: (id: string) => answer<BookView>(http.GET('/api/books/{id}', { params: { path: { id } } })),
  circuits: () => answer<(Named & { length_m: number })[]>(http.GET('/api/circuits')),
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
  createBook: (circuitId: string, carId: string, name: string) =>
    answer<{ id?: string; job?: string }>(
      http.POST('/api/books', { body: body({ circuitId, carId, name }) }),
    ),
  job: (id: string) => answer<JobView>(http.GET('/api/jobs/{id}', { params: { path: { id } } })),
  cancel: (id: string) =>
    answer<JobView>(http.DELETE('/api/jobs/{id}', { params: { path: { id } } })),
  importCircuit: (file: File) => upload<Imported>('/api/circuits/import', file),
  importCar: (file: File) => upload<Imported>('/api/cars/import', file),
  importBook: (file: File) => upload<{ id: string }>('/api/books/import', file),
};
