import type { Change, ChangedField, Decision, Prepared } from '../api/sessions';
import type { CornerPage, OwnField, Trace } from '../api/types';
import { between, onLap } from '../strip/lap-axis';
import { amountAt, FIELDS, PATHS } from '../page/fields';
import { KERB_USE } from '../page/words';
import { kerbUse } from './words';

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

/** Values that a session changes, in the order they are driven. */
export const CHANGED: ChangedField[] = PATHS.filter(isChanged);

function isChanged(path: OwnField): path is ChangedField {
  return FIELDS[path].leastChange !== undefined;
}

/** What differs between two pages of a corner as it is said: "brake 9 m earlier". */
export function pageNews(
  before: CornerPage,
  after: CornerPage,
  trace: Pick<Trace, 'length_m' | 'closed'>,
  w: ValueWriter,
): string[] {
  return CHANGED.flatMap((field) => {
    const [was, is] = [amountAt(before, field), amountAt(after, field)];
    if (was === undefined && is === undefined) return [];
    // Where the brakes are needed only now, their release goes without saying.
    if (field === 'trailBrake.release_m' && (was === undefined || is === undefined)) return [];
    const by =
      was === undefined || is === undefined
        ? Infinity
        : isStation(field)
          ? between(trace, was, is)
          : is - was;
    if (Math.abs(by) < FIELDS[field].leastChange!) return [];
    const change: Change = {
      corner: after.corner,
      field,
      before: was,
      after: is,
      why: 'conditions',
    };
    return [`${FIELDS[field].said} ${changeWords(change, is, trace, w)}`.trim()];
  });
}

/** Writes lengths and speeds with their units. */
export interface ValueWriter {
  length: (m: number) => string;
  speed: (mps: number) => string;
}

const isStation = (field: ChangedField) => FIELDS[field].kind === 'station';

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
