package marvek.core.profile;

import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** What a lap tells of itself, against its speeds alone and Newton's second law. */
class LapTest {
  private static final Path ROUND = Path.centreline(Road.through(TestRoads.varied(5)), List.of());
  private static final Vehicle CAR = TestVehicles.clubCar();
  private final Lap lap = SpeedProfile.solve(ROUND, CAR, Conditions.DEFAULT);
  private static final double MASS_KG = 1260;

  private int next(int i) {
    return ROUND.road().wrap(i + 1);
  }

  private int before(int i) {
    return ROUND.road().wrap(i - 1);
  }

  private double w(int i) {
    return lap.speedAt(i) * lap.speedAt(i);
  }

  /** Each element takes its length over the mean of the speeds at its ends. */
  @Test
  void timesAreThoseOfTheSpeeds() {
    double sum = 0;
    for (int i = 0; i < lap.size(); i++) {
      assertThat(lap.timeAt(i)).isCloseTo(sum, within(1e-9));
      double mean = (lap.speedAt(i) + lap.speedAt(next(i))) / 2;
      sum += ROUND.elementAt(i) / mean;
    }
    assertThat(lap.timeS()).isCloseTo(sum, within(1e-9));
    assertThat(lap.timeBetween(100, 400))
        .isCloseTo(lap.timeAt(400) - lap.timeAt(100), within(1e-9));
    assertThat(lap.timeBetween(400, 100))
        .isCloseTo(sum - lap.timeAt(400) + lap.timeAt(100), within(1e-9));
  }

  /** F = m·a + resistance, a = Δ(v²)/2s: over the two elements at a sample, or over one. */
  @Test
  void forcesAreThoseOfNewton() {
    for (int i = 0; i < lap.size(); i++) {
      double over = ROUND.elementAt(before(i)) + ROUND.elementAt(i);
      double a = (w(next(i)) - w(before(i))) / (2 * over);
      double force = MASS_KG * a + lap.forces().resistanceN(i, w(i));
      assertThat(lap.longitudinalAccelerationAt(i)).isCloseTo(a, within(1e-9));
      assertThat(lap.tyreForceAt(i)).isCloseTo(force, within(1e-6));
      assertThat(lap.brakeGAt(i)).isCloseTo(Math.max(0, -force) / (MASS_KG * G0), within(1e-9));
      assertThat(lap.brakeShareAt(i)).isCloseTo(Math.max(0, -force) / 22_000, within(1e-9));
      double one = MASS_KG * (w(next(i)) - w(i)) / (2 * ROUND.elementAt(i));
      double slowed =
          (lap.forces().resistanceN(i, w(i)) + lap.forces().resistanceN(next(i), w(next(i)))) / 2;
      assertThat(lap.elementForceAt(i)).isCloseTo(one + slowed, within(1e-6));
      assertThat(lap.elementBrakeShareAt(i))
          .isCloseTo(Math.max(0, -one - slowed) / 22_000, within(1e-9));
      assertThat(lap.lateralAccelerationAt(i)).isCloseTo(w(i) * ROUND.curvatureAt(i), within(1e-9));
      assertThat(lap.lateralUseAt(i)).isCloseTo(lap.forces().lateralUse(i, w(i)), within(1e-12));
    }
  }

