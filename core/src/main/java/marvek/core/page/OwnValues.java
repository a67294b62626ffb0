package marvek.core.page;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.circuit.Kerb;
import marvek.core.line.School;
import marvek.core.page.CornerPage.Source;

/**
 * What a driver, a coach or a measurement puts in the place of the model's values in one corner.
 * Null where the model's stands. Made with {@link #in(int)}.
 *
 * @param line the way through the corner that is driven in place of the book's line
 * @param brakeAtM station at which the driver acts
 * @param turnInPct pressure at the turn-in, in per cent of full
 * @param apexSpeedMps lowest speed in the corner
 * @param apexOffsetM offset at the first apex, positive to the left
 * @param kerbApex how much of the kerb inside is used
 * @param kerbExit how much of the kerb at the track-out is used
 * @param source who says so, but for the measured ones
 * @param measured laps that a value was measured in, by its name in the book format
 * @param brakeMark label of the mark that the brake point is told by
 * @param brakeWords own wording for it, in the place of the computed one
 * @param turnInMark the same for the turn-in
 * @param turnInWords the same for the turn-in
 */
public record OwnValues(
    int corner,
    School line,
    Double brakeAtM,
    Double initialPct,
    Integer cornerGear,
    Double turnInM,
    Double turnInPct,
    Double releaseM,
    Double apexSpeedMps,
    Double apexOffsetM,
    Kerb.Use kerbApex,
    Kerb.Use kerbExit,
    Double throttleFirstM,
    Double throttleFullM,
    Integer confidence,
    String notes,
    String wayOut,
    Source source,
    Map<String, List<String>> measured,
    String brakeMark,
    String brakeWords,
    String turnInMark,
    String turnInWords) {
  private static final int LONGEST_WORDS = 120;
  private static final int LONGEST_NOTE = 2000;

  /** No line leads farther from the centreline than this. */
  private static final double FARTHEST_OFFSET_M = 60;

  public OwnValues {
    station("brake.at_m", brakeAtM);
    range("brake.initial_pct", initialPct, 1, 100);
    range("gears.corner", cornerGear, 1, 12);
    station("turnIn.at_m", turnInM);
    range("trailBrake.atTurnIn_pct", turnInPct, 0, 100);
    station("trailBrake.release_m", releaseM);
    range("apexes.speed_mps", apexSpeedMps, 1, 150);
    range("apexes.offset_m", apexOffsetM, -FARTHEST_OFFSET_M, FARTHEST_OFFSET_M);
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
    Map<String, List<String>> laps = new TreeMap<>();
    measured.forEach((field, names) -> laps.put(field, List.copyOf(names)));
    measured = Collections.unmodifiableMap(laps);
  }

  /** Where the value of a field comes from. */
  public Source sourceOf(String field) {
    return measured.containsKey(field) ? Source.MEASURED : source;
  }

  /** Begins the own values of a corner. */
  public static Builder in(int corner) {
    return new Builder(corner);
  }

  /** The same values with some of them put in others' places. */
  public Builder but() {
    Builder b = new Builder(corner);
    b.line = line;
    b.brakeAtM = brakeAtM;
    b.initialPct = initialPct;
    b.cornerGear = cornerGear;
    b.turnInM = turnInM;
    b.turnInPct = turnInPct;
    b.releaseM = releaseM;
    b.apexSpeedMps = apexSpeedMps;
    b.apexOffsetM = apexOffsetM;
    b.kerbApex = kerbApex;
    b.kerbExit = kerbExit;
    b.throttleFirstM = throttleFirstM;
    b.throttleFullM = throttleFullM;
    b.confidence = confidence;
    b.notes = notes;
    b.wayOut = wayOut;
    b.source = source;
    b.measured.putAll(measured);
    b.brakeMark = brakeMark;
    b.brakeWords = brakeWords;
    b.turnInMark = turnInMark;
    b.turnInWords = turnInWords;
    return b;
  }

  /** Collects own values; what is not named stays the model's. See {@link OwnValues}. */
  public static final class Builder {
    private final int corner;
    private School line;
    private Double brakeAtM;
    private Double initialPct;
    private Integer cornerGear;
    private Double turnInM;
    private Double turnInPct;
    private Double releaseM;
    private Double apexSpeedMps;
    private Double apexOffsetM;
    private Kerb.Use kerbApex;
    private Kerb.Use kerbExit;
    private Double throttleFirstM;
    private Double throttleFullM;
    private Integer confidence;
    private String notes;
    private String wayOut;
    private Source source;
    private final Map<String, List<String>> measured = new TreeMap<>();
    private String brakeMark;
    private String brakeWords;
    private String turnInMark;
    private String turnInWords;

    private Builder(int corner) {
      this.corner = corner;
    }

    public Builder line(School school) {
      line = school;
      return this;
    }

    public Builder brakeAtM(Double stationM) {
      brakeAtM = stationM;
      return this;
    }

    public Builder initialPct(Double pct) {
      initialPct = pct;
      return this;
    }

    public Builder cornerGear(Integer gear) {
      cornerGear = gear;
      return this;
    }

    public Builder turnInM(Double stationM) {
      turnInM = stationM;
      return this;
    }

    public Builder turnInPct(Double pct) {
      turnInPct = pct;
      return this;
    }

    public Builder releaseM(Double stationM) {
      releaseM = stationM;
      return this;
    }

    public Builder apexSpeedMps(Double speedMps) {
      apexSpeedMps = speedMps;
      return this;
    }

    public Builder apexOffsetM(Double offsetM) {
      apexOffsetM = offsetM;
      return this;
    }

    public Builder kerbApex(Kerb.Use use) {
      kerbApex = use;
      return this;
    }

    public Builder kerbExit(Kerb.Use use) {
      kerbExit = use;
      return this;
    }

    public Builder throttleFirstM(Double stationM) {
      throttleFirstM = stationM;
      return this;
    }

    public Builder throttleFullM(Double stationM) {
      throttleFullM = stationM;
      return this;
    }

    public Builder confidence(Integer ofFive) {
      confidence = ofFive;
      return this;
    }

    public Builder notes(String text) {
      notes = text;
      return this;
    }

    public Builder wayOut(String text) {
      wayOut = text;
      return this;
    }

    public Builder source(Source who) {
      source = who;
      return this;
    }

    /** The value of a field was measured in laps, which are told by their names. */
    public Builder measured(String field, List<String> laps) {
      measured.put(field, laps);
      return this;
    }

    /** The value of a field is not a measured one any more. */
    public Builder notMeasured(String field) {
      measured.remove(field);
      return this;
    }

    /** The mark that the brake point is told by, and own wording for it; both may be null. */
    public Builder brakeMark(String label, String words) {
      brakeMark = label;
      brakeWords = words;
      return this;
    }

    /** The same for the turn-in. */
    public Builder turnInMark(String label, String words) {
      turnInMark = label;
      turnInWords = words;
      return this;
    }

    /**
     * The values.
     *
     * @throws InvalidValueException naming the first value that cannot be
     */
    public OwnValues build() {
      return new OwnValues(
          corner,
          line,
          brakeAtM,
          initialPct,
          cornerGear,
          turnInM,
          turnInPct,
          releaseM,
          apexSpeedMps,
          apexOffsetM,
          kerbApex,
          kerbExit,
          throttleFirstM,
          throttleFullM,
          confidence,
          notes,
          wayOut,
          source,
          measured,
          brakeMark,
          brakeWords,
          turnInMark,
          turnInWords);
    }
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
