package marvek.core.profile;

/** Physical constants of the force model. */
public final class Constants {
  /** Standard acceleration of gravity [m/s²] (NIST SP 811, B.8). */
  public static final double G0 = 9.80665;

  private Constants() {}
}
