import type { SetupSheet } from '../api/answers';
import type { Conditions, LineChoice, OwnField, OwnValues, Revision, Variants } from '../api/types';
import { begun, type Steps } from '../ui/undo';

/** What a driver has changed since a revision. Immutable. */
export interface DraftState {
  conditions: Conditions;
  line: LineChoice;
  /** Offsets of a line of one's own; absent for any other. */
  lineOffsets_m?: number[];
  ownValues: OwnValues[];
  /** The sheet that the car is set up by; without one the car as it is. */
  setup?: SetupSheet;
}

/** The states of a draft. */
export type History = Steps<DraftState>;

/** A kept revision as the draft that it is, for what is asked of it and not of what is edited. */
export const draftOf = (revision: Revision) => ({
  parent: revision.number,
  ...stateOf(revision),
});

/** A history that begins at a kept revision. */
export function begin(revision: Revision): History {
  return begun(stateOf(revision));
}

/** What a kept revision was computed from. */
export function stateOf(revision: Revision): DraftState {
  const { conditions, line, lineOffsets_m, setup } = revision;
  const state = { conditions, line, ownValues: revision.ownValues ?? [], setup };
  return lineOffsets_m ? { ...state, lineOffsets_m } : state;
}

/** What an own value can be; `undefined` gives it back to the model. */
export type OwnValue = number | string | unknown[] | Variants | undefined;

/** Several values of a corner. */
export type OwnChanges = { [field in OwnField]?: OwnValue };

/** Sets one own value of a corner, or gives it back to the model with `undefined`. */
export function setOwn(
  state: DraftState,
  corner: number,
  field: OwnField,
  value: OwnValue,
): DraftState {
  const before = state.ownValues.find((o) => o.corner === corner) ?? { corner };
  const after: OwnValues = { ...before, [field]: value };
  if (value === undefined) delete after[field];
  forgetMeasured(after, field);
  const others = state.ownValues.filter((o) => o.corner !== corner);
  const kept = hasValues(after) ? [...others, after] : others;
  return { ...state, ownValues: kept.sort((a, b) => a.corner - b.corner) };
}

/** A value that is changed was not measured like that any more. */
export function forgetMeasured(own: OwnValues, field: string): void {
  if (!own.measured?.[field]) return;
  const rest = Object.entries(own.measured).filter(([name]) => name !== field);
  if (rest.length) own.measured = Object.fromEntries(rest);
  else delete own.measured;
}

/** What an entry says beside its values. */
const NO_VALUES = ['corner', 'source', 'measured'];

function hasValues(own: OwnValues): boolean {
  return Object.keys(own).some((key) => !NO_VALUES.includes(key));
}

/** Number of single values in which two states differ. */
export function countChanges(a: DraftState, b: DraftState): number {
  const corners = new Set([...a.ownValues, ...b.ownValues].map((o) => o.corner));
  let count = differing(a.conditions, b.conditions);
  if (!sameLine(a, b)) count++;
  if (JSON.stringify(a.setup) !== JSON.stringify(b.setup)) count++;
  for (const corner of corners) {
    count += differing(
      a.ownValues.find((o) => o.corner === corner) ?? {},
      b.ownValues.find((o) => o.corner === corner) ?? {},
    );
  }
  return count;
}

/** Whether two lines are one; of two lines of one's own the offsets tell. */
export const sameLine = (a: LineOf, b: LineOf) =>
  a.line === b.line && JSON.stringify(a.lineOffsets_m) === JSON.stringify(b.lineOffsets_m);

type LineOf = Pick<DraftState, 'line' | 'lineOffsets_m'>;

function differing(a: object, b: object): number {
  const left = a as Record<string, unknown>;
  const right = b as Record<string, unknown>;
  const keys = new Set([...Object.keys(left), ...Object.keys(right)]);
  NO_VALUES.forEach((key) => keys.delete(key));
  return [...keys].filter((key) => JSON.stringify(left[key]) !== JSON.stringify(right[key])).length;
}
