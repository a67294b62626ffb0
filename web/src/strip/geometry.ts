import { area, curveMonotoneY, line } from 'd3-shape';
import type { Kerb, Trace } from '../api/types';
import type { StripFrame } from './frame';
import { valueAt } from './lap-axis';
import { overlap, samples } from './window';

/** Widest pressure and drive wedge [px]. */
export const WEDGE_PX = 34;
const STEP_M = 4;

const station = (frame: StripFrame, d: number) => frame.window.from + d;

function column(frame: StripFrame, values: number[], d: number): number {
  return valueAt(frame.trace, values, station(frame, d));
}

/** Outline of the road between its white lines. */
export function roadPath(frame: StripFrame): string {
  const { trace, along, across } = frame;
  return (
    area<number>()
      .y((d) => along(d))
      .x0((d) => across(column(frame, trace.left_m, d)))
      .x1((d) => across(-column(frame, trace.right_m, d)))(samples(frame.window, STEP_M)) ?? ''
  );
}

/** One white line. */
export function edgePath(frame: StripFrame, side: 'left' | 'right'): string {
  const { trace, along, across } = frame;
  const offset = (d: number) =>
    side === 'left' ? column(frame, trace.left_m, d) : -column(frame, trace.right_m, d);
  return (
    line<number>()
      .y((d) => along(d))
      .x((d) => across(offset(d)))(samples(frame.window, STEP_M)) ?? ''
  );
}

/** How far out the body's edge may go on one side: beyond the white line where a kerb allows it. */
export function allowedPath(frame: StripFrame, side: 'left' | 'right'): string {
  const { trace, along, across } = frame;
  const allowed = side === 'left' ? trace.allowedLeft_m : trace.allowedRight_m;
  if (!allowed) return '';
  const edge = side === 'left' ? trace.left_m : trace.right_m;
  const sign = side === 'left' ? 1 : -1;
  const beyond = (d: number) => column(frame, allowed, d) > column(frame, edge, d) + 0.02;
  return (
    line<number>()
      .defined(beyond)
      .y((d) => along(d))
      .x((d) => across(sign * column(frame, allowed, d)))(samples(frame.window, 2)) ?? ''
  );
}

/** The car's line. */
export function linePath(frame: StripFrame): string {
  const { trace, along, across } = frame;
  return (
    line<number>()
      .curve(curveMonotoneY)
      .y((d) => along(d))
      .x((d) => across(column(frame, trace.offset_m, d)))(samples(frame.window, STEP_M)) ?? ''
  );
}

/** Where so much of a pedal is drawn at a place of the window [px]. */
export function wedgeX(frame: StripFrame, d: number, what: 'brake' | 'drive', pct: number): number {
  const sign = what === 'brake' ? -1 : 1;
  const line = frame.across(column(frame, frame.trace.offset_m, d));
  return line + sign * (3 + (WEDGE_PX * pct) / 100);
}

/** Wedge beside the line: to the left for brake pressure, to the right for the throttle. */
export function wedgePath(frame: StripFrame, what: 'brake' | 'drive'): string {
  const { trace, along } = frame;
  const values = what === 'brake' ? trace.brake_pct : trace.throttle_pct;
  return (
    area<number>()
      .y((d) => along(d))
      .x0((d) => wedgeX(frame, d, what, 0))
      .x1((d) => wedgeX(frame, d, what, column(frame, values, d)))
      .defined((d) => column(frame, values, d) > 0.5)(samples(frame.window, 2)) ?? ''
  );
}

/** Teeth on the inside edge, the longer the tighter the road bends there: the bend that a straight
 * picture of the road loses. One every ten metres. */
export function bendTeeth(frame: StripFrame): { x1: number; x2: number; y: number }[] {
  const { trace, along, across } = frame;
  return samples(frame.window, 8)
    .map((d) => {
      const kappa = column(frame, trace.curvature_perM, d);
      const edge =
        kappa > 0
          ? across(column(frame, trace.left_m, d)) - 16
          : across(-column(frame, trace.right_m, d)) + 16;
      const length = Math.min(46, Math.abs(kappa) * 900);
      return { x1: edge, x2: edge - Math.sign(kappa) * length, y: along(d) };
    })
    .filter((tooth) => Math.abs(tooth.x2 - tooth.x1) > 3);
}

/** Chevrons that point uphill, closer together the steeper it is. */
export function gradeChevrons(frame: StripFrame): { x: number; y: number; up: boolean }[] {
  const { trace, along, across } = frame;
  const found: { x: number; y: number; up: boolean }[] = [];
  let climbed = 0;
  for (const d of samples(frame.window, 2)) {
    const grade = column(frame, trace.grade_pct, d);
    climbed += Math.abs(grade) * 2;
    if (climbed > 60) {
      climbed = 0;
      for (const share of [-0.55, 0, 0.55]) {
        found.push({
          x: across(share * column(frame, trace.left_m, d)),
          y: along(d),
          up: grade > 0,
        });
      }
    }
  }
  return found;
}