  /** Ends of an open road have one element: a run from 20 m/s under full drive. */
  @Test
  void theFirstSampleOfAnOpenRoadHasTheForceOfItsElement() {
    Path open =
        Path.centreline(
            Road.through(TestRoads.every(10).straight(300).survey(false, 6, 0, 0)), List.of());
    double[] cap = new double[open.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[0] = 20;
    Lap run =
        SpeedProfile.solve(open, CAR, Conditions.DEFAULT, ProfileOptions.NONE.withSpeedCap(cap));
    double v1 = run.speedAt(1);
    assertThat(run.longitudinalAccelerationAt(0))
        .isCloseTo((v1 * v1 - 400) / (2 * open.elementAt(0)), within(1e-9));
    int end = run.size() - 1;
    double gained =
        run.speedAt(end) * run.speedAt(end) - run.speedAt(end - 1) * run.speedAt(end - 1);
    assertThat(run.longitudinalAccelerationAt(end))
        .isCloseTo(gained / (2 * open.elementAt(end - 1)), within(1e-9));
  }

  /** Throttle: the tyres' force over what the engine's torque gives at the wheel in that gear. */
  @Test
  void throttleIsAShareOfTheEnginesForce() {
    int held = 0;
    for (int i = 0; i < lap.size(); i++) {
      double rpm = lap.speedAt(i) / 0.33 * ratio(lap.gearAt(i)) * 30 / Math.PI;
      assertThat(lap.rpmAt(i)).isCloseTo(rpm, within(1e-6));
      double engine = CAR.engine().torqueNm(rpm) * ratio(lap.gearAt(i)) * 0.92 / 0.33;
      if (lap.shiftingAt(i) || rpm > 7300) {
        continue;
      }
      double share = Math.max(0, Math.min(1, lap.tyreForceAt(i) / engine));
      // The table of wheel forces is linear between cells of 5 cm/s.
      assertThat(lap.throttleShareAt(i)).as("%d m", i).isCloseTo(share, within(1e-3));
      held += share > 0.1 && share < 0.9 ? 1 : 0;
    }
    assertThat(held).as("samples where grip limits the drive").isGreaterThan(20);
  }

  private double ratio(int gear) {
    return new double[] {2.9, 2.1, 1.6, 1.3, 1.08, 0.92}[gear - 1] * 3.9;
  }

  /** While the gear changes the foot stays where it was, though nothing drives. */
  @Test
  void theFootStaysThroughAChangeOfGear() {
    int seen = 0;
    for (GearPlan.Change change : lap.gearChanges()) {
      int i = change.sample();
      if (change.to() < change.from() || lap.speedAt(i) < 35) {
        continue;
      }
      seen++;
      assertThat(lap.shiftingAt(i)).isTrue();
      assertThat(lap.shiftingAt(before(i))).isTrue();
      assertThat(lap.shiftingAt(before(before(i)))).isFalse();
      assertThat(lap.elementThrottleShareAt(i)).as("%d m", i).isGreaterThan(0.97);
      assertThat(lap.elementForceAt(i)).isLessThan(0.2 * lap.elementForceAt(i - 5));
    }
    assertThat(seen).isGreaterThan(2);
  }

  /** The cuts of an upshift last as long as the gearbox says. */
  @Test
  void anUpshiftTakesItsTimeWithoutDrive() {
    double without = 0;
    for (int i = 0; i < lap.size(); i++) {
      without += (1 - lap.plan().driveShareAt(i)) * ROUND.elementAt(i) / lap.speedAt(i);
    }
    long ups = lap.gearChanges().stream().filter(c -> c.to() > c.from()).count();
    double downs =
        lap.gearChanges().stream().filter(c -> c.to() < c.from() && c.costS() > 0).count();
    assertThat(without).isCloseTo(0.06 * ups + 0.12 * downs, within(0.01));
  }

  @Test
  void halfTheSpeedTakesTwiceTheTime() {
    double[] half = new double[lap.size()];
    for (int i = 0; i < half.length; i++) {
      half[i] = lap.speedAt(i) / 2;
    }
    Lap slow = lap.withSpeeds(half);
    assertThat(slow.timeS()).isCloseTo(2 * lap.timeS(), within(1e-9));
    assertThat(slow.limitSpeedAt(40)).isCloseTo(lap.limitSpeedAt(40), within(1e-9));
    assertThat(slow.atLimit(slowest())).isFalse();
    assertThat(lap.atLimit(slowest())).isTrue();
    assertThat(slow.conditions()).isSameAs(Conditions.DEFAULT);
    assertThat(slow.topSpeedMps()).isCloseTo(lap.topSpeedMps() / 2, within(1e-9));
  }

  private int slowest() {
    int slowest = 0;
    for (int i = 0; i < lap.size(); i++) {
      slowest = lap.speedAt(i) < lap.speedAt(slowest) ? i : slowest;
    }
    return slowest;
  }

  /** On a crest of 40 m radius a straight car is held to √(gR); elsewhere by nothing. */
  @Test
  void aCrestThatHoldsTheSpeedIsTold() {
    Survey flat = TestRoads.every(5).straight(600).survey(false, 6, 0, 0);
    Survey hill =
        TestRoads.changed(
            flat,
            (p, i) -> new double[] {p[0], p[1], 6 * Math.exp(-Math.pow((p[0] - 300) / 25, 2))});
    Path path = Path.centreline(Road.through(hill), List.of());
    Lap lap = SpeedProfile.solve(path, TestVehicles.pointMass(1), TestVehicles.FULL_GRIP);
    assertThat(lap.heldByCrestAt(path.road().indexOf(300))).isTrue();
    assertThat(lap.heldByCrestAt(path.road().indexOf(100))).isFalse();
    assertThat(lap.heldByCrestAt(path.road().indexOf(500))).isFalse();
    Lap slow = lap.withSpeeds(constant(lap.size(), 5));
    assertThat(slow.heldByCrestAt(path.road().indexOf(300))).isFalse();
  }

  private double[] constant(int n, double value) {
    double[] all = new double[n];
    Arrays.fill(all, value);
    return all;
  }

  /** Where the engine turns at its limiter; in top gear at its end the car can go no faster. */
  @Test
  void theLimiterIsTold() {
    int i = 700;
    double limiter = lap.driveline().limiterSpeedMps(lap.gearAt(i));
    assertThat(lap.withSpeeds(constant(lap.size(), 0.9 * limiter)).onLimiterAt(i)).isFalse();
    for (int gear = 1; gear <= 6; gear++) {
      double own = 7400 * Math.PI / 30 * 0.33 / ratio(gear);
      assertThat(lap.driveline().limiterSpeedMps(gear)).isCloseTo(own, within(1e-9));
      if (lap.gearAt(i) == gear) {
        assertThat(lap.withSpeeds(constant(lap.size(), 0.999 * own)).onLimiterAt(i)).isTrue();
        assertThat(lap.withSpeeds(constant(lap.size(), 0.98 * own)).onLimiterAt(i)).isFalse();
      }
    }
  }
}
