import { KERB_USE, SCHOOLS } from '../page/words';
import type { Conditions, CornerPage, Revision, SurfacePart, View } from '../api/types';
import { cornerSeconds } from '../strip/lap-axis';

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

/** Writes values with their units. */
export interface Writer {
  speed: (mps: number) => string;
  length: (m: number) => string;
  /** A length across the road, to a decimal. */
  across: (m: number) => string;
}

type Row = [what: string, field: string, text: (page: CornerPage, w: Writer) => string];

const station = (m: number | undefined, w: Writer) => (m === undefined ? '–' : w.length(m));

const ROWS: Row[] = [
  ['brake at', 'brake.at_m', (p, w) => station(p.brake.at_m, w)],
  ['brake mark', 'brake.target', (p) => p.brake.target?.own ?? p.brake.target?.mark ?? '–'],
  ['first pressure', 'brake.initial_pct', (p) => percent(p.brake.initial_pct)],
  ['gear', 'gears.corner', (p) => String(p.gears.corner)],
  ['way through', 'line', (p) => (p.line ? SCHOOLS[p.line].name : 'as the lap')],
  ['turn in at', 'turnIn.at_m', (p, w) => station(p.turnIn.at_m, w)],
  ['turn-in mark', 'turnIn.target', (p) => p.turnIn.target?.own ?? p.turnIn.target?.mark ?? '–'],
  ['pressure at turn-in', 'trailBrake.atTurnIn_pct', (p) => percent(p.trailBrake?.atTurnIn_pct)],
  ['release at', 'trailBrake.release_m', (p, w) => station(p.trailBrake?.release_m, w)],
  ['lowest speed', 'apexes.speed_mps', (p, w) => w.speed(p.lowest.speed_mps)],
  ['apex offset', 'apexes.offset_m', (p, w) => w.across(p.apexes[0].offset_m)],
  ['kerb at the apex', 'kerbs.apex', (p) => KERB_USE[p.kerbs.apex]],
  ['kerb at the exit', 'kerbs.exit', (p) => KERB_USE[p.kerbs.exit]],
  ['throttle at', 'throttle.first_m', (p, w) => station(p.throttle.first_m, w)],
  ['flat at', 'throttle.full_m', (p, w) => station(p.throttle.full_m, w)],
  ['exit speed', 'exit.speed_mps', (p, w) => w.speed(p.exit.speed_mps)],
  ['sure of it', 'confidence', (p) => (p.confidence === undefined ? '–' : `${p.confidence} of 5`)],
  ['notes', 'notes', (p) => p.notes || '–'],
  ['missed marker', 'wayOut', (p) => p.wayOut || '–'],
];

/** Words for the fields of a draft. */
export const FIELDS: Record<string, string> = {
  ...Object.fromEntries(ROWS.map(([what, field]) => [field, what])),
  'brake.mark': 'brake mark',
  'brake.words': 'words for the brake mark',
  'turnIn.mark': 'turn-in mark',
  'turnIn.words': 'words for the turn-in mark',
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
    const differences = ROWS.map(([what, field, text]) => ({
      what,
      before: text(old, w),
      after: text(page, w),
      source: page.sources[field] ?? 'model',
    })).filter((d) => d.before !== d.after);
    const seconds =
      cornerSeconds(places, old, after.trace) - cornerSeconds(places, old, before.trace);
    if (differences.length === 0 && Math.abs(seconds) < 0.005) return [];
    return [{ corner: page.corner, name: page.name, seconds, differences }];
  });
}

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

/** Line and setup sheet, where they differ. */
export function compareCar(before: Revision, after: Revision): Difference[] {
  const rows: [string, string, string][] = [
    ['line', before.line, after.line],
    ['setup sheet', before.setup?.name ?? 'none', after.setup?.name ?? 'none'],
  ];
  return rows
    .map(([what, a, b]) => ({ what, before: a, after: b, source: 'driver' }))
    .filter((d) => d.before !== d.after);
}
