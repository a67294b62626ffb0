import type { StripFrame } from './frame';
import { spread } from './labels';
import { valueAt } from './lap-axis';
import { place } from './window';
import type { CornerPage, MarkReference } from '../api/types';

/** A point of the page as it stands on the strip. */
export interface Plate {
  letter: string;
  name: string;
  station: number;
  shape: 'square' | 'diamond' | 'frame' | 'ring' | 'triangle' | 'flag' | 'plain';
  mark?: MarkReference;
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
        },
    {
      letter: 'T',
      name: 'turn in',
      station: page.turnIn.at_m,
      shape: 'diamond',
      mark: page.turnIn.target,
    },
    page.trailBrake && {
      letter: 'R',
      name: 'release',
      station: page.trailBrake.release_m,
      shape: 'frame',
    },
    ...page.apexes.map((apex, i): Plate => ({
      letter: 'A',
      name: page.apexes.length > 1 ? `apex ${i + 1}` : 'apex',
      station: apex.at_m,
      shape: 'ring',
    })),
    page.throttle.first_m === undefined
      ? undefined
      : { letter: 'D', name: 'drive', station: page.throttle.first_m, shape: 'triangle' },
    page.throttle.full_m === undefined
      ? undefined
      : { letter: 'F', name: 'flat', station: page.throttle.full_m, shape: 'flag' },
  ];
  return plates.filter((plate): plate is Plate => plate !== undefined);
}

/** A plate on the strip: where its point is, and where it is drawn so that none covers another. */
export interface PlacedPlate {
  plate: Plate;
  x: number;
  y: number;
  shownX: number;
  shownY: number;
}

const PLATE_PX = 26;

/** Plates at their points; where points crowd, the plates move apart along the road and off the line. */
export function placedPlates(frame: StripFrame, page: CornerPage): PlacedPlate[] {
  const here = platesOf(page).flatMap((plate) => {
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
