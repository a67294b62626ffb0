import type { Change, ChangedField, Decision, Prepared } from '../api/sessions';
import type { CornerPage, KerbUse, Trace } from '../api/types';
import { between, onLap } from '../strip/lap-axis';
import { KERB_USE } from '../page/words';
import { kerbUse } from './words';

/** Names of the values that a session changes, in the order they are driven. */
export const FIELDS: Record<ChangedField, { letter: string; name: string }> = {
  'brake.at_m': { letter: 'B', name: 'Brake point' },
  'gears.corner': { letter: 'G', name: 'Gear' },
  'trailBrake.release_m': { letter: 'R', name: 'Off the brake' },
  'apexes.speed_mps': { letter: 'A', name: 'Lowest speed' },
  'kerbs.apex': { letter: 'K', name: 'Kerb at the apex' },
  'kerbs.exit': { letter: 'K', name: 'Kerb at the exit' },
  'throttle.first_m': { letter: 'D', name: 'First throttle' },
  'throttle.full_m': { letter: 'F', name: 'Flat' },
};

const SAID: Record<ChangedField, string> = {
  'brake.at_m': 'brake',
  'gears.corner': '',
  'trailBrake.release_m': 'off the brake',
  'apexes.speed_mps': '',
  'kerbs.apex': 'apex kerb:',
  'kerbs.exit': 'exit kerb:',
  'throttle.first_m': 'throttle',
  'throttle.full_m': 'flat',
};

/** Changes of one corner. */
export interface ChangedPage {
  corner: number;
  changes: Change[];
  /** Of these so many are not decided yet. */
  open: number;
}

/** The pages that change, in the order of the lap; all others are left out. */
export function changedPages({ changes, decisions }: Prepared): ChangedPage[] {
  const corners = [...new Set(changes.map((c) => c.corner))];
  return corners.map((corner) => {
    const here = changes.filter((c) => c.corner === corner);
    const open = here.filter((c) => !decisionOn(decisions, c)).length;
    return { corner, changes: here, open };
  });
}

export function decisionOn(decisions: Decision[], change: Change): Decision | undefined {
  return decisions.find((d) => d.corner === change.corner && d.field === change.field);
}

/** The decisions with one more; one on the same value goes. */
export function decide(
  decisions: Decision[],
  change: Change,
  choice: Decision['choice'],
  value?: number,
): Decision[] {
  const others = decisions.filter((d) => d.corner !== change.corner || d.field !== change.field);
  const { corner, field } = change;
  return [
    ...others,
    value === undefined ? { corner, field, choice } : { corner, field, choice, value },
  ];
}

/** Accepts whatever is not decided; of one corner, or without it of all. */
export function acceptRest(prepared: Prepared, corner?: number): Decision[] {
  return prepared.changes
    .filter((c) => corner === undefined || c.corner === corner)
    .filter((c) => !decisionOn(prepared.decisions, c))
    .reduce((all, c) => decide(all, c, 'accept'), prepared.decisions);
}

const USES = Object.keys(KERB_USE) as KerbUse[];

function valueOf(page: CornerPage, field: ChangedField): number | undefined {
  switch (field) {
    case 'brake.at_m':
      return page.brake.at_m;
    case 'gears.corner':
      return page.gears.corner;
    case 'trailBrake.release_m':
      return page.trailBrake?.release_m;
    case 'apexes.speed_mps':
      return page.apexes[0].speed_mps;
    case 'kerbs.apex':
      return USES.indexOf(page.kerbs.apex);
    case 'kerbs.exit':
      return USES.indexOf(page.kerbs.exit);
    case 'throttle.first_m':
      return page.throttle.first_m;
    case 'throttle.full_m':
      return page.throttle.full_m;
  }
}

