import type { Trace } from '../api/types';
import type { StripFrame } from '../strip/frame';
import { edgesAt } from '../strip/geometry';
import { ahead } from '../strip/lap-axis';
import { overlap } from '../strip/window';
import { nameOf, type Selection, type Thing, type ThingKind } from './edits';
import type { CircuitEdits } from './types';

/** Length of road that the strip of a circuit shows at once [m]. */
export const SHOWN_M = 320;

/** Stretch around the window whose things are kept at hand while it is scrolled [m]. */
const AT_HAND_M = 600;

/**
 * The lap with only the things near a place: of a long one most are far away, and need not be looked
 * through for each frame.
 */
export function atHand(trace: Trace, centre: number): Trace {
  const from = centre - AT_HAND_M;
  const near = <T extends { fromM: number; toM: number }>(things: T[]) =>
    things.filter((thing) => {
      const length = ahead(trace, thing.fromM, thing.toM);
      const d = thing.fromM - from;
      const start = trace.closed
        ? d - trace.length_m * Math.round((d - AT_HAND_M) / trace.length_m)
        : d;
      return start <= 2 * AT_HAND_M && start + length >= 0;
    });
  return {
    ...trace,
    marks: near(trace.marks),
    kerbs: near(trace.kerbs),
    zones: near(trace.zones),
    hazards: near(trace.hazards),
  };
}

/** Where a thing can be taken hold of on the strip [px]. */
export interface Hold {
  at: Selection;
  name: string;
  x: number;
  width: number;
  /** Top and bottom; the road runs upward, so that the begin is at the bottom. */
  top: number;
  bottom: number;
  /** Whether it has a length, so that its ends can be moved. */
  long: boolean;
}

const LEAST_PX = 30;

/** Places to take hold of, things on the road before those beside it. */
export function holds(frame: StripFrame, edits: CircuitEdits): Hold[] {
  const found: Hold[] = [];
  for (const kind of [
    'corners',
    'zones',
    'stretches',
    'kerbs',
    'hazards',
    'marks',
  ] as ThingKind[]) {
    (edits[kind] as Thing[]).forEach((thing, index) => {
      const part = overlap(frame.window, frame.trace, thing.fromM, thing.toM);
      if (!part) return;
      const [bottom, top] = [frame.along(part[0]), frame.along(part[1])];
      const missing = Math.max(0, LEAST_PX - (bottom - top)) / 2;
      found.push({
        at: { kind, index },
        name: nameOf(kind, thing),
        ...across(frame, kind, thing, (top + bottom) / 2),
        top: top - missing,
        bottom: bottom + missing,
        long: thing.fromM !== thing.toM,
      });
    });
  }
  return found;
}

function across(
  frame: StripFrame,
  kind: ThingKind,
  thing: Thing,
  y: number,
): { x: number; width: number } {
  const edges = edgesAt(frame, y);
  const side = 'side' in thing ? thing.side : 'ROAD';
  switch (kind) {
    case 'corners':
      return { x: 46, width: 30 };
    case 'kerbs':
      return side === 'LEFT'
        ? { x: edges.left - 18, width: 22 }
        : { x: edges.right - 4, width: 22 };
    case 'stretches':
      return side === 'LEFT'
        ? { x: edges.left + 2, width: 14 }
        : { x: edges.right - 16, width: 14 };
    case 'hazards':
      return side === 'LEFT'
        ? { x: frame.leftMargin - 10, width: 26 }
        : { x: frame.rightMargin - 16, width: 26 };
    case 'zones': {
      const middle = frame.across(0);
      const from = side === 'RIGHT' ? middle : edges.left + 4;
      const to = side === 'LEFT' ? middle : edges.right - 4;
      return { x: from, width: to - from };
    }
    default:
      if (side === 'ROAD') return { x: edges.left, width: edges.right - edges.left };
      return side === 'RIGHT'
        ? { x: frame.rightMargin + 16, width: 40 }
        : { x: frame.leftMargin - 56, width: 40 };
  }
}

/** Window of the strip around a place; at the ends of an open road it stops. */
export function windowAround(
  road: { length_m: number; closed: boolean },
  centre: number,
): { from: number; length: number } {
  const length = Math.min(SHOWN_M, road.length_m * (road.closed ? 0.9 : 1));
  const from = centre - length / 2;
  return road.closed
    ? { from: ((from % road.length_m) + road.length_m) % road.length_m, length }
    : { from: Math.max(0, Math.min(road.length_m - length, from)), length };
}

/** Round stations within a window, every `step` metres, with their heights [px]. */
export function stationTicks(frame: StripFrame, step: number): { station: number; y: number }[] {
  const { window, trace } = frame;
  const ticks: { station: number; y: number }[] = [];
  for (let s = Math.ceil(window.from / step) * step; s <= window.from + window.length; s += step) {
    const station = trace.closed ? s % trace.length_m : s;
    // Across the line the count begins anew, on another phase.
    const shown = s > trace.length_m ? Math.round(station / step) * step : station;
    const at = s > trace.length_m ? shown + trace.length_m - window.from : s - window.from;
    if (at <= window.length) ticks.push({ station: Math.round(shown), y: frame.along(at) });
  }
  return ticks;
}
