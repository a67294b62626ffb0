package marvek.core.brief;

import marvek.core.InvalidValueException;
import marvek.core.circuit.Kerb;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;

/**
 * A value of a page that a session can change. Stations in metres, speeds in m/s; the use of a kerb
 * is told by its index in {@link Kerb.Use}.
 */
public enum PageField {
  BRAKE("brake.at_m", 1),
  GEAR("gears.corner", 0.5),
  RELEASE("trailBrake.release_m", 1.5),
  APEX_SPEED("apexes.speed_mps", 0.25),
  APEX_KERB("kerbs.apex", 0.5),
  EXIT_KERB("kerbs.exit", 0.5),
  THROTTLE_FIRST("throttle.first_m", 1.5),
  THROTTLE_FULL("throttle.full_m", 3);

  private final String path;
  private final double leastChange;

  PageField(String path, double leastChange) {
    this.path = path;
    this.leastChange = leastChange;
  }

  /** Its name in the book format. */
  public String path() {
    return path;
  }

  /** Changes smaller than this are not worth a word. */
  double leastChange() {
    return leastChange;
  }

  /** Whether it is a place along the lap. */
  public boolean isStation() {
    return this == BRAKE || this == RELEASE || this == THROTTLE_FIRST || this == THROTTLE_FULL;
  }

  /**
   * The field of a name.
   *
   * @throws InvalidValueException if there is none
   */
  public static PageField named(String path) {
    for (PageField field : values()) {
      if (field.path.equals(path)) {
        return field;
      }
    }
    throw new InvalidValueException("field", "(" + path + ") is not one that a session changes");
  }

  private static Double index(Kerb.Use use) {
    return use == null ? null : (double) use.ordinal();
  }

  private static Double number(Number value) {
    return value == null ? null : value.doubleValue();
  }

  /** Puts an own value in the model's place; null gives it back. */
  public void put(OwnValues.Builder own, Double value) {
    switch (this) {
      case BRAKE -> own.brakeAtM(value);
      case GEAR -> own.cornerGear(value == null ? null : (int) Math.round(value));
      case RELEASE -> own.releaseM(value);
      case APEX_SPEED -> own.apexSpeedMps(value);
      case APEX_KERB -> own.kerbApex(kerb(value));
      case EXIT_KERB -> own.kerbExit(kerb(value));
      case THROTTLE_FIRST -> own.throttleFirstM(value);
      case THROTTLE_FULL -> own.throttleFullM(value);
    }
  }

  private static Kerb.Use kerb(Double index) {
    return index == null ? null : Kerb.Use.values()[(int) Math.round(index)];
  }

  /** The driver's own value; null without one. */
  public Double of(OwnValues own) {
    if (own == null) {
      return null;
    }
    return switch (this) {
      case BRAKE -> own.brakeAtM();
      case GEAR -> number(own.cornerGear());
      case RELEASE -> own.releaseM();
      case APEX_SPEED -> own.apexSpeedMps();
      case APEX_KERB -> index(own.kerbApex());
      case EXIT_KERB -> index(own.kerbExit());
      case THROTTLE_FIRST -> own.throttleFirstM();
      case THROTTLE_FULL -> own.throttleFullM();
    };
  }

  /** The value of a page; null where the page has none. */
  public Double of(CornerPage page) {
    return switch (this) {
      case BRAKE -> page.brake().atM();
      case GEAR -> (double) page.gears().corner();
      case RELEASE -> page.trailBrake() == null ? null : page.trailBrake().releaseM();
      case APEX_SPEED -> page.lowestSpeedMps();
      case APEX_KERB -> index(page.kerbs().apex());
      case EXIT_KERB -> index(page.kerbs().exit());
      case THROTTLE_FIRST -> page.throttle().firstM();
      case THROTTLE_FULL -> page.throttle().fullM();
    };
  }
}
