import { scaleLinear } from 'd3-scale';
import type { Trace } from '../api/types';
import type { StripFrame } from '../strip/frame';

/** Scale along the road [px/m]: 260 m are in sight, four seconds at 65 m/s. */
export const PX_PER_M = 2.1;
export const WIDTH_PX = 620;
const SIDE_PX = 170;
const MARGIN_M = 2.8;

/** Length of the pieces that the road is drawn in [m]: short enough to be drawn within a frame. */
export const PIECE_M = 120;

/** Half the width that holds the road anywhere on the lap [m]. */
export function widest(trace: Trace): number {
  return MARGIN_M + Math.max(...trace.left_m, ...trace.right_m);
}

/**
 * The frame of a piece; pieces go on behind the line of a closed lap.
 *
 * @param beyond_m drawn beyond either end, to be cut off there: so no outline shows where pieces meet
 */
export function pieceFrame(trace: Trace, piece: number, half_m: number, beyond_m = 0): StripFrame {
  const begin = piece * PIECE_M - beyond_m;
  const length = PIECE_M + 2 * beyond_m;
  const lap = trace.length_m;
  return {
    trace,
    window: { from: trace.closed ? ((begin % lap) + lap) % lap : begin, length },
    width: WIDTH_PX,
    height: PIECE_M * PX_PER_M,
    along: scaleLinear([0, length], [(PIECE_M + beyond_m) * PX_PER_M, -beyond_m * PX_PER_M]),
    across: scaleLinear([half_m, -half_m], [SIDE_PX, WIDTH_PX - SIDE_PX]),
    leftMargin: SIDE_PX,
    rightMargin: WIDTH_PX - SIDE_PX,
    gears: WIDTH_PX,
  };
}

/**
 * The pieces in sight and the next one, so that it is drawn before it comes.
 *
 * @param station where the car is [m]
 * @param behind_m in sight behind the car
 * @param ahead_m in sight ahead of it
 */
export function piecesAt(
  trace: Pick<Trace, 'closed' | 'length_m'>,
  station: number,
  behind_m: number,
  ahead_m: number,
): number[] {
  const first = Math.max(0, Math.floor((station - behind_m) / PIECE_M));
  const reach = station + ahead_m + PIECE_M;
  const end = trace.closed ? reach : Math.min(reach, trace.length_m);
  const last = Math.floor(end / PIECE_M);
  return Array.from({ length: last - first + 1 }, (_, k) => first + k);
}
