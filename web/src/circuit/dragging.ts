import type { RoadColumns } from '../api/types';
import { moved, onSide, replace, wrapped, type Selection, type Thing } from './edits';
import type { CircuitEdits } from './types';

/** Which part of a thing is held: all of it, or one of its ends. */
export type Grip = 'all' | 'from' | 'to';

const tenth = (value: number) => Math.round(value * 10) / 10;

/**
 * Edits with a thing dragged.
 *
 * @param metres how far along the road
 * @param side side of the road that the pointer is over
 */
export function dragged(
  road: RoadColumns,
  edits: CircuitEdits,
  at: Selection,
  grip: Grip,
  metres: number,
  side: 'LEFT' | 'RIGHT' | undefined,
): CircuitEdits {
  const thing = edits[at.kind][at.index] as Thing;
  const end = (station: number) => tenth(wrapped(road, station + metres));
  let next: Thing;
  if (grip === 'from') next = { ...thing, fromM: end(thing.fromM) };
  else if (grip === 'to') next = { ...thing, toM: end(thing.toM) };
  else next = moved(road, thing, metres);
  if (side && at.kind !== 'corners') next = onSide(next, side);
  return replace(edits, at, next);
}

/** Point of an SVG drawing under the pointer, in the drawing's own units. */
export function pointIn(svg: SVGSVGElement, event: PointerEvent | MouseEvent): DOMPoint {
  const matrix = svg.getScreenCTM();
  const point = new DOMPoint(event.clientX, event.clientY);
  return matrix ? point.matrixTransform(matrix.inverse()) : point;
}
