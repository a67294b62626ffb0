package marvek.core.brief;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.car.SetupSheet;
import marvek.core.conditions.Conditions;
import marvek.core.say.Sentence;

/**
 * A session that a book is revised for. The hour is that of the conditions.
 *
 * @param event what it belongs to
 * @param lengthMin 1 to 1500 minutes
 * @param laterHour of an hour that comes twice because the clocks go back, the second one
 * @param conditions as they are expected, without what the purpose does to them; with the hour
 * @param forecast hour by hour, as far as it is known
 * @param setup how the car is set up, or null for the car as it is
 * @param openPoints what is to be looked at, by corner; from the session before or typed
 * @param result what came of it, or null while it is not driven
 */
public record Session(
    String event,
    Kind kind,
    int lengthMin,
    boolean laterHour,
    Purpose purpose,
    TyreSet tyres,
    Conditions conditions,
    List<ForecastHour> forecast,
    SetupSheet setup,
    List<OpenPoint> openPoints,
    Result result) {
  /** What sort of session it is. */
  public enum Kind {
    WALK,
    TEST,
    PRACTICE,
    QUALIFYING,
    RACE,
    TRACK_DAY,
    SIMULATOR
  }

  /** Bounds of what is typed: what fits a line, and a day of a meeting in minutes. */
  private static final int LONGEST_EVENT = 120;

  private static final int LONGEST_MIN = 1500;
  private static final int MOST_POINTS = 60;
  private static final int LONGEST_WORDS = 500;

  /**
   * One hour of a forecast.
   *
   * @param at on the circuit's clocks
   * @param rainPct chance of rain
   */
  public record ForecastHour(
      LocalDateTime at,
      Conditions.Surface surface,
      double airTemperatureC,
      double trackTemperatureC,
      double windSpeedMps,
      double windFromDeg,
      double rainPct) {
    public ForecastHour {
      Require.present("forecast.at", at);
      Require.present("forecast.surface", surface);
      Require.within("forecast.airTemperature_c", airTemperatureC, -40, 60);
      Require.within("forecast.trackTemperature_c", trackTemperatureC, -40, 90);
      Require.within("forecast.windSpeed_mps", windSpeedMps, 0, 40);
      Require.within("forecast.windFrom_deg", windFromDeg, 0, 360);
      Require.within("forecast.rain_pct", rainPct, 0, 100);
    }
  }

  /** Something to look at in a corner; corner 0 is the lap as a whole. */
  public record OpenPoint(int corner, String words) {
    public OpenPoint {
      Require.within("openPoints.corner", corner, 0, 1000);
      Require.text("openPoints.words", words, LONGEST_WORDS);
    }
  }

  /**
   * What came of a session.
   *
   * @param bestLapS or null where nothing was timed
   * @param learned in the driver's words
   */
  public record Result(int laps, Double bestLapS, String learned) {
    /** Longer than any endurance race, slower than any circuit. */
    private static final int MOST_LAPS = 2000;

    private static final double LONGEST_LAP_S = 7200;
    private static final int LONGEST_LEARNED = 4000;

    public Result {
      Require.within("result.laps", laps, 0, MOST_LAPS);
      if (bestLapS != null) {
        Require.within("result.bestLap_s", bestLapS, 1, LONGEST_LAP_S);
      }
      learned = learned == null ? "" : learned;
      if (learned.length() > LONGEST_LEARNED) {
        throw new InvalidValueException(
            "result.learned",
            Sentence.of("refused.too-long", "given", learned.length(), "most", LONGEST_LEARNED));
      }
    }
  }

  public Session {
    Require.text("event", event, LONGEST_EVENT);
    Require.present("kind", kind);
    Require.within("length_min", lengthMin, 1, LONGEST_MIN);
    Require.present("purpose", purpose);
    Require.present("tyres.name", tyres);
    Require.present("conditions", conditions);
    if (conditions.at() == null) {
      throw new InvalidValueException("startsAt", Sentence.of("refused.no-start"));
    }
    forecast = List.copyOf(forecast);
    openPoints = List.copyOf(openPoints);
    if (openPoints.size() > MOST_POINTS) {
      throw new InvalidValueException(
          "openPoints",
          Sentence.of("refused.too-many", "given", openPoints.size(), "most", MOST_POINTS));
    }
  }

  /** The same session on another surface than it was planned for. */
  public Session drivenOn(Conditions.Surface surface) {
    return new Session(
        event,
        kind,
        lengthMin,
        laterHour,
        purpose,
        tyres,
        conditions.withSurface(surface),
        forecast,
        setup,
        openPoints,
        result);
  }

  /** Day and hour on the circuit's clocks. */
  public LocalDateTime startsAt() {
    return conditions.at();
  }

  /** The conditions with what the purpose does to them. */
  public Conditions drivenIn() {
    return purpose.of(conditions);
  }

  /**
   * The moment at which it begins.
   *
   * @throws InvalidValueException if the circuit's clocks never show that hour, or show it twice
   *     and it is not said which
   */
  public ZonedDateTime begins(ZoneId zone) {
    List<ZoneOffset> offsets = zone.getRules().getValidOffsets(startsAt());
    if (offsets.isEmpty()) {
      throw new InvalidValueException(
          "startsAt",
          Sentence.of("refused.hour-skipped", "given", startsAt(), "zone", zone.getId()));
    }
    ZonedDateTime first = startsAt().atZone(zone);
    if (laterHour && offsets.size() < 2) {
      throw new InvalidValueException("laterHour", Sentence.of("refused.hour-not-twice"));
    }
    return laterHour ? first.withLaterOffsetAtOverlap() : first.withEarlierOffsetAtOverlap();
  }

  /** Whether the circuit's clocks show the hour twice. */
  public boolean comesTwice(ZoneId zone) {
    return zone.getRules().getValidOffsets(startsAt()).size() > 1;
  }

  /**
   * Checks what depends on the circuit.
   *
   * @param validFrom day from which the layout is as it is, or null
   * @param lapM length of the lap
   * @param lapS time of the book's lap, for what can have been driven
   * @throws InvalidValueException naming the field
   */
  public Session checkedAt(ZoneId zone, LocalDate validFrom, double lapM, double lapS) {
    begins(zone);
    LocalDate day = startsAt().toLocalDate();
    if (validFrom != null && day.isBefore(validFrom)) {
      throw new InvalidValueException(
          "startsAt", Sentence.of("refused.before-layout", "given", day, "from", validFrom));
    }
    tyres.checkOn(day, lapS);
    conditions.checkedOn(lapM);
    return this;
  }

  /**
   * Where the next session begins: the same event, the tyres with their new laps, the points that
   * are still open, and at the same hour of the next day until it is said otherwise.
   */
  public Session next() {
    int driven = result == null ? 0 : result.laps();
    Conditions then = conditions.at(startsAt().plusDays(1));
    return new Session(
        event,
        kind,
        lengthMin,
        false,
        purpose,
        tyres.after(driven),
        then,
        List.of(),
        setup,
        openPoints,
        null);
  }
}
