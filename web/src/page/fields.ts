import { PAGE_FIELDS } from '../api/page-fields';
import type { CornerPage, MarkReference, OwnField, OwnPoint } from '../api/types';
import { KERB_USE, SCHOOLS } from './words';

export type PlateShape =
  'square' | 'diamond' | 'frame' | 'ring' | 'triangle' | 'flag' | 'tag' | 'plain';

/** A value of a page that can be the driver's own, from the one list of them. */
export interface PageField {
  kind: (typeof PAGE_FIELDS)[OwnField]['kind'];
  /** Where the page shows it, of a list the first entry; under its own path without. */
  shown?: string;
  name: string;
  /** Heading of its row in a comparison, where it is not its name. */
  row?: string;
  /** How a change of it begins: "brake 9 m earlier". */
  said?: string;
  /** Word on its plate on the strip. */
  plate?: string;
  letter?: string;
  shape?: PlateShape;
  /** A place that only a driver gives. */
  typed?: boolean;
  /** Below this nobody drives a difference. */
  leastChange?: number;
}

export const FIELDS: Record<OwnField, PageField> = PAGE_FIELDS;

/** Heading of a field's row in a comparison. */
export function rowOf(path: OwnField): string {
  const { name, row } = FIELDS[path];
  return row ?? name[0].toLowerCase() + name.slice(1);
}

/** All of them in their order. */
export const PATHS = Object.keys(PAGE_FIELDS) as OwnField[];

/** Places that only a driver gives. */
export const TYPED = PATHS.filter((path) => FIELDS[path].typed);

/** The part of the page that a field belongs to: brake of brake.at_m. */
export const groupOf = (path: OwnField) => path.split('.')[0];

/** The fields of the mark that a place is told by: its label and the driver's own words. */
export const marksOf = (path: OwnField): OwnField[] =>
  PATHS.filter(
    (other) => other !== path && groupOf(other) === groupOf(path) && FIELDS[other].kind === 'words',
  );

/** Of a mark the reference; the words for it show there too. */
export const isMark = (path: OwnField) => path.endsWith('.mark');
export const isWordsOfMark = (path: OwnField) => path.endsWith('.words');

/** What a page shows in the place of a field; of a list its first entry. */
export function shownAt(page: CornerPage, path: OwnField): unknown {
  let value: unknown = page;
  for (const name of (FIELDS[path].shown ?? path).split('.')) {
    const part: unknown = Array.isArray(value) ? value[0] : value;
    if (typeof part !== 'object' || part === null) return undefined;
    value = Object.entries(part).find(([key]) => key === name)?.[1];
  }
  return value;
}

const isPoint = (part: unknown): part is OwnPoint =>
  typeof part === 'object' && part !== null && 'at_m' in part;

/** A place along the lap with what it is told by; nothing where the page has none. */
export function pointAt(page: CornerPage, path: OwnField): OwnPoint | undefined {
  const part = Object.entries(page).find(([name]) => name === groupOf(path))?.[1];
  return isPoint(part) ? part : undefined;
}

/** The mark that a place is told by. */
export function targetAt(page: CornerPage, path: OwnField): MarkReference | undefined {
  return marksOf(path).length ? pointAt(page, path)?.target : undefined;
}

const USES = Object.keys(KERB_USE);

/** The same as a number: the use of a kerb by its place in the list of uses. */
export function amountAt(page: CornerPage, path: OwnField): number | undefined {
  const value = shownAt(page, path);
  if (typeof value === 'number') return value;
  const use = USES.findIndex((known) => known === value);
  return FIELDS[path].kind === 'kerb-use' && use >= 0 ? use : undefined;
}

/** Writes values with their units. */
export interface FieldWriter {
  speed: (mps: number) => string;
  length: (m: number) => string;
  /** A length across the road, to a decimal. */
  across: (m: number) => string;
}

/** What a page shows in the place of a field, in words; a dash for nothing. */
export function textAt(page: CornerPage, path: OwnField, w: FieldWriter): string {
  const value = shownAt(page, path);
  if (isMark(path)) return markText(value);
  const { kind } = FIELDS[path];
  if (kind === 'presses') return percents(page.presses?.map((press) => press.peak_pct));
  if (kind === 'gear-changes') return page.gears.changes?.map(({ to }) => to).join(', ') || 'none';
  if (kind === 'phases') return percents(page.phases?.map((phase) => phase.to_pct));
  if (kind === 'school') return page.line ? SCHOOLS[page.line].name : 'as the lap';
  if (kind === 'kerb-use') return KERB_USE[page.kerbs[path === 'kerbs.exit' ? 'exit' : 'apex']];
  if (typeof value === 'string') return value || '–';
  if (typeof value !== 'number') return '–';
  switch (kind) {
    case 'station':
      return w.length(value);
    case 'speed':
      return w.speed(value);
    case 'offset':
      return w.across(value);
    case 'percent':
    case 'press':
      return `${Math.round(value)} %`;
    case 'of-five':
      return `${value} of 5`;
    default:
      return String(value);
  }
}

const percents = (all: number[] = []) =>
  all.map((pct) => `${Math.round(pct)} %`).join(', ') || 'none';

function markText(value: unknown): string {
  if (typeof value !== 'object' || value === null) return '–';
  if ('own' in value && typeof value.own === 'string') return value.own;
  return 'mark' in value ? String(value.mark) : '–';
}
