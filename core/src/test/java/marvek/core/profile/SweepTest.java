package marvek.core.profile;

import static marvek.core.TestVehicles.FULL_GRIP;
import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Speed changes within a bend by the friction circle: dw/ds = ±2μg·√(1 − (w/w_lim)²), solved by w =
 * w_lim·sin(2μg·s/w_lim + arcsin(w₀/w_lim)) until the limit is met (separation of variables; the
 * friction circle of Milliken &amp; Milliken, ch. 2). Near the limit the circle is as steep as can
 * be: a step that is not careful there is far off.
 */
class SweepTest {
  private static final double MU = 1;
  private static final double RADIUS_M = 100;
  private static final double LIMIT_W = MU * G0 * RADIUS_M;

  /** Pulls at the tyres' limit at any speed of the test. */
  private static final Vehicle STRONG =
      TestVehicles.bare(
          Vehicle.Drive.ALL,
          0,
          0.5,
          MU,
          new Brakes(900_000, 0.5),
          new Engine(new double[] {100, 20_000}, new double[] {900, 900}, 50, 20_000, 0),
          new Gearbox(new double[] {10}, 1, 1, 0, 0),
          0);

  private static final Path CIRCLE =
      Path.centreline(Road.through(TestRoads.circle(RADIUS_M, 5)), List.of());

  private static final Path VARIED = Path.centreline(Road.through(TestRoads.varied(5)), List.of());

  private static Lap slowedTo(double speedMps, int at) {
    double[] cap = new double[CIRCLE.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[at] = speedMps;
    return SpeedProfile.solve(CIRCLE, STRONG, FULL_GRIP, ProfileOptions.NONE.withSpeedCap(cap));
  }

  private static double byFormula(double w0, double metres) {
    double angle = 2 * MU * G0 * metres / LIMIT_W + Math.asin(w0 / LIMIT_W);
    return angle >= Math.PI / 2 ? LIMIT_W : LIMIT_W * Math.sin(angle);
  }

  @ParameterizedTest
  @ValueSource(doubles = {6, 15, 22, 28, 30.5})
  void brakesAndDriveFollowTheFrictionCircle(double slowest) {
    int at = 300;
    Lap lap = slowedTo(slowest, at);
    double ds = CIRCLE.elementAt(at);
    for (int k = 0; k < 250; k++) {
      double expected = Math.sqrt(byFormula(slowest * slowest, k * ds));
      assertThat(lap.speedAt(CIRCLE.road().wrap(at + k)))
          .as("%d m behind", k)
          .isCloseTo(expected, within(2e-3 * expected));
      assertThat(lap.speedAt(CIRCLE.road().wrap(at - k)))
          .as("%d m before", k)
          .isCloseTo(expected, within(2e-3 * expected));
    }
  }

  /** A part, given its first speed, is the same as that part of a whole round. */
  @Test
  void aPartIsThatPartOfTheRound() {
    Lap lap = slowedTo(12, 300);
    double[] limit = new double[CIRCLE.size()];
    double[] cap = new double[CIRCLE.size()];
    double[] w = new double[CIRCLE.size()];
    for (int i = 0; i < limit.length; i++) {
      limit[i] = lap.forces().limitW(i);
      cap[i] = limit[i];
    }
    w[300] = 144;
    Acceleration drive =
        Acceleration.bestGear(lap.forces(), lap.driveline(), ProfileOptions.NONE, Launch.NONE);
    new Sweep(CIRCLE, limit, drive, true).runPart(300, 40, cap, w);
    for (int i = 301; i <= 340; i++) {
      assertThat(Math.sqrt(w[i])).isCloseTo(lap.speedAt(i), within(1e-6));
    }
    assertThat(w[341]).isZero();
    w[300] = 144;
    new Sweep(
            CIRCLE,
            limit,
            Acceleration.braking(lap.forces(), ClosedThrottle.bestGear(lap.driveline())),
            false)
        .runPart(300, 40, cap, w);
    for (int i = 299; i >= 260; i--) {
      assertThat(Math.sqrt(w[i])).isCloseTo(lap.speedAt(i), within(1e-6));
    }
    assertThat(w[259]).isZero();
  }

  /** What changed is run again as far as it matters, to the same as all of it. */
  @Test
  void whatChangedIsRunAgain() {
    Lap lap = SpeedProfile.solve(VARIED, TestVehicles.clubCar(), FULL_GRIP);
    int n = VARIED.size();
    double[] limit = new double[n];
    int slowest = 0;
    for (int i = 0; i < n; i++) {
      limit[i] = lap.forces().limitW(i);
      slowest = limit[i] < limit[slowest] ? i : slowest;
    }
    Acceleration drive =
        Acceleration.bestGear(lap.forces(), lap.driveline(), ProfileOptions.NONE, Launch.NONE);
    Sweep sweep = new Sweep(VARIED, limit, drive, true);
    double[] w = new double[n];
    sweep.run(slowest, limit[slowest], limit, w);
    double[] cap = limit.clone();
    boolean[] changed = new boolean[n];
    for (int i = (slowest + 900) % n, left = 30; left > 0; i = (i + 1) % n, left--) {
      cap[i] = 0.5 * w[i];
      changed[i] = true;
    }
    double[] whole = new double[n];
    double end = sweep.run(slowest, limit[slowest], cap, whole);
    double[] again = w.clone();
    assertThat(sweep.runChanged(slowest, limit[slowest], cap, changed, again)).isEqualTo(end);
    assertThat(again).isEqualTo(whole).isNotEqualTo(w);
    double slower = 0.8 * limit[slowest];
    end = sweep.run(slowest, slower, cap, whole);
    assertThat(sweep.runChanged(slowest, slower, cap, new boolean[n], again)).isEqualTo(end);
    assertThat(again).isEqualTo(whole);
  }

  /** Without any force the car stands still at the least speed, and never below. */
  @Test
  void whoCannotDriveCrawls() {
    boolean[] none = new boolean[CIRCLE.size()];
    Arrays.fill(none, true);
    Lap lap =
        SpeedProfile.solve(
            CIRCLE, TestVehicles.clubCar(), FULL_GRIP, ProfileOptions.NONE.withNoDrive(none));
    for (int i = 0; i < lap.size(); i++) {
      assertThat(lap.speedAt(i)).isGreaterThanOrEqualTo(0.5);
    }
  }
}
