package marvek.formats;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a column of a table of a road's points can hold, in the unit that its name ends on.
 *
 * @param name as the centreline CSV and the lap CSV spell it
 * @param factor on its values, to be in metres or degrees
 */
record RoadColumn(String name, Quantity quantity, double factor) {
  private static final double FOOT_M = 0.3048;

  /** What is meant, whatever its unit. */
  enum Quantity {
    X(List.of("x", "pos x", "east", "easting")),
    Y(List.of("y", "pos y", "north", "northing")),
    HEIGHT(List.of("z", "alt", "altitude", "elevation", "height", "ele", "gps altitude")),
    LATITUDE(List.of("lat", "latitude", "gps latitude", "gps lat")),
    LONGITUDE(List.of("lon", "lng", "long", "longitude", "gps longitude", "gps lon")),
    WIDTH_LEFT(List.of("width left", "left width", "w left", "w l", "left")),
    WIDTH_RIGHT(List.of("width right", "right width", "w right", "w r", "right")),
    WIDTH(List.of("width", "road width", "track width")),
    BANKING(List.of("banking", "bank angle", "crossfall"));

    private final List<String> names;

    Quantity(List<String> names) {
      this.names = names;
    }
  }

  static final List<RoadColumn> ALL =
      List.of(
          new RoadColumn("x_m", Quantity.X, 1),
          new RoadColumn("y_m", Quantity.Y, 1),
          new RoadColumn("x_ft", Quantity.X, FOOT_M),
          new RoadColumn("y_ft", Quantity.Y, FOOT_M),
          new RoadColumn("lat_deg", Quantity.LATITUDE, 1),
          new RoadColumn("lon_deg", Quantity.LONGITUDE, 1),
          new RoadColumn("z_m", Quantity.HEIGHT, 1),
          new RoadColumn("z_ft", Quantity.HEIGHT, FOOT_M),
          new RoadColumn("width_left_m", Quantity.WIDTH_LEFT, 1),
          new RoadColumn("width_right_m", Quantity.WIDTH_RIGHT, 1),
          new RoadColumn("width_m", Quantity.WIDTH, 1),
          new RoadColumn("width_left_ft", Quantity.WIDTH_LEFT, FOOT_M),
          new RoadColumn("width_right_ft", Quantity.WIDTH_RIGHT, FOOT_M),
          new RoadColumn("width_ft", Quantity.WIDTH, FOOT_M),
          new RoadColumn("banking_deg", Quantity.BANKING, 1));

  static Optional<RoadColumn> canonical(String name) {
    return ALL.stream().filter(column -> column.name.equals(name)).findFirst();
  }

  /** What a header says, as "Latitude (deg)", "gps_lat" or "width_left_m"; empty if nothing. */
  static Optional<RoadColumn> of(String header) {
    Optional<RoadColumn> exact = canonical(header);
    if (exact.isPresent()) {
      return exact;
    }
    String text = header.toLowerCase(Locale.ROOT).replaceAll("[_\\[\\]()°\\s]+", " ").strip();
    boolean feet = text.endsWith(" ft") || text.endsWith(" feet");
    String words = text.replaceFirst(" (m|ft|feet|metres|meters|deg|degrees)$", "");
    return ALL.stream()
        .filter(column -> column.quantity.names.contains(words))
        .filter(column -> column.name.endsWith("_ft") == feet)
        .findFirst();
  }
}
