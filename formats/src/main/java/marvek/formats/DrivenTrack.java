package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.TrackPoint;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/** Positions of a GPX file or of a table with positions, in the plane of a circuit. */
public final class DrivenTrack {
  private DrivenTrack() {}

  /**
   * Reads a file's positions in the order in which they stand.
   *
   * @throws BadFileException if it holds none, or places on the earth while the circuit has none
   */
  public static List<TrackPoint> read(byte[] bytes, Circuit circuit) {
    return CircuitImport.firstCharacter(bytes) == '<'
        ? gpx(GpxReader.read(bytes), circuit)
        : table(RoadTable.read(bytes, Map.of()), circuit);
  }

  private static List<TrackPoint> gpx(GpxFile file, Circuit circuit) {
    if (file.size() == 0) {
      throw BadFileException.whole(Sentence.of("file.no-track-driven"));
    }
    LocalPlane plane = plane(circuit);
    List<TrackPoint> points = new ArrayList<>();
    for (int i = 0; i < file.size(); i++) {
      points.add(onEarth(plane, file.latDegAt(i), file.lonDegAt(i)));
    }
    return points;
  }

  private static List<TrackPoint> table(RoadTable table, Circuit circuit) {
    boolean inPlane = table.has(RoadColumn.Quantity.X) && table.has(RoadColumn.Quantity.Y);
    boolean earth = table.onEarth() && !(inPlane && circuit.origin() == null);
    LocalPlane plane = earth ? plane(circuit) : null;
    List<TrackPoint> points = new ArrayList<>();
    for (int i = 0; i < table.size(); i++) {
      TrackPoint point = point(table, i, plane);
      if (point != null) {
        points.add(point);
      }
    }
    return points;
  }

  /** A row's position; null where its cells are empty: a receiver starts later than its logger. */
  private static @Nullable TrackPoint point(RoadTable table, int i, @Nullable LocalPlane plane) {
    double a = table.at(plane != null ? RoadColumn.Quantity.LATITUDE : RoadColumn.Quantity.X, i);
    double b = table.at(plane != null ? RoadColumn.Quantity.LONGITUDE : RoadColumn.Quantity.Y, i);
    if (Double.isNaN(a) || Double.isNaN(b)) {
      return null;
    }
    return plane != null ? onEarth(plane, a, b) : new TrackPoint(a, b, Double.NaN);
  }

  private static TrackPoint onEarth(LocalPlane plane, double latDeg, double lonDeg) {
    double[] xy = plane.toPlane(latDeg, lonDeg);
    return new TrackPoint(xy[0], xy[1], Double.NaN);
  }

  private static LocalPlane plane(Circuit circuit) {
    if (circuit.origin() == null) {
      throw BadFileException.whole(Sentence.of("file.circuit-drawn"));
    }
    return new LocalPlane(circuit.origin());
  }
}
