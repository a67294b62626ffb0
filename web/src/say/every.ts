/** Every sentence of the server's, and what is said of its problems. */
import type { Problem } from '../api/types';
import { OTHER_SENTENCES } from './other-sentences';
import { learn, say, template } from './say.svelte';

learn(OTHER_SENTENCES);

export { say };

type Told = Pick<Problem, 'detail'> & Partial<Problem>;

const KIND = 'urn:marvek:problem:';

const ended = (words: string) => (/[.?!]$/.test(words) ? words : `${words}.`);

/** Where in a file. */
function place({ pointer, line, column }: Told): string {
  if (pointer === '') return say({ code: 'place.top', facts: {} });
  if (pointer) return say({ code: 'place.pointer', facts: { pointer } });
  if (!line) return '';
  return column
    ? say({ code: 'place.column', facts: { line, column } })
    : say({ code: 'place.line', facts: { line } });
}

/** Of which value. */
const value = ({ field, index }: Told) =>
  field ? (index === undefined ? field : `${field}[${index}]`) : '';

/** What is wrong, without where. */
export const whyWords = ({ detail, said }: Told): string => (said ? ended(say(said)) : detail);

/** What is wrong, where, in the units chosen. */
export const reasonWords = (problem: Told): string =>
  problem.said
    ? [place(problem), value(problem), whyWords(problem)].filter(Boolean).join(' ')
    : problem.detail;

/** The same with what became of it. */
export const problemWords = (problem: Told): string =>
  problem.said && problem.type === `${KIND}bad-file`
    ? `${reasonWords(problem)} ${say({ code: 'problem.nothing-stored', facts: {} })}`
    : reasonWords(problem);

/** What a problem is called. */
export const problemTitle = ({ type, title }: Pick<Problem, 'type' | 'title'>): string =>
  template(`title.${type?.replace(KIND, '')}`) ?? title;
