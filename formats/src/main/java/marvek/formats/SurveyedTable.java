package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Survey;
import marvek.core.say.Sentence;

/** A circuit from a table whose points say how wide the road is. */
final class SurveyedTable {
  /** Points nearer than this are one. */
  private static final double SAME_POINT_M = 0.05;

  private final RoadTable table;
  private final GeoPoint origin;
  private final List<Integer> kept = new ArrayList<>();
  private final List<double[]> places = new ArrayList<>();
  private final List<Sentence> warnings = new ArrayList<>();

  private SurveyedTable(RoadTable table) {
    this.table = table;
    this.origin =
        table.onEarth()
            ? new GeoPoint(
                table.at(RoadColumn.Quantity.LATITUDE, 0),
                table.at(RoadColumn.Quantity.LONGITUDE, 0))
            : null;
  }

  /**
   * The circuit; closed where its ends meet.
   *
   * @throws BadFileException with the line of the point that cannot be
   */
  static Imported<Circuit> circuit(RoadTable table, String name) {
    SurveyedTable worker = new SurveyedTable(table);
    worker.places();
    Survey survey = worker.survey();
    if (worker.origin == null) {
      return new Imported<>(Circuit.bare(name, survey), worker.warnings);
    }
    String zone = PlaceZone.nearest(worker.origin).getId();
    worker.warnings.add(Sentence.of("circuit.zone-by-place", "zone", zone));
    return new Imported<>(Circuit.bare(name, survey, worker.origin, zone), worker.warnings);
  }

  private void places() {
    LocalPlane plane = origin == null ? null : new LocalPlane(origin);
    for (int i = 0; i < table.size(); i++) {
      double[] xy =
          plane == null
              ? new double[] {
                table.at(RoadColumn.Quantity.X, i), table.at(RoadColumn.Quantity.Y, i)
              }
              : plane.toPlane(
                  table.at(RoadColumn.Quantity.LATITUDE, i),
                  table.at(RoadColumn.Quantity.LONGITUDE, i));
      if (places.isEmpty() || distance(places.get(places.size() - 1), xy) > SAME_POINT_M) {
        places.add(xy);
        kept.add(i);
      }
    }
    if (places.size() > 4 && distance(places.get(0), places.get(places.size() - 1)) < 0.5) {
      places.remove(places.size() - 1);
      kept.remove(kept.size() - 1);
      warnings.add(Sentence.of("circuit.last-repeats"));
    }
  }

  private static double distance(double[] a, double[] b) {
    return Math.hypot(b[0] - a[0], b[1] - a[1]);
  }

  private Survey survey() {
    boolean closed = distance(places.get(0), places.get(places.size() - 1)) <= Survey.MAX_SPACING_M;
    if (!closed) {
      warnings.add(Sentence.of("circuit.open"));
    }
    double[] heights = column(RoadColumn.Quantity.HEIGHT, 1);
    if (java.util.Arrays.stream(heights).anyMatch(Double::isNaN)) {
      warnings.add(Sentence.of("circuit.no-heights"));
      heights = new double[kept.size()];
    }
    double[] banking = column(RoadColumn.Quantity.BANKING, Math.PI / 180);
    for (int i = 0; i < banking.length; i++) {
      banking[i] = Double.isNaN(banking[i]) ? 0 : banking[i];
    }
    boolean whole = table.has(RoadColumn.Quantity.WIDTH);
    try {
      return new Survey(
          places.stream().mapToDouble(p -> p[0]).toArray(),
          places.stream().mapToDouble(p -> p[1]).toArray(),
          heights,
          whole
              ? column(RoadColumn.Quantity.WIDTH, 0.5)
              : column(RoadColumn.Quantity.WIDTH_LEFT, 1),
          whole
              ? column(RoadColumn.Quantity.WIDTH, 0.5)
              : column(RoadColumn.Quantity.WIDTH_RIGHT, 1),
          banking,
          closed);
    } catch (InvalidValueException e) {
      throw e.index() < 0
          ? BadFileException.whole(e)
          : BadFileException.atLine(table.lineAt(kept.get(e.index())), e.field(), e);
    }
  }

  private double[] column(RoadColumn.Quantity quantity, double factor) {
    return kept.stream().mapToDouble(i -> factor * table.at(quantity, i)).toArray();
  }
}
