import { curveMonotoneY, line } from 'd3-shape';
import type { StripFrame } from './frame';
import { place } from './window';

/** Another line laid over the strip: offsets from a station on, one every step. */
export interface OtherLine {
  /** Short letters that stand at its end. */
  letters: string;
  name: string;
  from_m: number;
  step_m: number;
  offset_m: number[];
  /** Dashes that tell it from the others. */
  dash: string;
  /** Drawn as the one that is looked at. */
  strong?: boolean;
}

/** Dashes by place in a list, so that lines differ without colour. */
export const DASHES = ['', '9 4', '2 4', '14 4 2 4', '5 3', '1 3', '10 3 1 3 1 3'];

const STEP = 4;

function points(frame: StripFrame, other: OtherLine): [number, number][] {
  const found: [number, number][] = [];
  for (let k = 0; k < other.offset_m.length; k += STEP) {
    const d = place(frame.window, frame.trace, other.from_m + k * other.step_m);
    if (d !== undefined) found.push([frame.across(other.offset_m[k]), frame.along(d)]);
  }
  return found;
}

/** The line as a path; empty where none of it lies in the window. */
export function otherPath(frame: StripFrame, other: OtherLine): string {
  return line<[number, number]>().curve(curveMonotoneY)(points(frame, other)) ?? '';
}

/**
 * Where a line's letters stand: where it is farthest from the line that is driven, so that they tell
 * most; apart from those before by the order of the list.
 */
export function lettersAt(
  frame: StripFrame,
  other: OtherLine,
  driven: (station: number) => number,
  order: number,
): { x: number; y: number } | undefined {
  let best: { x: number; y: number } | undefined;
  let most = -1;
  for (let k = 0; k < other.offset_m.length; k += STEP) {
    const station = other.from_m + k * other.step_m;
    const d = place(frame.window, frame.trace, station);
    if (d === undefined) continue;
    const away = Math.abs(other.offset_m[k] - driven(station));
    if (away > most) {
      most = away;
      best = { x: frame.across(other.offset_m[k]), y: frame.along(d) };
    }
  }
  return best && { x: best.x, y: best.y + ((order % 3) - 1) * 15 };
}
