package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

/** The closed forms against trial: the first speed at which the side force does not suffice. */
class CorneringLimitTest {
  private static final double MASS_KG = 1000;
  private static final double WEIGHT_N = MASS_KG * Constants.G0;
  private static final double STEP = 0.05;
  private static final double FARTHEST = 9000;

  private static boolean holds(
      CorneringLimit limit, double sensitivity, double referenceLoad, double w) {
    double load = limit.normal0() + w * limit.normal1();
    double factor = Math.max(0.1, 1 - sensitivity * (load / referenceLoad - 1));
    double asked = Math.abs(w * limit.lateral1() - limit.across());
    return load > 0 && asked <= limit.mu() * factor * load;
  }

  /** Where the load's factor has a floor the grip may come back beyond: the first end counts. */
  private static double firstEnd(CorneringLimit limit, double sensitivity, double referenceLoad) {
    double w = 0;
    while (w < FARTHEST && holds(limit, sensitivity, referenceLoad, w)) {
      w += STEP;
    }
    return w;
  }

  private static CorneringLimit limit(
      double mu, double downforce, double curvature, double bankingRad) {
    return new CorneringLimit(
        mu,
        WEIGHT_N * Math.cos(bankingRad),
        downforce + MASS_KG * curvature * Math.sin(bankingRad),
        MASS_KG * curvature * Math.cos(bankingRad),
        WEIGHT_N * Math.sin(bankingRad));
  }

  @Property(tries = 200)
  void theSpeedIsTheFirstThatDoesNotHold(
      @ForAll @DoubleRange(min = 0.6, max = 2) double mu,
      @ForAll @DoubleRange(min = 0, max = 3) double downforce,
      @ForAll @DoubleRange(min = -0.03, max = 0.03) double curvature,
      @ForAll @DoubleRange(min = -0.4, max = 0.4) double bankingRad) {
    CorneringLimit limit = limit(mu, downforce, curvature, bankingRad);
    compare(limit.w(1), firstEnd(limit, 0, 1));
  }

  @Property(tries = 400)
  void withLoadSensitivityToo(
      @ForAll @DoubleRange(min = 0.6, max = 2) double mu,
      @ForAll @DoubleRange(min = 0, max = 6) double downforce,
      @ForAll @DoubleRange(min = -0.03, max = 0.03) double curvature,
      @ForAll @DoubleRange(min = -0.4, max = 0.4) double bankingRad,
      @ForAll @DoubleRange(min = 0.05, max = 0.9) double sensitivity) {
    CorneringLimit limit = limit(mu, downforce, curvature, bankingRad);
    compare(limit.loadSensitiveW(sensitivity, 12_000), firstEnd(limit, sensitivity, 12_000));
  }

  private static void compare(double closed, double byTrial) {
    if (byTrial >= FARTHEST) {
      assertThat(closed).isGreaterThanOrEqualTo(FARTHEST - STEP);
    } else {
      assertThat(closed).isCloseTo(byTrial, within(1.5 * STEP));
    }
  }
}
