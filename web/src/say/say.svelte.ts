import { SENTENCES } from './sentences';
import type { Problem, Sentence } from '../api/types';
import { preferences } from '../units/preferences.svelte';

const FACT = /\{(\w+)(?::(\d))?(\|word)?\}/g;
const templates: Readonly<Record<string, string>> = SENTENCES;

/** A fact in the driver's units; its name's end says what it is. */
function fact(name: string, value: number | string, decimals: string | undefined): string {
  if (typeof value !== 'number') return String(value);
  if (name.endsWith('_mps')) return preferences.speedText(value);
  if (!name.endsWith('_m')) return value.toFixed(Number(decimals ?? 0));
  return decimals ? preferences.acrossText(value, Number(decimals)) : preferences.lengthText(value);
}

/** A sentence of the server in words, in the units chosen. */
export function say({ code, facts }: Sentence): string {
  const template = templates[code];
  // A server that is newer than the page that asks it: better its code than nothing.
  if (template === undefined) return code;
  return template.replace(FACT, (_, name: string, decimals: string | undefined, word) =>
    word ? templates[`word.${facts[name]}`] : fact(name, facts[name], decimals),
  );
}

/** What is wrong, in the units chosen where it has figures with a unit. */
export const problemWords = ({
  detail,
  field,
  said,
}: Pick<Problem, 'detail' | 'field' | 'said'>): string =>
  said ? `${field ?? ''} ${say(said)}.`.trim() : detail;
