import type { SetupSheet } from '../api/answers';
import type { LineChoice, OwnField, OwnValues } from '../api/types';
import type { DraftState } from './draft';

/** One value that two savers of the same revision left different. */
export interface Clash {
  /** Absent for what belongs to the whole lap. */
  corner?: number;
  field: string;
  before: unknown;
  theirs: unknown;
  mine: unknown;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * Every value that either of two drafts changed, where the two do not agree.
 *
 * @param before the revision that both began from
 */
export function clashes(before: DraftState, theirs: DraftState, mine: DraftState): Clash[] {
  const found: Clash[] = [];
  const note = (field: string, a: unknown, b: unknown, c: unknown, corner?: number) => {
    if (!same(b, c)) found.push({ corner, field, before: a, theirs: b, mine: c });
  };
  note('line', lineOf(before), lineOf(theirs), lineOf(mine));
  note('setup', before.setup, theirs.setup, mine.setup);
  const conditions = (s: DraftState) => s.conditions as unknown as Record<string, unknown>;
  for (const key of keysOf(conditions(before), conditions(theirs), conditions(mine))) {
    note(key, conditions(before)[key], conditions(theirs)[key], conditions(mine)[key]);
  }
  const corners = new Set(
    [before, theirs, mine].flatMap((s) => s.ownValues.map((own) => own.corner)),
  );
  for (const corner of [...corners].sort((a, b) => a - b)) {
    const [a, b, c] = [before, theirs, mine].map((s) => ownOf(s, corner));
    for (const key of keysOf(a, b, c)) note(key, a[key], b[key], c[key], corner);
  }
  return found;
}

/** A line of one's own goes with its offsets. */
interface OwnLine {
  name: string;
  offsets_m?: number[];
}

const lineOf = ({ line, lineOffsets_m }: DraftState): LineChoice | OwnLine =>
  line === 'own' ? { name: 'own', offsets_m: lineOffsets_m } : line;

function withLine(state: DraftState, line: LineChoice | OwnLine): DraftState {
  return typeof line === 'string'
    ? { ...state, line, lineOffsets_m: undefined }
    : { ...state, line: 'own', lineOffsets_m: line.offsets_m };
}

function ownOf(state: DraftState, corner: number): Record<string, unknown> {
  const own = { ...state.ownValues.find((o) => o.corner === corner) } as Record<string, unknown>;
  delete own.corner;
  delete own.source;
  delete own.measured;
  return own;
}

function keysOf(...objects: Record<string, unknown>[]): string[] {
  return [...new Set(objects.flatMap((o) => Object.keys(o)))];
}

/** Whether the other one left a value as it was, so that taking mine loses nothing of theirs. */
export const onlyMine = (clash: Clash) => same(clash.before, clash.theirs);

/**
 * Their draft with some values of mine in their places.
 *
 * @param chosen the clashes that are settled my way
 */
export function merged(theirs: DraftState, chosen: Clash[]): DraftState {
  let result = theirs;
  for (const clash of chosen) {
    if (clash.corner !== undefined) result = withOwn(result, clash);
    else if (clash.field === 'line') result = withLine(result, clash.mine as LineChoice | OwnLine);
    else if (clash.field === 'setup') result = { ...result, setup: clash.mine as SetupSheet };
    else {
      result = { ...result, conditions: { ...result.conditions, [clash.field]: clash.mine } };
    }
  }
  return result;
}

function withOwn(state: DraftState, clash: Clash): DraftState {
  const before = state.ownValues.find((o) => o.corner === clash.corner);
  const own: OwnValues = { ...before, corner: clash.corner!, [clash.field]: clash.mine };
  if (clash.mine === undefined) delete own[clash.field as OwnField];
  const others = state.ownValues.filter((o) => o.corner !== clash.corner);
  return { ...state, ownValues: [...others, own].sort((a, b) => a.corner - b.corner) };
}
