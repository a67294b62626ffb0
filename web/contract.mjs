import { readFileSync, writeFileSync } from 'node:fs';
import ts from 'typescript';
import openapiTS, { astToString, COMMENT_HEADER } from 'openapi-typescript';

const here = (path) => new URL(path, import.meta.url);
const BLOB = ts.factory.createTypeReferenceNode('Blob');

/** Types of the server's description as it lies in openapi.json; a file in a form is a Blob. */
export async function typesOfContract() {
  const tree = await openapiTS(here('openapi.json'), {
    transform: (schema) => (schema.format === 'binary' ? BLOB : undefined),
  });
  return COMMENT_HEADER + astToString(tree);
}

export const kept = () => readFileSync(here('src/api/schema.d.ts'), 'utf8');

if (process.argv[1] === here('contract.mjs').pathname) {
  writeFileSync(here('src/api/schema.d.ts'), await typesOfContract());
}
