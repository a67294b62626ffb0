import { describe, expect, it } from 'vitest';
import { answer, Failed, UNREACHABLE } from './http';

/** What a caller is told of an answer. */
async function told(call: Promise<object>) {
  try {
    return await answer(call as Parameters<typeof answer>[0]);
  } catch (e) {
    return e instanceof Failed ? e.problem : e;
  }
}
const failure = (error: unknown, status: number) =>
  Promise.resolve({ error, response: new Response(null, { status }) });

describe('an answer', () => {
  it('gives what came', async () => {
    expect(await told(Promise.resolve({ data: 7, response: new Response() }))).toBe(7);
  });

  it("fails with the server's words", async () => {
    const problem = { title: 'Not found', detail: 'There is no book.', status: 404 };
    expect(await told(failure(problem, 404))).toBe(problem);
  });

  it('says that a page, nothing, or half a problem is not Marvek speaking', async () => {
    for (const error of ['<html>Bad gateway</html>', '', null, { title: 'Bad gateway' }]) {
      expect(await told(failure(error, 502))).toMatchObject({
        title: 'Something else answered',
        detail: expect.stringContaining('502'),
        status: 502,
      });
    }
  });

  it('says that nobody answers', async () => {
    expect(await told(Promise.reject(new TypeError('fetch failed')))).toBe(UNREACHABLE);
  });

  it('passes on that it was given up', async () => {
    const given = new DOMException('given up', 'AbortError');
    expect(await told(Promise.reject(given))).toBe(given);
  });
});
