package marvek.server.units;

import java.util.Locale;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

/**
 * Units that a driver reads and hears: 1 mile = 1609.344 m, 1 yd = 0.9144 m, 1 ft = 0.3048 m (NIST
 * SP 811, appendix B.8).
 */
public record DriverUnits(String speed, double mpsPerUnit, String length, double metresPerUnit) {
  /**
   * Units by their names.
   *
   * @param speed km/h or mph
   * @param length m, yd or ft
   * @throws InvalidValueException for any other
   */
  public static DriverUnits of(String speed, String length) {
    double mps =
        switch (speed) {
          case "km/h" -> 1 / 3.6;
          case "mph" -> 1609.344 / 3600;
          default ->
              throw new InvalidValueException(
                  "speed", Sentence.of("refused.unit-of-speed", "given", speed));
        };
    double metres =
        switch (length) {
          case "m" -> 1;
          case "yd" -> 0.9144;
          case "ft" -> 0.3048;
          default ->
              throw new InvalidValueException(
                  "length", Sentence.of("refused.unit-of-length", "given", length));
        };
    return new DriverUnits(speed, mps, length, metres);
  }

  /** A speed without its unit, which stands in the head of the column. */
  public String speedFigure(double mps) {
    return String.format(Locale.ROOT, "%.0f", mps / mpsPerUnit);
  }

  public String speedText(double mps) {
    return speedFigure(mps) + " " + speed;
  }

  /** A length without its unit and sign. */
  public String lengthFigure(double metres) {
    return String.format(Locale.ROOT, "%.0f", Math.abs(metres) / metresPerUnit);
  }

  /** A length with its unit, never negative. */
  public String lengthText(double metres) {
    return lengthFigure(metres) + "\u00a0" + length;
  }
}
