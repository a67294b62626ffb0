package marvek.core.page;

import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.page.CornerPage.Source;

/**
 * What a driver, a coach or a measurement puts in the place of the model's values in one corner.
 * Null where the model's stands.
 *
 * @param brakeAtM station at which the driver acts
 * @param apexSpeedMps lowest speed in the corner
 * @param source who says so
 */
public record OwnValues(
    int corner,
    Double brakeAtM,
    Double initialPct,
    Integer cornerGear,
    Double turnInM,
    Double releaseM,
    Double apexSpeedMps,
    Double throttleFirstM,
    Double throttleFullM,
    Integer confidence,
    String notes,
    String wayOut,
    Source source) {
  private static final int LONGEST_NOTE = 2000;

  public OwnValues {
    station("brake.at_m", brakeAtM);
    range("brake.initial_pct", initialPct, 1, 100);
    range("gears.corner", cornerGear, 1, 12);
    station("turnIn.at_m", turnInM);
    station("trailBrake.release_m", releaseM);
    range("apexes.speed_mps", apexSpeedMps, 1, 150);
    station("throttle.first_m", throttleFirstM);
    station("throttle.full_m", throttleFullM);
    range("confidence", confidence, 0, 5);
    shortEnough("notes", notes);
    shortEnough("wayOut", wayOut);
    source = source == null ? Source.DRIVER : source;
  }

  private static void station(String field, Double value) {
    if (value != null) {
      Require.notNegative(field, value);
    }
  }

  private static void range(String field, Number value, double low, double high) {
    if (value != null) {
      Require.within(field, value.doubleValue(), low, high);
    }
  }

  private static void shortEnough(String field, String text) {
    if (text != null && text.length() > LONGEST_NOTE) {
      throw new InvalidValueException(
          field, "has " + text.length() + " characters; at most " + LONGEST_NOTE + " are kept");
    }
  }
}
