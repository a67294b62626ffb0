import type { Zone } from '../api/types';
import type { StripFrame } from './frame';
import { valueAt } from './lap-axis';
import { overlap } from './window';

/** How a zone is drawn on the road: a texture of strokes, and its name in its middle. */
export interface ZoneShape {
  path: string;
  dash: string;
  name: string;
  x: number;
  y: number;
}

const ROW_M = 5;

/** Ripples for bumps and dips, short strokes for what is slippery, an arc for a crest. */
export function zoneShape(frame: StripFrame, zone: Zone): ZoneShape | undefined {
  const part = overlap(frame.window, frame.trace, zone.fromM, zone.toM);
  if (!part || part[1] - part[0] < 2) return undefined;
  const [a, b] = part;
  const type = zone.type.toLowerCase().replaceAll('_', '-');
  const forGroups = type === 'regroup' || type === 'let-by';
  const rows = Math.max(1, Math.round((b - a) / ROW_M));
  const strokes: string[] = [];
  // Nothing of the road: only where it begins and ends is drawn.
  for (let k = 0; k <= rows; k += forGroups ? rows : 1) {
    const d = a + ((b - a) * k) / rows;
    const [x0, x1] = sides(frame, zone.side, d);
    strokes.push(stroke(type, x0, x1, frame.along(d)));
  }
  const [x0, x1] = sides(frame, zone.side, (a + b) / 2);
  return {
    path: strokes.join(''),
    dash: type === 'bump' || type === 'dip' || type === 'crest' ? 'none' : '2 7',
    name: type.replaceAll('-', ' '),
    x: (x0 + x1) / 2,
    y: frame.along((a + b) / 2) + 4,
  };
}

function sides(frame: StripFrame, side: string, d: number): [number, number] {
  const station = frame.window.from + d;
  const left = valueAt(frame.trace, frame.trace.left_m, station) - 0.6;
  const right = -valueAt(frame.trace, frame.trace.right_m, station) + 0.6;
  const from = side.toUpperCase() === 'RIGHT' ? 0 : left;
  const to = side.toUpperCase() === 'LEFT' ? 0 : right;
  return [frame.across(from), frame.across(to)];
}

function stroke(type: string, x0: number, x1: number, y: number): string {
  if (type === 'crest') return `M${x0} ${y + 4} Q${(x0 + x1) / 2} ${y - 8} ${x1} ${y + 4}`;
  if (type === 'bump' || type === 'dip') {
    const waves = Math.max(2, Math.round((x1 - x0) / 18));
    const w = (x1 - x0) / waves;
    const bow = type === 'bump' ? -5 : 5;
    return `M${x0} ${y}` + `q${w / 2} ${bow} ${w} 0`.repeat(waves);
  }
  return `M${x0} ${y} H${x1}`;
}
