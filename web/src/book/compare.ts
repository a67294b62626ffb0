import {
  FIELDS,
  isMark,
  isWordsOfMark,
  PATHS,
  textAt,
  type FieldWriter,
  rowOf,
} from '../page/fields';
import { annotationText } from '../page/annotations';
import type { Conditions, CornerPage, OwnField, Revision, SurfacePart, View } from '../api/types';
import { cornerSeconds } from '../strip/lap-axis';
import { sameLine } from './draft';

/** What differs between two revisions in one value. */
export interface Difference {
  what: string;
  before: string;
  after: string;
  /** Who says so in the later one. */
  source: string;
}

export interface CornerDifferences {
  corner: number;
  name: string;
  /** Seconds from this corner's first point to the next one's, later less earlier. */
  seconds: number;
  differences: Difference[];
}

export type Writer = FieldWriter;

/** What a page shows that nobody owns: it comes of the rest. */
const EXIT_SPEED = 'exit speed';

/** Words for the fields of a draft. */
export const FIELD_ROWS: Record<string, string> = {
  ...Object.fromEntries(PATHS.map((path) => [path, rowOf(path)])),
  line: 'line',
  setup: 'setup sheet',
};

const percent = (value: number | undefined) =>
  value === undefined ? '–' : `${Math.round(value)} %`;

/** Corner by corner what differs as it is read; corners without a difference are left out. */
export function compareRevisions(before: View, after: View, w: Writer): CornerDifferences[] {
  const places = before.revision.pages;
  return after.revision.pages.flatMap((page) => {
    const old = places.find((p) => p.corner === page.corner);
    if (!old) return [];
    const differences = [...ownDifferences(old, page, w), exitSpeed(old, page, w)].filter(
      (d) => d.before !== d.after,
    );
    const seconds =
      cornerSeconds(places, old, after.trace) - cornerSeconds(places, old, before.trace);
    if (differences.length === 0 && Math.abs(seconds) < 0.005) return [];
    return [{ corner: page.corner, name: page.name, seconds, differences }];
  });
}

const told = (page: CornerPage, path: OwnField, w: Writer) =>
  (annotationText(page, path, w) ?? textAt(page, path, w)) || 'none';

/** The words for a mark show in its row: a row of their own would tell them twice. */
function ownDifferences(old: CornerPage, page: CornerPage, w: Writer): Difference[] {
  return PATHS.filter((path) => !isWordsOfMark(path)).map((path) => ({
    what: rowOf(path),
    before: told(old, path, w),
    after: told(page, path, w),
    source: page.sources[(isMark(path) && FIELDS[path].shown) || path] ?? 'model',
  }));
}

const exitSpeed = (old: CornerPage, page: CornerPage, w: Writer): Difference => ({
  what: EXIT_SPEED,
  before: w.speed(old.exit.speed_mps),
  after: w.speed(page.exit.speed_mps),
  source: 'model',
});

const CONDITIONS: [string, (c: Conditions, w: Writer) => string][] = [
  ['surface', (c) => c.surface],
  [
    'parts of the lap',
    (c, w) => (c.parts ?? []).map((part) => partWords(part, w)).join('; ') || '–',
  ],
  ['tyres', (c) => tyreWords(c)],
  ['grip used', (c) => percent(100 * c.gripUsed)],
  ['fuel', (c) => `${c.fuel_kg} kg`],
  ['foot to brake', (c) => `${c.pedalChange_s} s`],
  ['pressure builds in', (c) => `${c.brakeBuildUp_s} s`],
  ['air', (c) => `${c.airTemperature_c} °C`],
  ['road', (c) => (c.trackTemperature_c === undefined ? '–' : `${c.trackTemperature_c} °C`)],
  ['pressure', (c) => `${c.pressure_hpa} hPa`],
  ['hour', (c) => c.at?.replace('T', ' ') ?? '–'],
  ['wind', (c, w) => `${w.speed(c.windSpeed_mps)} from ${c.windFrom_deg}°`],
  ['margin to the line', (c, w) => (c.margin_m === undefined ? 'as usual' : w.across(c.margin_m))],
  ['downforce left', (c) => percent(100 * (c.airShare ?? 1))],
  ['start', (c) => c.start ?? 'flying'],
  ['model', (c) => (c.model === 'axles' ? 'axles told apart' : 'plain')],
];

/** "damp from 700 m to 1350 m". */
const partWords = (part: SurfacePart, w: Writer) =>
  `${part.surface} from ${w.length(part.from_m)} to ${w.length(part.to_m)}`;

/** Tyres with the lap they are cold in or how worn they are. */
function tyreWords(c: Conditions): string {
  if (c.tyres === 'cold') return `cold, lap ${c.coldLap ?? 1}`;
  return c.tyres === 'worn' && c.wear !== undefined ? `worn, ${percent(100 * c.wear)}` : c.tyres;
}

/** Conditions that differ. */
export function compareConditions(before: Conditions, after: Conditions, w: Writer): Difference[] {
  return CONDITIONS.map(([what, text]) => ({
    what,
    before: text(before, w),
    after: text(after, w),
    source: 'driver',
  })).filter((d) => d.before !== d.after);
}

/** Another line of one's own has the same name. */
function lineWords(before: Revision, after: Revision): string {
  return before.line === after.line && !sameLine(before, after)
    ? `another ${after.line}`
    : after.line;
}

/** Line and setup sheet, where they differ. */
export function compareCar(before: Revision, after: Revision): Difference[] {
  const rows: [string, string, string][] = [
    ['line', before.line, lineWords(before, after)],
    ['setup sheet', before.setup?.name ?? 'none', after.setup?.name ?? 'none'],
  ];
  return rows
    .map(([what, a, b]) => ({ what, before: a, after: b, source: 'driver' }))
    .filter((d) => d.before !== d.after);
}
