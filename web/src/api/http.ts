import createClient from 'openapi-fetch';
import type { ImportSettings } from '../circuit/types';
import type { paths } from './schema';
import type { Problem } from './types';

export const http = createClient<paths>({ baseUrl: '' });

/** An answer that was not good, with what the server says about it. */
export class Failed extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.problem = problem;
  }
}

export const UNREACHABLE: Problem = {
  title: 'Marvek does not answer',
  detail: 'The server cannot be reached. Is ./marvek start still running? What you typed is kept.',
  status: 0,
};

export async function answer<T>(call: Promise<{ data?: unknown; error?: unknown }>): Promise<T> {
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

/** The edition that a change was made from; when it is not the stored one any more, it is refused. */
export const madeFrom = (edition: number) => ({ 'If-Match': `"${edition}"` });

/** A JSON body whose inner members the generated schema leaves open. */
export const body = (value: unknown) => value as never;

export function form(file: File, settings?: ImportSettings): FormData {
  const data = new FormData();
  data.append('file', file);
  if (settings) data.append('settings', JSON.stringify(settings));
  return data;
}

export async function upload<T>(path: string, body: FormData, signal?: AbortSignal): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, { method: 'POST', body, signal });
  } catch (e) {
    if ((e as Error).name === 'AbortError') throw e;
    throw new Failed(UNREACHABLE);
  }
  const json = await response.json();
  if (!response.ok) {
    throw new Failed(json as Problem);
  }
  return json as T;
}

/**
 * The same for a large file, telling how far it is.
 *
 * @param onshare told the share that has gone up, 0 to 1; at 1 the server reads it
 */
export function uploadTold<T>(
  path: string,
  body: FormData,
  onshare: (share: number) => void,
  signal: AbortSignal,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', path);
    request.responseType = 'json';
    request.upload.onprogress = (e) => e.lengthComputable && onshare(e.loaded / e.total);
    request.onload = () => {
      const good = request.status >= 200 && request.status < 300;
      if (good) resolve(request.response as T);
      else reject(new Failed((request.response as Problem) ?? UNREACHABLE));
    };
    request.onerror = () => reject(new Failed(UNREACHABLE));
    request.onabort = () => reject(new DOMException('cancelled', 'AbortError'));
    signal.addEventListener('abort', () => request.abort());
    request.send(body);
  });
}
