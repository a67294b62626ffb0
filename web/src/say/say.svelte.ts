import { PAGE_SENTENCES } from './page-sentences';
import type { Sentence } from '../api/types';
import { preferences } from '../units/preferences.svelte';

const FACT = /\{(\w+)(?::([\dn]))?(\|word)?\}/g;
const templates: Record<string, string> = { ...PAGE_SENTENCES };

/** Adds sentences to those that can be said. */
export const learn = (more: Readonly<Record<string, string>>) => Object.assign(templates, more);

/** What stands under a code, as it is. */
export const template = (code: string): string | undefined => templates[code];

/** A fact in the driver's units; its name's end says what it is. */
function fact(name: string, value: number | string, decimals: string | undefined): string {
  if (typeof value !== 'number' || decimals === 'n') return String(value);
  if (name.endsWith('_mps')) return preferences.speedText(value);
  if (!name.endsWith('_m')) return value.toFixed(Number(decimals ?? 0));
  return decimals ? preferences.acrossText(value, Number(decimals)) : preferences.lengthText(value);
}

/** A word, or words in a list, each with what follows it: "brake 20, rpm 20". */
const listed = (names: string) =>
  names.replace(
    /(^|, )([^ ,]+)/g,
    (_, before: string, name: string) => before + templates[`word.${name}`],
  );

/**
 * A sentence of the server in words, in the units chosen: one of a page's, or any once
 * `every.ts` is there.
 */
export function say({ code, facts }: Sentence): string {
  const words = templates[code];
  // A server that is newer than the page that asks it: better its code than nothing.
  if (words === undefined) return code;
  return words.replace(FACT, (_, name: string, decimals: string | undefined, word) =>
    word ? listed(String(facts[name])) : fact(name, facts[name], decimals),
  );
}
