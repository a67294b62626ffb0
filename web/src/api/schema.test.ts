import { readFileSync } from 'node:fs';
import openapiTS, { astToString, COMMENT_HEADER } from 'openapi-typescript';
import { expect, it } from 'vitest';

const here = (path: string) => new URL(path, import.meta.url);

/** The server holds the other half: openapi.json is what it describes itself as. */
it('has the types that openapi.json gives; ./marvek contract writes both anew', async () => {
  const made = COMMENT_HEADER + astToString(await openapiTS(here('../../openapi.json')));
  expect(readFileSync(here('./schema.d.ts'), 'utf8')).toBe(made);
});
