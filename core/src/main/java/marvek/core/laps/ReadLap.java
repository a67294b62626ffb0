package marvek.core.laps;

import java.util.List;

/**
 * The page's own lap or a driven one, as it was read.
 *
 * @param corners in the order of the pages
 * @param lineErrorM by which its offsets still scatter; 0 where they are known
 */
public record ReadLap(AlongLap along, List<CornerReading> corners, double lineErrorM) {
  public ReadLap {
    corners = List.copyOf(corners);
  }

  /** The same with other pedals along the lap. */
  public ReadLap along(AlongLap other) {
    return new ReadLap(other, corners, lineErrorM);
  }
}
