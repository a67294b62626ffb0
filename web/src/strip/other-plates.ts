import type { StripFrame } from './frame';
import { spread } from './labels';
import { between, valueAt } from './lap-axis';
import type { Plate } from './plates';
import { place } from './window';

/** A plate of another day beside the road's own. */
export interface AsidePlate {
  plate: Plate;
  /** The one of the page that it is told against; without one it is new. */
  from?: Plate;
  /** Its point on the line [px]. */
  x: number;
  y: number;
  /** Height of the page's own point [px]. */
  fromY?: number;
  shownX: number;
  shownY: number;
}

/** Nearer points are the same for a driver. */
const LEAST_M = 1;
const ASIDE_PX = 46;
const PLATE_PX = 27;

/** Plates of another day, drawn to the side of the line that has more of the road. */
export function asidePlates(frame: StripFrame, plates: Plate[], own: Plate[]): AsidePlate[] {
  const middle = (frame.leftMargin + frame.rightMargin) / 2;
  const here = plates.flatMap((plate) => {
    const d = place(frame.window, frame.trace, plate.station);
    if (d === undefined) return [];
    const x = frame.across(valueAt(frame.trace, frame.trace.offset_m, plate.station));
    const from = own.find((p) => p.name === plate.name);
    // What stays where it is needs no second plate.
    if (from && Math.abs(between(frame.trace, from.station, plate.station)) < LEAST_M) return [];
    const fromD = from && place(frame.window, frame.trace, from.station);
    return [
      {
        plate,
        from,
        x,
        y: frame.along(d),
        fromY: fromD === undefined ? undefined : frame.along(fromD),
        shownX: x + (x < middle ? ASIDE_PX : -ASIDE_PX),
      },
    ];
  });
  const heights = spread(
    here.map(({ y }) => ({ wanted: y, height: PLATE_PX })),
    0,
    frame.height,
  );
  return here.map((p, i) => ({ ...p, shownY: heights[i] }));
}
