package marvek.formats;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import marvek.core.laps.Channel;

/**
 * What a column of a lap file holds: a channel, or the time, and what its values are multiplied
 * with to be in the channel's unit.
 *
 * @param channel null for the time
 * @param pressure whether a brake is told by its pressure and not by a share of full scale
 */
record LapColumn(Channel channel, double factor, boolean pressure) {
  private static final double MPH = 1609.344 / 3600;
  private static final double KNOT = 1852 / 3600.0;
  private static final double FOOT = 0.3048;
  private static final double G0 = 9.80665;

  private record Known(Channel channel, List<String> names) {}

  /** Names by which loggers call a channel; lower case, words apart by one blank. */
  private static final List<Known> KNOWN =
      List.of(
          new Known(null, List.of("time", "t", "elapsed time", "timestamp", "session time")),
          new Known(Channel.LAP, List.of("lap", "lap number", "lap no", "laps")),
          new Known(Channel.DISTANCE, List.of("distance", "lap distance", "dist", "odometer lap")),
          new Known(Channel.LATITUDE, List.of("lat", "latitude", "gps latitude", "gps lat")),
          new Known(
              Channel.LONGITUDE,
              List.of("lon", "lng", "long", "longitude", "gps longitude", "gps lon")),
          new Known(Channel.ALTITUDE, List.of("alt", "altitude", "elevation", "height")),
          new Known(Channel.X, List.of("x", "pos x", "east")),
          new Known(Channel.Y, List.of("y", "pos y", "north")),
          new Known(
              Channel.SPEED,
              List.of("speed", "gps speed", "vehicle speed", "velocity", "ground speed")),
          new Known(
              Channel.BRAKE,
              List.of("brake", "brake pressure", "brake pos", "brake position", "front brake")),
          new Known(
              Channel.THROTTLE,
              List.of("throttle", "throttle pos", "throttle position", "tps", "pedal position")),
          new Known(Channel.STEER, List.of("steer", "steering", "steering angle", "steer angle")),
          new Known(Channel.GEAR, List.of("gear", "gear position")),
          new Known(Channel.RPM, List.of("rpm", "engine speed", "engine rpm")),
          new Known(Channel.LATERAL_G, List.of("lat g", "lateral g", "g lat", "lateral acc")),
          new Known(
              Channel.LONGITUDINAL_G,
              List.of("long g", "longitudinal g", "g long", "inline g", "longitudinal acc")),
          new Known(Channel.YAW_RATE, List.of("yaw rate", "gyro")),
          new Known(Channel.CLUTCH, List.of("clutch", "clutch pos")));

  private static final List<String> PRESSURES = List.of("bar", "kpa", "psi");

  private static final Map<String, Double> FACTORS =
      Map.ofEntries(
          Map.entry("s", 1.0),
          Map.entry("ms", 0.001),
          Map.entry("m", 1.0),
          Map.entry("km", 1000.0),
          Map.entry("ft", FOOT),
          Map.entry("mps", 1.0),
          Map.entry("m/s", 1.0),
          Map.entry("kmh", 1 / 3.6),
          Map.entry("km/h", 1 / 3.6),
          Map.entry("kph", 1 / 3.6),
          Map.entry("mph", MPH),
          Map.entry("kn", KNOT),
          Map.entry("knots", KNOT),
          Map.entry("pct", 1.0),
          Map.entry("%", 1.0),
          Map.entry("bar", 1.0),
          Map.entry("kpa", 0.01),
          Map.entry("psi", 0.0689476),
          Map.entry("deg", 1.0),
          Map.entry("°", 1.0),
          Map.entry("g", 1.0),
          Map.entry("m/s2", 1 / G0),
          Map.entry("mps2", 1 / G0),
          Map.entry("m/s²", 1 / G0),
          Map.entry("dps", 1.0),
          Map.entry("deg/s", 1.0),
          Map.entry("rpm", 1.0),
          Map.entry("1/min", 1.0));

  boolean isTime() {
    return channel == null;
  }

  /** The column that it can be mapped to, in the unit that the file has. */
  String name() {
    return CANONICAL.stream()
        .filter(name -> of(name, "").filter(this::equals).isPresent())
        .findFirst()
        .orElseGet(() -> isTime() ? "time_s" : channel.column());
  }

  /**
   * A column by its name in the lap format, as {@code speed_kmh}.
   *
   * @param name with its unit where the format has one
   */
  static Optional<LapColumn> canonical(String name) {
    return CANONICAL.contains(name) ? of(name, "") : Optional.empty();
  }

  /** Columns of the lap format, with the units that a quantity may be in. */
  static final List<String> CANONICAL =
      List.of(
          "time_s",
          "time_ms",
          "lap",
          "distance_m",
          "distance_km",
          "distance_ft",
          "lat_deg",
          "lon_deg",
          "alt_m",
          "alt_ft",
          "x_m",
          "y_m",
          "speed_kmh",
          "speed_mps",
          "speed_mph",
          "speed_kn",
          "brake_pct",
          "brake_bar",
          "brake_kpa",
          "brake_psi",
          "throttle_pct",
          "steer_deg",
          "gear",
          "rpm",
          "lat_g",
          "long_g",
          "lateral_acc_mps2",
          "longitudinal_acc_mps2",
          "yaw_rate_dps",
          "clutch_pct");

  /**
   * What a header says.
   *
   * @param header as it stands in the file
   * @param unit from a row of units below it, or empty
   */
  static Optional<LapColumn> of(String header, String unit) {
    String name = header.strip().toLowerCase(Locale.ROOT);
    String given = unit.strip().toLowerCase(Locale.ROOT);
    int bracket = openingBracket(name);
    if (bracket >= 0) {
      given = name.substring(bracket + 1, name.length() - 1).strip();
      name = name.substring(0, bracket).strip();
    } else if (name.contains("_")
        && FACTORS.containsKey(name.substring(name.lastIndexOf('_') + 1))) {
      String last = name.substring(name.lastIndexOf('_') + 1);
      given = given.isEmpty() ? last : given;
      // "lat_g" is a name of its own and no latitude in g.
      if (known(words(name)).isEmpty()) {
        name = name.substring(0, name.lastIndexOf('_'));
      }
    }
    double factor = FACTORS.getOrDefault(given, 1.0);
    String unitOf = given;
    boolean speedUnitMissing = given.isEmpty();
    return known(words(name))
        .map(
            k ->
                new LapColumn(
                    k.channel(),
                    // A speed without a unit is most often in km/h; the check against the way
                    // that was covered puts it right where it is not.
                    k.channel() == Channel.SPEED && speedUnitMissing ? 1 / 3.6 : factor,
                    k.channel() == Channel.BRAKE && PRESSURES.contains(unitOf)));
  }

  /** Where the unit of a name like "Speed (km/h)" begins; -1 where it ends on no bracket. */
  private static int openingBracket(String name) {
    if (!name.endsWith("]") && !name.endsWith(")")) {
      return -1;
    }
    int round = name.indexOf('(');
    int square = name.indexOf('[');
    return round < 0 || square < 0 ? Math.max(round, square) : Math.min(round, square);
  }

  private static String words(String name) {
    return name.replace('_', ' ').replaceAll("\\s+", " ").strip();
  }

  private static Optional<Known> known(String words) {
    return KNOWN.stream().filter(k -> k.names().contains(words)).findFirst();
  }

  /** Whether a text is a unit of a row of units. */
  static boolean isUnit(String text) {
    String plain = text.strip().toLowerCase(Locale.ROOT).replaceAll("^[\\[(]|[\\])]$", "");
    return plain.isEmpty() || FACTORS.containsKey(plain);
  }
}