/** Below these nobody drives a difference: metres, gears, m/s, steps of a kerb's use. */
const LEAST: Record<ChangedField, number> = {
  'brake.at_m': 1,
  'gears.corner': 0.5,
  'trailBrake.release_m': 1.5,
  'apexes.speed_mps': 0.3,
  'kerbs.apex': 0.5,
  'kerbs.exit': 0.5,
  'throttle.first_m': 1.5,
  'throttle.full_m': 3,
};

/** What differs between two pages of a corner as it is said: "brake 9 m earlier". */
export function pageNews(
  before: CornerPage,
  after: CornerPage,
  trace: Pick<Trace, 'length_m' | 'closed'>,
  w: ValueWriter,
): string[] {
  const fields = Object.keys(FIELDS) as ChangedField[];
  return fields.flatMap((field) => {
    const [was, is] = [valueOf(before, field), valueOf(after, field)];
    if (was === undefined && is === undefined) return [];
    // Where the brakes are needed only now, their release goes without saying.
    if (field === 'trailBrake.release_m' && (was === undefined || is === undefined)) return [];
    const by =
      was === undefined || is === undefined
        ? Infinity
        : isStation(field)
          ? between(trace, was, is)
          : is - was;
    if (Math.abs(by) < LEAST[field]) return [];
    const change: Change = {
      corner: after.corner,
      field,
      before: was,
      after: is,
      why: 'conditions',
    };
    return [`${SAID[field]} ${changeWords(change, is, trace, w)}`.trim()];
  });
}

/** Writes lengths and speeds with their units. */
export interface ValueWriter {
  length: (m: number) => string;
  speed: (mps: number) => string;
}

const isStation = (field: ChangedField) => field.endsWith('_m');

/** How far a value moves: "9 m earlier", "one gear lower", "12 km/h slower", "leave it". */
export function changeWords(
  change: Change,
  after: number | null | undefined,
  trace: Pick<Trace, 'length_m' | 'closed'>,
  w: ValueWriter,
): string {
  const { field, before } = change;
  if (after == null) return before == null ? 'as it is' : 'no longer needed';
  if (field === 'kerbs.apex' || field === 'kerbs.exit') return KERB_USE[kerbUse(after)];
  if (before == null) return 'now needed';
  if (field === 'gears.corner') return gearWords(after - before);
  if (field === 'apexes.speed_mps') {
    const by = after - before;
    return `${w.speed(Math.abs(by))} ${by < 0 ? 'slower' : 'faster'}`;
  }
  const by = between(trace, before, after);
  return Math.abs(by) < 0.5
    ? 'as it is'
    : `${w.length(Math.abs(by))} ${by < 0 ? 'earlier' : 'later'}`;
}

function gearWords(by: number): string {
  if (by === 0) return 'as it is';
  const count = Math.abs(by) === 1 ? 'one gear' : `${Math.abs(by)} gears`;
  return `${count} ${by < 0 ? 'lower' : 'higher'}`;
}

/** A value as it is: a gear, a speed, a kerb's use, a place from the apex. */
export function valueWords(
  field: ChangedField,
  value: number | null | undefined,
  page: CornerPage,
  trace: Pick<Trace, 'length_m' | 'closed'>,
  w: ValueWriter,
): string {
  if (value == null) return '–';
  if (field === 'kerbs.apex' || field === 'kerbs.exit') return KERB_USE[kerbUse(value)];
  if (field === 'gears.corner') return String(Math.round(value));
  if (field === 'apexes.speed_mps') return w.speed(value);
  const by = between(trace, page.apexes[0].at_m, value);
  return `${w.length(Math.abs(by))} ${by < 0 ? 'before' : 'past'} the apex`;
}

/**
 * The value that a driver's figure stands for: metres earlier or later, a gear, a speed.
 *
 * @param figure in SI; of a station how much later than before it is [m]
 */
export function alteredValue(
  change: Change,
  figure: number,
  trace: Pick<Trace, 'length_m' | 'closed'>,
): number {
  return isStation(change.field) ? onLap(trace, (change.before ?? change.after!) + figure) : figure;
}
