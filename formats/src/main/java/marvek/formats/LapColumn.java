package marvek.formats;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import marvek.core.laps.Channel;
import org.jspecify.annotations.Nullable;

/**
 * What a column of a lap file holds: a channel, or the time, and what its values are multiplied
 * with to be in the channel's unit.
 *
 * @param channel null for the time
 * @param pressure whether a brake is told by its pressure and not by a share of full scale
 * @param unit as the file has it; empty where it does not say
 * @param rank of several columns for one channel the least is taken; 0 for the channel's own name
 */
record LapColumn(
    @Nullable Channel channel, double factor, boolean pressure, String unit, int rank) {
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

  boolean isTime() {
    return channel == null;
  }

  /** Whether two columns hold the same in the same unit. */
  boolean isLike(LapColumn other) {
    return channel == other.channel && factor == other.factor && pressure == other.pressure;
  }

  /** The column that it can be mapped to, in the unit that the file has. */
  String name() {
    return CANONICAL.stream()
        .filter(name -> of(name, "").filter(this::isLike).isPresent())
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

  /**
   * What a header says.
   *
   * @param header as it stands in the file
   * @param unit from a row of units below it, or empty
   */
  static Optional<LapColumn> of(String header, String unit) {
    String name = header.strip();
    String given = unit.strip();
    int bracket = openingBracket(name);
    if (bracket >= 0) {
      given = name.substring(bracket + 1, name.length() - 1).strip();
      name = name.substring(0, bracket).strip();
    } else {
      String last = lastWord(name);
      if (Units.isKnown(last)) {
        given = given.isEmpty() ? last : given;
        // "lat_g" is a name of its own and no latitude in g.
        boolean own =
            HeaderWords.of(HeaderWords.plain(name)).filter(m -> m.rank() == 0).isPresent();
        name = own ? name : name.substring(0, name.length() - last.length() - 1);
      }
    }
    String in = given;
    return HeaderWords.of(HeaderWords.plain(name)).map(meaning -> column(meaning, in));
  }

  private static LapColumn column(HeaderWords.Meaning meaning, String unit) {
    double factor = Units.factor(unit);
    boolean speed = meaning.channel() == Channel.SPEED;
    return new LapColumn(
        meaning.channel(),
        // A speed without a unit is most often in km/h; the check against the way that was
        // covered puts it right where it is not.
        Double.isNaN(factor) ? speed ? 1 / 3.6 : 1 : factor,
        meaning.channel() == Channel.BRAKE && Units.isPressure(unit),
        Double.isNaN(factor) ? "" : unit.toLowerCase(Locale.ROOT),
        meaning.rank());
  }

  /** What follows the last underscore or blank; empty without one. */
  private static String lastWord(String name) {
    int at = Math.max(name.lastIndexOf('_'), name.lastIndexOf(' '));
    return at <= 0 ? "" : name.substring(at + 1);
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
}
