import type { StripFrame } from './frame';
import { place } from './window';

/** Places at which laps did the same thing, for the scatter on a strip. */
export interface Scatter {
  /** Letter of the plate that they belong to. */
  letter: string;
  name: string;
  stations: number[];
}

/** A tick of one lap. */
export interface Tick {
  x: number;
  y: number;
}

const COLUMN_PX = 22;

/** Ticks of one kind in a column of their own over the road, so that kinds do not mix. */
export function ticksOf(frame: StripFrame, scatter: Scatter, column: number): Tick[] {
  const x = frame.leftMargin + 26 + column * COLUMN_PX;
  return scatter.stations.flatMap((station) => {
    const d = place(frame.window, frame.trace, station);
    return d === undefined ? [] : [{ x, y: frame.along(d) }];
  });
}
