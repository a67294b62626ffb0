import type { Mark, TraceCorner } from '../api/types';
import { between } from '../strip/lap-axis';

/** A mark farther before a corner than this tells nothing of its brake point [m]. */
const REACH_M = 220;

/** What lies on the road, moves with the sun or is carried away tells no brake point for long. */
const PASSING: readonly Mark['type'][] = ['CONE', 'SHADOW', 'RUBBER', 'PARKED_VEHICLE'];

type Road = { length_m: number; closed: boolean };

/** Corners before which nothing stands that a driver could brake by, in driving order. */
export function cornersWithoutMarks(
  road: Road,
  corners: readonly TraceCorner[],
  marks: readonly Mark[],
): TraceCorner[] {
  const lasting = marks.filter((mark) => !PASSING.includes(mark.type));
  const before = (corner: TraceCorner, at: number) => between(road, at, corner.fromM);
  return corners.filter(
    (corner) =>
      !lasting.some((mark) =>
        [mark.fromM, mark.toM].some((at) => {
          const way = before(corner, at);
          return way > 0 && way <= REACH_M;
        }),
      ),
  );
}
