package marvek.core.drive;

import marvek.core.page.CornerPage;
import marvek.core.profile.Drive;

/**
 * A page's own part of the lap and its points there.
 *
 * @param slowest position of the slowest place in the part
 * @param reach position of the corner's own end
 */
record CornerTask(CornerPage page, Drive.Part part, CornerPoints points, int slowest, int reach) {
  /** The part up to the corner's own end: what is told of it lies there. */
  Drive.Part corner() {
    return new Drive.Part(
        part.start(), Math.max(0, Math.min(part.count(), reach + 1)), part.fromM(), part.toM());
  }
}
