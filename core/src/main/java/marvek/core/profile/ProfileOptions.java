package marvek.core.profile;

import java.util.Arrays;
import marvek.core.Require;

/**
 * What a driver adds to the model: limits of one's own along the lap and habits in changing gear.
 * The arrays have one value a sample and are copied in and out.
 */
public final class ProfileOptions {
  /** Changes nearer than this are not made by hand or foot (own assumption). */
  private static final double DEFAULT_MIN_GEAR_TIME_S = 0.25;

  /** The model left alone. */
  public static final ProfileOptions NONE =
      new ProfileOptions(null, null, null, DEFAULT_MIN_GEAR_TIME_S, Double.POSITIVE_INFINITY);

  private final double[] speedCapMps;
  private final boolean[] noDrive;
  private final int[] heldGear;
  private final double minGearTimeS;
  private final double noChangeAboveG;

  private ProfileOptions(
      double[] speedCapMps,
      boolean[] noDrive,
      int[] heldGear,
      double minGearTimeS,
      double noChangeAboveG) {
    this.speedCapMps = speedCapMps;
    this.noDrive = noDrive;
    this.heldGear = heldGear;
    this.minGearTimeS = minGearTimeS;
    this.noChangeAboveG = noChangeAboveG;
  }

  /** With a highest speed at each sample; infinity where there is none. */
  public ProfileOptions withSpeedCap(double[] capMps) {
    return new ProfileOptions(capMps.clone(), noDrive, heldGear, minGearTimeS, noChangeAboveG);
  }

  /** With stretches where no drive is used. */
  public ProfileOptions withNoDrive(boolean[] where) {
    return new ProfileOptions(speedCapMps, where.clone(), heldGear, minGearTimeS, noChangeAboveG);
  }

  /** With a gear that is held at some samples; 0 leaves it to the model. */
  public ProfileOptions withHeldGear(int[] gear) {
    return new ProfileOptions(speedCapMps, noDrive, gear.clone(), minGearTimeS, noChangeAboveG);
  }

  /**
   * With habits of changing gear.
   *
   * @param minTimeS least time between changes, 0 to 5 s
   * @param noChangeAbove lateral acceleration above which no change is made, in g
   */
  public ProfileOptions withGearHabits(double minTimeS, double noChangeAbove) {
    Require.within("minimum time between changes", minTimeS, 0, 5);
    Require.positive("lateral g without change", Math.min(noChangeAbove, 1e6));
    return new ProfileOptions(speedCapMps, noDrive, heldGear, minTimeS, noChangeAbove);
  }

  double capAt(int i) {
    return speedCapMps == null ? Double.POSITIVE_INFINITY : speedCapMps[i];
  }

  boolean noDriveAt(int i) {
    return noDrive != null && noDrive[i];
  }

  int heldGearAt(int i) {
    return heldGear == null ? 0 : heldGear[i];
  }

  double minGearTimeS() {
    return minGearTimeS;
  }

  double noChangeAboveG() {
    return noChangeAboveG;
  }

  boolean fits(int size) {
    return (speedCapMps == null || speedCapMps.length == size)
        && (noDrive == null || noDrive.length == size)
        && (heldGear == null || heldGear.length == size);
  }

  @Override
  public String toString() {
    return "ProfileOptions[held gear "
        + (heldGear == null ? "free" : Arrays.stream(heldGear).max().orElse(0))
        + "]";
  }
}
