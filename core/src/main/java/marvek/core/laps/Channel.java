package marvek.core.laps;

import java.util.Locale;

/** What a logger writes down beside the time. Names are those of the lap format. */
public enum Channel {
  LAP("lap"),
  /** From the start of the lap [m]. */
  DISTANCE("distance_m"),
  LATITUDE("lat_deg"),
  LONGITUDE("lon_deg"),
  ALTITUDE("alt_m"),
  X("x_m"),
  Y("y_m"),
  SPEED("speed_mps"),
  BRAKE("brake_pct"),
  THROTTLE("throttle_pct"),
  STEER("steer_deg"),
  GEAR("gear"),
  RPM("rpm"),
  /** Positive in a left-hander, gravity taken out [g]. */
  LATERAL_G("lat_g"),
  /** Positive under power, gravity taken out [g]. */
  LONGITUDINAL_G("long_g"),
  YAW_RATE("yaw_rate_dps"),
  CLUTCH("clutch_pct");

  private final String column;

  Channel(String column) {
    this.column = column;
  }

  /** Whether it has no between: a gear is held until the next one. */
  boolean isHeld() {
    return this == LAP || this == GEAR;
  }

  /** Whether it says where the car was, and is laid between by the way by its speed. */
  boolean isPlace() {
    return switch (this) {
      case LATITUDE, LONGITUDE, X, Y, DISTANCE -> true;
      default -> false;
    };
  }

  /** Whether it tells brake or throttle, which no foot moves there and back within a sample. */
  boolean isPedal() {
    return this == BRAKE || this == THROTTLE;
  }

  /** Its word in the catalogue of sentences. */
  String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Its column in the lap format. */
  public String column() {
    return column;
  }
}