/** A kerb as it is: outline against the road's edge, by its profile. */
export function kerbPath(frame: StripFrame, kerb: Kerb): string {
  const { trace, along, across } = frame;
  const part = overlap(frame.window, trace, kerb.fromM, kerb.toM);
  if (!part) return '';
  const [a, b] = part;
  const left = kerb.side === 'LEFT';
  const sign = left ? -1 : 1;
  const count = Math.max(2, Math.round((b - a) / 4));
  const width = 4 + 7 * kerb.widthM;
  const edge = (d: number) =>
    across(left ? column(frame, trace.left_m, d) : -column(frame, trace.right_m, d)) + sign;
  const points: string[] = [];
  for (let k = 0; k <= count; k++) {
    const d = a + ((b - a) * k) / count;
    const bulge = profileAt(kerb.profile, k, count);
    points.push(`${(edge(d) + sign * width * bulge).toFixed(1)} ${along(d).toFixed(1)}`);
  }
  return `M${edge(a)} ${along(a)} L${points.join(' L')} L${edge(b)} ${along(b)} Z`;
}

function profileAt(profile: Kerb['profile'], k: number, count: number): number {
  switch (profile) {
    case 'SERRATED':
      return k % 2 === 0 ? 0.35 : 1;
    case 'SAUSAGE':
      return 0.45 + 0.55 * Math.abs(Math.sin((Math.PI * k) / 2));
    case 'RAMP':
      return 0.4 + (0.6 * k) / count;
    case 'CROWNED':
      return Math.sqrt(Math.max(0, 1 - ((2 * k) / count - 1) ** 2)) * 0.7 + 0.3;
    default:
      return 0.8;
  }
}

/** The corner in its true shape: edges and line in plan, turned so that the car enters from below. */
export function planPaths(trace: Trace, from: number, length: number, size: number) {
  const { scale, turn } = planScale(trace, from, length, size);
  const path = (offset: (s: number) => number) =>
    line()(
      Array.from({ length: Math.ceil(length / 4) + 1 }, (_, k) => {
        const s = from + Math.min(length, k * 4);
        return scale(turn(s, offset(s)));
      }),
    ) ?? '';
  return {
    left: path((s) => valueAt(trace, trace.left_m, s)),
    right: path((s) => -valueAt(trace, trace.right_m, s)),
    line: path((s) => valueAt(trace, trace.offset_m, s)),
    at: (s: number) => scale(turn(s, valueAt(trace, trace.offset_m, s))),
  };
}

function planScale(trace: Trace, from: number, length: number, size: number) {
  const point = (s: number): [number, number] => [
    valueAt(trace, trace.x_m, s),
    valueAt(trace, trace.y_m, s),
  ];
  const heading = (s: number) => {
    const [x0, y0] = point(s - 2);
    const [x1, y1] = point(s + 2);
    return Math.atan2(y1 - y0, x1 - x0);
  };
  const first = heading(from + 4);
  const cos = Math.cos(Math.PI / 2 - first);
  const sin = Math.sin(Math.PI / 2 - first);
  const turn = (s: number, offset: number): [number, number] => {
    const [x, y] = point(s);
    const h = heading(s);
    const px = x - offset * Math.sin(h);
    const py = y + offset * Math.cos(h);
    return [px * cos - py * sin, px * sin + py * cos];
  };
  const xs: number[] = [];
  const ys: number[] = [];
  for (let d = 0; d <= length; d += 8) {
    for (const offset of [-8, 8]) {
      const [x, y] = turn(from + d, offset);
      xs.push(x);
      ys.push(y);
    }
  }
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const factor = size / Math.max(x1 - x0, y1 - y0);
  const shiftX = (size - (x1 - x0) * factor) / 2;
  const shiftY = (size - (y1 - y0) * factor) / 2;
  const scale = ([x, y]: [number, number]): [number, number] => [
    shiftX + (x - x0) * factor,
    size - shiftY - (y - y0) * factor,
  ];
  return { scale, turn };
}

/** Both edges of the road at a height of the drawing [px]. */
export function edgesAt(frame: StripFrame, y: number): { left: number; right: number } {
  const d = frame.along.invert(y);
  return {
    left: frame.across(column(frame, frame.trace.left_m, d)),
    right: frame.across(-column(frame, frame.trace.right_m, d)),
  };
}
