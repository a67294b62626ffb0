package marvek.core.vehicle;

import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/** Ratios from first to top gear, with what is lost in them. Gears count from 1. Immutable. */
public final class Gearbox {
  private final double[] ratios;
  private final double finalDrive;
  private final double efficiency;
  private final double upshiftS;
  private final double downshiftS;

  /**
   * @param ratios strictly falling, one to twelve
   * @param efficiency share of the crank's power that reaches the wheels, above 0.3 up to 1
   * @param upshiftS time without drive in an upshift
   */
  public Gearbox(
      double[] ratios, double finalDrive, double efficiency, double upshiftS, double downshiftS) {
    this.ratios = ratios.clone();
    this.finalDrive = Require.within("gearbox.finalDrive", finalDrive, 0.1, 50);
    this.efficiency = Require.within("gearbox.efficiency", efficiency, 0.3, 1);
    this.upshiftS = Require.within("gearbox.upshift_s", upshiftS, 0, 5);
    this.downshiftS = Require.within("gearbox.downshift_s", downshiftS, 0, 5);
    if (ratios.length == 0) {
      throw new InvalidValueException("gearbox.ratios", Sentence.of("refused.no-gears"));
    }
    if (ratios.length > 12) {
      throw new InvalidValueException(
          "gearbox.ratios", Sentence.of("refused.gears-count", "given", ratios.length));
    }
    for (int i = 0; i < ratios.length; i++) {
      if (!(ratios[i] > 0.05 && ratios[i] < 50) || i > 0 && !(ratios[i] < ratios[i - 1])) {
        throw new InvalidValueException(
            "gearbox.ratios", i, Sentence.of("refused.ratio", "given", ratios[i]));
      }
    }
  }

  public int gears() {
    return ratios.length;
  }

  /** The same gears behind another final drive. */
  public Gearbox withFinalDrive(double other) {
    return new Gearbox(ratios, other, efficiency, upshiftS, downshiftS);
  }

  /** The same gears with another time for changing up. */
  public Gearbox withUpshiftS(double seconds) {
    return new Gearbox(ratios, finalDrive, efficiency, seconds, downshiftS);
  }

  /** The same gears but for one, which has another ratio. */
  public Gearbox withRatio(int gear, double other) {
    double[] changed = ratios.clone();
    changed[gear - 1] = other;
    return new Gearbox(changed, finalDrive, efficiency, upshiftS, downshiftS);
  }

  /** Ratio of a gear, without the final drive. */
  public double ratio(int gear) {
    return ratios[gear - 1];
  }

  /** Turns of the crank for one of the wheel. */
  public double overallRatio(int gear) {
    return ratios[gear - 1] * finalDrive;
  }

  public double finalDrive() {
    return finalDrive;
  }

  public double efficiency() {
    return efficiency;
  }

  public double upshiftS() {
    return upshiftS;
  }

  public double downshiftS() {
    return downshiftS;
  }
}
