import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { LinkSweep } from '../api/answers';

/** Size of the picture and its margins [px]. */
export interface PictureSize {
  width: number;
  height: number;
  left: number;
  bottom: number;
}

/** Losses beyond this much more than the best are cut off, or the middle would be flat [s]. */
const MOST_SHOWN_S = 0.6;

/** Scales and paths of a link's picture: time over the position across the road, left is left. */
export function linkPicture(sweep: LinkSweep, size: PictureSize) {
  const offsets = sweep.ways.map((way) => way.offset_m);
  const best = Math.min(...sweep.ways.map((way) => way.lost_s));
  const worst = Math.min(best + MOST_SHOWN_S, Math.max(...sweep.ways.map((way) => way.lost_s)));
  const x = scaleLinear([Math.max(...offsets), Math.min(...offsets)], [size.left, size.width - 12]);
  const y = scaleLinear(
    [best - 0.02, Math.max(worst, best + 0.05)],
    [14, size.height - size.bottom],
  );
  const shown = sweep.ways.filter((way) => way.lost_s <= worst + 1e-9);
  const path =
    line<(typeof shown)[number]>()
      .x((way) => x(way.offset_m))
      .y((way) => y(way.lost_s))(shown) ?? '';
  return { x, y, path, best };
}
