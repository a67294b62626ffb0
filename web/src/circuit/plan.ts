import { line } from 'd3-shape';
import type { RoadColumns } from '../api/types';
import { valueAt } from '../strip/lap-axis';

/** A plan of the road fitted into a box, north up. */
export interface PlanFrame {
  road: RoadColumns;
  width: number;
  height: number;
  /** Pixels a metre. */
  scale: number;
  /** A place given along and across the road, in pixels. */
  at: (station: number, offset?: number) => [number, number];
  /** Pixels to metres of the plane. */
  invert: (px: number, py: number) => [number, number];
}

const MARGIN_PX = 34;

/**
 * @param zoom 1 shows the whole circuit, more a part of it around a place
 * @param centre station of that place
 */
export function planFrame(
  road: RoadColumns,
  width: number,
  height: number,
  zoom = 1,
  centre = 0,
): PlanFrame {
  const [x0, x1] = extent(road.x_m);
  const [y0, y1] = extent(road.y_m);
  const fit = Math.min(
    (width - 2 * MARGIN_PX) / Math.max(1, x1 - x0),
    (height - 2 * MARGIN_PX) / Math.max(1, y1 - y0),
  );
  const scale = fit * zoom;
  const [cx, cy] =
    zoom > 1
      ? [valueAt(road, road.x_m, centre), valueAt(road, road.y_m, centre)]
      : [(x0 + x1) / 2, (y0 + y1) / 2];
  const px = (x: number) => width / 2 + (x - cx) * scale;
  const py = (y: number) => height / 2 - (y - cy) * scale;
  const at = (station: number, offset = 0): [number, number] => {
    const [nx, ny] = normal(road, station);
    return [
      px(valueAt(road, road.x_m, station) + offset * nx),
      py(valueAt(road, road.y_m, station) + offset * ny),
    ];
  };
  const invert = (x: number, y: number): [number, number] => [
    cx + (x - width / 2) / scale,
    cy - (y - height / 2) / scale,
  ];
  return { road, width, height, scale, at, invert };
}

/** Smallest and largest of many numbers; spreading them over arguments has its limit. */
function extent(values: number[]): [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const v of values) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  return [low, high];
}

/** Unit normal that points to the left. */
function normal(road: RoadColumns, station: number): [number, number] {
  const step = road.step_m;
  const dx = valueAt(road, road.x_m, station + step) - valueAt(road, road.x_m, station - step);
  const dy = valueAt(road, road.y_m, station + step) - valueAt(road, road.y_m, station - step);
  const length = Math.hypot(dx, dy) || 1;
  return [-dy / length, dx / length];
}

/** Every sample of the road, or fewer where the plan could not show them. */
export function outline(frame: PlanFrame): string {
  const { road } = frame;
  const stride = Math.max(1, Math.floor(1 / (frame.scale * road.step_m)));
  const stations: number[] = [];
  for (let i = 0; i < road.x_m.length; i += stride) stations.push(i * road.step_m);
  const path = line<number>()
    .x((s) => frame.at(s)[0])
    .y((s) => frame.at(s)[1])(stations);
  return (path ?? '') + (road.closed ? 'Z' : '');
}

/** A stretch beside the road, or on it, as a path. */
export function stretch(frame: PlanFrame, from: number, length: number, offset: number): string {
  const count = Math.max(2, Math.ceil(length / 6));
  return (
    line<number>()
      .x((k) => frame.at(from + (k * length) / count, offset)[0])
      .y((k) => frame.at(from + (k * length) / count, offset)[1])(
      Array.from({ length: count + 1 }, (_, k) => k),
    ) ?? ''
  );
}

/** The place of the road that is nearest to a point of the plane: station and offset. */
export function nearest(road: RoadColumns, x: number, y: number): [number, number] {
  let best = 0;
  let least = Infinity;
  for (let i = 0; i < road.x_m.length; i++) {
    const square = (road.x_m[i] - x) ** 2 + (road.y_m[i] - y) ** 2;
    if (square < least) {
      least = square;
      best = i;
    }
  }
  const station = best * road.step_m;
  const [nx, ny] = normal(road, station);
  const dx = x - road.x_m[best];
  const dy = y - road.y_m[best];
  const along = Math.max(-road.step_m / 2, Math.min(road.step_m / 2, dx * ny - dy * nx));
  return [station + along, dx * nx + dy * ny];
}

/** Of labels at these places those that do not cover an earlier one; `least` apart [px]. */
export function uncovered<T>(things: T[], at: (thing: T) => [number, number], least: number): T[] {
  const taken = new Set<string>();
  return things.filter((thing) => {
    const [x, y] = at(thing).map((v) => Math.round(v / least));
    for (let dx = -1; dx <= 1; dx++) {
      for (let dy = -1; dy <= 1; dy++) {
        if (taken.has(`${x + dx},${y + dy}`)) return false;
      }
    }
    taken.add(`${x},${y}`);
    return true;
  });
}
