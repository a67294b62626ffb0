import { readFileSync, writeFileSync } from 'node:fs';
import openapiTS, { astToString, COMMENT_HEADER } from 'openapi-typescript';
import { format } from 'prettier';
import ts from 'typescript';

const here = (path) => new URL(path, import.meta.url);
const BLOB = ts.factory.createTypeReferenceNode('Blob');

/** Types of the server's description as it lies in openapi.json; a file in a form is a Blob. */
async function types() {
  const tree = await openapiTS(here('openapi.json'), {
    transform: (schema) => (schema.format === 'binary' ? BLOB : undefined),
  });
  return COMMENT_HEADER + astToString(tree);
}

/** The list of what a page can hold of a driver's own, by its names in the book format. */
async function pageFields() {
  const rows = JSON.parse(readFileSync(here('openapi.json'), 'utf8'))['x-page-fields'];
  // Bounds are the server's to tell, and what follows from the rest is left out.
  const follows = ({ path, name }) => ({ shown: path, row: name[0].toLowerCase() + name.slice(1) });
  const told =
    (row) =>
    ([key, value]) =>
      !['path', 'low', 'high'].includes(key) && follows(row)[key] !== value;
  const named = (row) => [row.path, Object.fromEntries(Object.entries(row).filter(told(row)))];
  const table = Object.fromEntries(rows.map(named));
  const text = `/** Generated from openapi.json: see contract.mjs. */\nexport const PAGE_FIELDS = ${JSON.stringify(table)} as const;\n`;
  return format(text, { parser: 'typescript', singleQuote: true, printWidth: 100 });
}

/** Sentences that stand on a page: they come with it, all others when one of them is said. */
const ON_A_PAGE = /^(own|lap|mark)\.|^as-told$/;

/** The sentences that the server says, by their codes. */
async function sentences(name, which) {
  const all = JSON.parse(readFileSync(here('openapi.json'), 'utf8'))['x-sentences'];
  const table = Object.fromEntries(Object.entries(all).filter(([code]) => which(code)));
  const text = `/** Generated from openapi.json: see contract.mjs. */\nexport const ${name} = ${JSON.stringify(table)} as const;\n`;
  return format(text, { parser: 'typescript', singleQuote: true, printWidth: 100 });
}

const pageSentences = () => sentences('PAGE_SENTENCES', (code) => ON_A_PAGE.test(code));
const otherSentences = () => sentences('OTHER_SENTENCES', (code) => !ON_A_PAGE.test(code));

/** What is generated, by its place. */
export const GENERATED = {
  'src/api/schema.d.ts': types,
  'src/api/page-fields.ts': pageFields,
  'src/say/page-sentences.ts': pageSentences,
  'src/say/other-sentences.ts': otherSentences,
};

export const kept = (path) => readFileSync(here(path), 'utf8');

if (process.argv[1] === here('contract.mjs').pathname) {
  for (const [path, make] of Object.entries(GENERATED)) writeFileSync(here(path), await make());
}
