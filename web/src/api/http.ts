import createClient from 'openapi-fetch';
import type {
  PathsWithMethod,
  ResponseObjectMap,
  SuccessResponse,
} from 'openapi-typescript-helpers';
import type { paths } from './schema';
import { signedOut } from './signed-out.svelte';
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

/** What is said of an answer that was not good; a proxy, or nothing but a number, may have answered. */
function problemOf(error: unknown, status: number): Problem {
  const said = error as Partial<Problem> | null;
  if (typeof said === 'object' && said?.title && said.detail) return said as Problem;
  return {
    title: 'Something else answered',
    detail:
      `The answer (${status}) is not one of Marvek's: what stands between here and the server may ` +
      'have sent it. Try again; what you typed is kept.',
    status,
  };
}

/** What is answered, by the description of the operation. */
export async function answer<T>(
  call: Promise<{ data?: T; error?: Problem; response: Response }>,
): Promise<T> {
  let result;
  try {
    result = await call;
  } catch (e) {
    if (e instanceof DOMException && e.name === 'AbortError') throw e;
    throw new Failed(UNREACHABLE);
  }
  signedOut.heard(result.response);
  if (result.error !== undefined) {
    throw new Failed(problemOf(result.error, result.response.status));
  }
  return result.data!;
}

/** The edition that a change was made from; when it is not the stored one any more, it is refused. */
export const madeFrom = (edition: number) => ({ 'If-Match': `"${edition}"` });

/** A form with a file: everything beside it that is no text is JSON. */
export function form(parts: object = {}): FormData {
  const data = new FormData();
  for (const [name, part] of Object.entries(parts)) {
    if (part instanceof Blob) data.append(name, part);
    else if (part !== undefined) {
      data.append(name, typeof part === 'object' ? JSON.stringify(part) : String(part));
    }
  }
  return data;
}

/** What the server answers to a post at a path. */
type AnswerOf<P extends PathsWithMethod<paths, 'post'>> = SuccessResponse<
  ResponseObjectMap<paths[P]['post']>
>;

/**
 * Uploads a large file, telling how far it is; a fetch cannot.
 *
 * @param path as it is described, with the one id that stands in it
 * @param onshare told the share that has gone up, 0 to 1; at 1 the server reads it
 */
export function uploadTold<P extends PathsWithMethod<paths, 'post'>>(
  path: P,
  id: string,
  body: FormData,
  onshare: (share: number) => void,
  signal: AbortSignal,
): Promise<AnswerOf<P>> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', path.replace('{id}', id));
    request.responseType = 'json';
    request.upload.onprogress = (e) => e.lengthComputable && onshare(e.loaded / e.total);
    request.onload = () => {
      const good = request.status >= 200 && request.status < 300;
      if (good) resolve(request.response);
      else reject(new Failed(request.response ?? UNREACHABLE));
    };
    request.onerror = () => reject(new Failed(UNREACHABLE));
    request.onabort = () => reject(new DOMException('cancelled', 'AbortError'));
    signal.addEventListener('abort', () => request.abort());
    request.send(body);
  });
}
