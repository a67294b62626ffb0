package marvek.formats;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Units as loggers write them, as factors on the value in SI, degrees, per cent, g or bar. */
final class Units {
  private static final double MPH = 1609.344 / 3600;
  private static final double KNOT = 1852 / 3600.0;
  private static final double FOOT = 0.3048;
  private static final double G0 = 9.80665;
  private static final double RADIAN = 180 / Math.PI;

  private static final Map<String, Double> FACTORS =
      Map.ofEntries(
          Map.entry("s", 1.0),
          Map.entry("sec", 1.0),
          Map.entry("secs", 1.0),
          Map.entry("seconds", 1.0),
          Map.entry("ms", 0.001),
          Map.entry("msec", 0.001),
          Map.entry("us", 1e-6),
          Map.entry("µs", 1e-6),
          Map.entry("ns", 1e-9),
          Map.entry("min", 60.0),
          Map.entry("m", 1.0),
          Map.entry("metres", 1.0),
          Map.entry("meters", 1.0),
          Map.entry("km", 1000.0),
          Map.entry("mi", 1609.344),
          Map.entry("miles", 1609.344),
          Map.entry("ft", FOOT),
          Map.entry("feet", FOOT),
          Map.entry("mps", 1.0),
          Map.entry("m/s", 1.0),
          Map.entry("ft/s", FOOT),
          Map.entry("kmh", 1 / 3.6),
          Map.entry("km/h", 1 / 3.6),
          Map.entry("kph", 1 / 3.6),
          Map.entry("mph", MPH),
          Map.entry("kn", KNOT),
          Map.entry("kt", KNOT),
          Map.entry("kts", KNOT),
          Map.entry("knots", KNOT),
          Map.entry("pct", 1.0),
          Map.entry("percent", 1.0),
          Map.entry("%", 1.0),
          Map.entry("bar", 1.0),
          Map.entry("kpa", 0.01),
          Map.entry("mpa", 10.0),
          Map.entry("psi", 0.0689476),
          Map.entry("deg", 1.0),
          Map.entry("degrees", 1.0),
          Map.entry("°", 1.0),
          Map.entry("rad", RADIAN),
          Map.entry("g", 1.0),
          Map.entry("m/s2", 1 / G0),
          Map.entry("m/s^2", 1 / G0),
          Map.entry("mps2", 1 / G0),
          Map.entry("m/s²", 1 / G0),
          Map.entry("m/s/s", 1 / G0),
          Map.entry("dps", 1.0),
          Map.entry("deg/s", 1.0),
          Map.entry("°/s", 1.0),
          Map.entry("rad/s", RADIAN),
          Map.entry("rpm", 1.0),
          Map.entry("1/min", 1.0));

  /** Units of channels that are not read; they tell a row of units all the same. */
  private static final Set<String> OTHERS =
      Set.of(
          "c",
          "°c",
          "degc",
          "f",
          "°f",
          "v",
          "mv",
          "a",
          "nm",
          "l",
          "l/h",
          "kg",
          "n",
          "hz",
          "hh:mm:ss",
          "lambda",
          "-",
          "count",
          "no",
          "#",
          "none",
          "bool",
          "enum",
          "unitless",
          "raw",
          "mbar",
          "mm");

  private static final Set<String> PRESSURES = Set.of("bar", "kpa", "mpa", "psi");

  private Units() {}

  private static String plain(String unit) {
    return unit.strip().toLowerCase(Locale.ROOT).replaceAll("^[\\[({]|[\\])}]$", "").strip();
  }

  /** Factor of a unit; NaN of one that is not known. */
  static double factor(String unit) {
    return FACTORS.getOrDefault(plain(unit), Double.NaN);
  }

  static boolean isKnown(String unit) {
    return FACTORS.containsKey(plain(unit));
  }

  /** Whether a brake in this unit is told by its pressure and not by a share of full scale. */
  static boolean isPressure(String unit) {
    return PRESSURES.contains(plain(unit));
  }

  /** Whether a row is one of units: at least one is known, and nothing else stands there. */
  static boolean isRow(List<String> fields) {
    return fields.stream().anyMatch(Units::isKnown)
        && fields.stream()
            .map(Units::plain)
            .allMatch(f -> f.isEmpty() || FACTORS.containsKey(f) || OTHERS.contains(f));
  }
}
