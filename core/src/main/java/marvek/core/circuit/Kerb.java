package marvek.core.circuit;

import marvek.core.Require;

/**
 * A kerb along one edge of the road.
 *
 * @param fromM station of its first metre
 * @param toM station of its last metre; before {@code fromM} where it lies across the start line
 * @param heightMm height of its highest part
 * @param widthM width across
 * @param use how much of it a driver means to use in the dry
 * @param useWet the same in the wet
 */
public record Kerb(
    Side side,
    double fromM,
    double toM,
    Profile profile,
    double heightMm,
    double widthM,
    Use use,
    Use useWet,
    String note) {
  /** The shape across. */
  public enum Profile {
    FLAT,
    RAMP,
    CROWNED,
    SERRATED,
    SAUSAGE
  }

  /** How much of the car goes on a kerb. */
  public enum Use {
    NONE,
    TOUCH,
    TYRE,
    HALF_CAR,
    FULL
  }

  public Kerb {
    Require.present("side", side);
    Require.present("profile", profile);
    use = use == null ? Use.NONE : use;
    useWet = useWet == null ? Use.NONE : useWet;
    Require.notNegative("kerb station", fromM);
    Require.notNegative("kerb station", toM);
    Require.within("height_mm", heightMm, 0, 500);
    Require.within("width_m", widthM, 0.05, 10);
    note = note == null ? "" : note;
  }

  /** The same kerb used so far, dry and wet. */
  public Kerb used(Use other) {
    return new Kerb(side, fromM, toM, profile, heightMm, widthM, other, other, note);
  }
}
