import type { GuideSection } from '../../guide-sections.mjs';

/** The first of these that fits an address tells which section of the guide explains its screen. */
const EXPLAINED: readonly [RegExp, string][] = [
  [/^\/(people|pair|me)$/, 'other-devices-and-a-coach'],
  [/^\/circuits\/new$/, 'bringing-in-a-circuit'],
  [/^\/circuits\/[^/]+\/walk$/, 'walk'],
  [/^\/circuits\//, 'circuit'],
  [/^\/cars\/new$/, 'a-car-from-ten-facts'],
  [/\/corner\//, 'page'],
  [/\/compare$/, 'drafts-and-revisions'],
  [/\/car$/, 'car'],
  [/\/calls$/, 'the-lap-spoken'],
  [/\/beside\//, 'two-books'],
  [/\/laps(\/beside)?$/, 'laps-side-by-side'],
  [/\/lead$/, 'lead-a-group'],
  [/\/(debrief|review)$/, 'reading-laps'],
  [/\/(sessions|steps)/, 'sessions'],
  [/\/rehearse/, 'rehearse'],
  [/^\/books\//, 'book'],
];

/** Section of the guide that explains the screen at an address. */
export const sectionFor = (pathname: string): string =>
  EXPLAINED.find(([address]) => address.test(pathname))?.[1] ?? 'shelf-and-new-book';

/** A section in which all words were found, with the text around the first of them. */
export interface Found {
  section: GuideSection;
  excerpt: string;
}

const AROUND = 70;

/** Sections that hold all the words that are typed; those first whose title holds them. */
export function find(sections: readonly GuideSection[], typed: string): Found[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.length) return [];
  const holds = (text: string) => words.every((word) => text.toLowerCase().includes(word));
  return sections
    .filter(({ title, text }) => holds(`${title} ${text}`))
    .sort((a, b) => Number(holds(b.title)) - Number(holds(a.title)))
    .map((section) => ({ section, excerpt: around(section.text, words) }));
}

function around(text: string, words: string[]): string {
  const places = words.map((word) => text.toLowerCase().indexOf(word)).filter((at) => at >= 0);
  const at = places.length ? Math.min(...places) : 0;
  const from = Math.max(0, at - AROUND);
  const end = Math.min(text.length, at + 2 * AROUND);
  return `${from ? '…' : ''}${text.slice(from, end)}${end < text.length ? '…' : ''}`;
}
