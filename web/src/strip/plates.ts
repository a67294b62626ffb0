import type { StripFrame } from './frame';
import { spread } from './labels';
import { valueAt } from './lap-axis';
import { place } from './window';
import type { CornerPage, MarkReference, OwnField } from '../api/types';

/** A point of the page as it stands on the strip. */
export interface Plate {
  letter: string;
  name: string;
  station: number;
  shape: 'square' | 'diamond' | 'frame' | 'ring' | 'triangle' | 'flag' | 'plain';
  mark?: MarkReference;
  /** The value that moving it changes; without one it stays. */
  field?: Extract<
    OwnField,
    'brake.at_m' | 'turnIn.at_m' | 'trailBrake.release_m' | 'throttle.first_m' | 'throttle.full_m'
  >;
}

/** The plates of a page in the order they are driven; what does not apply is left out. */
export function platesOf(page: CornerPage): Plate[] {
  const plates: (Plate | undefined)[] = [
    page.brake.at_m === undefined
      ? undefined
      : {
          letter: 'B',
          name: 'brake',
          station: page.brake.at_m,
          shape: 'square',
          mark: page.brake.target,
          field: 'brake.at_m',
        },
    {
      letter: 'T',
      name: 'turn in',
      station: page.turnIn.at_m,
      shape: 'diamond',
      mark: page.turnIn.target,
      field: 'turnIn.at_m',
    },
    page.trailBrake && {
      letter: 'R',
      name: 'release',
      station: page.trailBrake.release_m,
      shape: 'frame',
      field: 'trailBrake.release_m',
    },
    ...page.apexes.map((apex, i): Plate => ({
      letter: 'A',
      name: page.apexes.length > 1 ? `apex ${i + 1}` : 'apex',
      station: apex.at_m,
      shape: 'ring',
    })),
    page.throttle.first_m === undefined
      ? undefined
      : {
          letter: 'D',
          name: 'drive',
          station: page.throttle.first_m,
          shape: 'triangle',
          field: 'throttle.first_m',
        },
    page.throttle.full_m === undefined
      ? undefined
      : {
          letter: 'F',
          name: 'flat',
          station: page.throttle.full_m,
          shape: 'flag',
          field: 'throttle.full_m',
        },
  ];
  return plates.filter((plate): plate is Plate => plate !== undefined);
}

/** Stations of points as the driver has them in the draft [m]. */
export type Wanted = { [field in NonNullable<Plate['field']>]?: number };

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
  const all = platesOf(page).map((p) => ({
    ...p,
    station: (p.field && wanted[p.field]) ?? p.station,
  }));
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
