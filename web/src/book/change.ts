import type { Change, Trace, View } from '../api/types';

/** Columns of a trace: one number for each sample. */
type Column = {
  [K in keyof Trace]-?: Trace[K] extends number[] ? K : never;
}[keyof Required<Trace>] &
  string;

/**
 * The view of a draft: its parent's, with what the draft changes laid over it. What does not change is the parent's
 * own, so that nothing is drawn again for it.
 *
 * @param base view of the revision that the draft was made from
 */
export function laidOver(base: View, change: Change): View {
  const { whole } = change.trace;
  if (whole) return { revision: change.revision, trace: whole };
  const changed = new Map(change.revision.pages.map((page) => [page.corner, page]));
  const pages = base.revision.pages.map((page) => changed.get(page.corner) ?? page);
  return { revision: { ...change.revision, pages }, trace: traceOf(base.trace, change.trace) };
}

function traceOf(base: Trace, change: Change['trace']): Trace {
  const { runs, figures, corners, marks, kerbs, zones, hazards, remarks, sky, noSky } = change;
  return {
    ...base,
    ...columns(base, runs),
    ...figures,
    corners: corners ?? base.corners,
    marks: marks ?? base.marks,
    kerbs: kerbs ?? base.kerbs,
    zones: zones ?? base.zones,
    hazards: hazards ?? base.hazards,
    remarks: remarks ?? base.remarks,
    sky: noSky ? null : (sky ?? base.sky),
  };
}

function columns(base: Trace, runs: Change['trace']['runs']): Partial<Record<Column, number[]>> {
  const copies: Partial<Record<Column, number[]>> = {};
  for (const { column, from, count, values, plus } of runs) {
    if (!isColumn(base, column)) continue;
    const copy = (copies[column] ??= base[column].slice());
    for (let k = 0; k < count; k++) {
      copy[from + k] = plus == null ? values[k] : base[column][from + k] + plus;
    }
  }
  return copies;
}

const isColumn = (trace: Trace, name: string): name is Column =>
  Array.isArray(trace[name as keyof Trace]);
