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
 * @param brakeMark label of the mark that the brake point is told by
 * @param brakeWords own wording for it, in the place of the computed one
 * @param turnInMark the same for the turn-in
 * @param turnInWords the same for the turn-in
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
    Source source,
    String brakeMark,
    String brakeWords,
    String turnInMark,
    String turnInWords) {
  private static final int LONGEST_WORDS = 120;
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
    shortEnough("notes", notes, LONGEST_NOTE);
    shortEnough("wayOut", wayOut, LONGEST_NOTE);
    shortEnough("brake.mark", brakeMark, LONGEST_WORDS);
    shortEnough("brake.words", brakeWords, LONGEST_WORDS);
    shortEnough("turnIn.mark", turnInMark, LONGEST_WORDS);
    shortEnough("turnIn.words", turnInWords, LONGEST_WORDS);
    source = source == null ? Source.DRIVER : source;
  }

  /** Values without words of one's own for the marks. */
  public OwnValues(
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
    this(
        corner,
        brakeAtM,
        initialPct,
        cornerGear,
        turnInM,
        releaseM,
        apexSpeedMps,
        throttleFirstM,
        throttleFullM,
        confidence,
        notes,
        wayOut,
        source,
        null,
        null,
        null,
        null);
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

  private static void shortEnough(String field, String text, int longest) {
    if (text != null && text.length() > longest) {
      throw new InvalidValueException(
          field, "has " + text.length() + " characters; at most " + longest + " are kept");
    }
  }
}
