import type { Away } from '../api/put-away-calls';

/** Kinds of stored things in words. */
export const KIND_WORDS: Record<string, string> = {
  book: 'book',
  circuit: 'circuit',
  car: 'car',
  session: 'session',
  file: 'file of laps',
};

/** What goes with something, to be read on after it: ", 3 revisions and 1 session". */
export function goesWords(goes: Away['goes']): string {
  const parts = goes.map(({ what, count }) => `${count} ${count === 1 ? what : plural(what)}`);
  if (parts.length === 0) return '';
  const last = parts.pop();
  return parts.length ? `, ${parts.join(', ')} and ${last}` : ` and ${last}`;
}

/** "file of laps" is more than one as "files of laps". */
function plural(what: string): string {
  const [first, ...rest] = what.split(' of ');
  return [`${first}s`, ...rest].join(' of ');
}
