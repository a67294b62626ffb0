import type { StripFrame } from './frame';
import { spread } from './labels';
import { valueAt } from './lap-axis';
import { place } from './window';
import { amountAt, FIELDS, PATHS, targetAt, type PlateShape } from '../page/fields';
import type { CornerPage, MarkReference, OwnField } from '../api/types';

/** A point of the page as it stands on the strip. */
export interface Plate {
  letter: string;
  name: string;
  station: number;
  shape: PlateShape;
  mark?: MarkReference;
  /** The value that moving it changes; without one it stays. */
  field?: OwnField;
}

/** The plates of a page in the order they are driven; what does not apply is left out. */
export function platesOf(page: CornerPage): Plate[] {
  const own = PATHS.flatMap((path) => plateOf(page, path));
  const apexes = page.apexes.map((apex, i): Plate => ({
    letter: 'A',
    name: page.apexes.length > 1 ? `apex ${i + 1}` : 'apex',
    station: apex.at_m,
    shape: 'ring',
  }));
  const lift: Plate[] = page.lift
    ? [
        {
          letter: 'L',
          name: 'lift',
          station: page.lift.at_m,
          shape: 'square',
          mark: page.lift.target,
        },
      ]
    : [];
  const onPower = own.findIndex((plate) => plate.field?.startsWith('throttle.'));
  const before = onPower < 0 ? own.length : onPower;
  return [...lift, ...own.slice(0, before), ...apexes, ...own.slice(before)];
}

/** The plate of a place along the lap that has a shape; none where the page has no such place. */
function plateOf(page: CornerPage, path: OwnField): Plate[] {
  const { kind, letter, shape, plate } = FIELDS[path];
  const station = amountAt(page, path);
  if (kind !== 'station' || !letter || !shape || !plate || station === undefined) return [];
  return [{ letter, name: plate, station, shape, mark: targetAt(page, path), field: path }];
}

/** Own values as the driver has them in the draft; places along the lap count here. */
export type Wanted = { [field in OwnField]?: unknown };

/** A plate on the strip: where its point is, and where it is drawn so that none covers another. */
export interface PlacedPlate {
  plate: Plate;
  x: number;
  y: number;
  shownX: number;
  shownY: number;
}

const PLATE_PX = 26;

/**
 * Plates at their points; where points crowd, the plates move apart along the road and off the line.
 *
 * @param wanted places that the driver has moved points to, ahead of the model's answer
 */
export function placedPlates(
  frame: StripFrame,
  page: CornerPage,
  wanted: Wanted = {},
): PlacedPlate[] {
  const all = platesOf(page).map((p) => {
    const moved = p.field && wanted[p.field];
    return typeof moved === 'number' ? { ...p, station: moved } : p;
  });
  const here = all.flatMap((plate) => {
    const d = place(frame.window, frame.trace, plate.station);
    if (d === undefined) return [];
    const offset = valueAt(frame.trace, frame.trace.offset_m, plate.station);
    return [{ plate, x: frame.across(offset), y: frame.along(d) }];
  });
  const middles = spread(
    here.map(({ y }) => ({ wanted: y, height: PLATE_PX })),
    0,
    frame.height,
  );
  return here.map((p, i) => ({ ...p, shownX: p.x, shownY: middles[i] }));
}

/**
 * Station of a plate that is moved along the strip, to a tenth of a metre.
 *
 * @param from station where it was taken [m]
 * @param metres how far ahead it is moved; what leaves the window stops at its end
 */
export function movedStation(frame: StripFrame, from: number, metres: number): number {
  const { trace, window } = frame;
  const begin = place(window, trace, from) ?? 0;
  const d = Math.min(window.length, Math.max(0, begin + metres));
  const station = Math.round((from + d - begin) * 10) / 10;
  const lap = trace.length_m;
  return trace.closed ? ((station % lap) + lap) % lap : Math.min(lap, Math.max(0, station));
}
