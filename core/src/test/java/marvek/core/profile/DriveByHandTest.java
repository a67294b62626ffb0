package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** A drive beyond and beside what the lap does: what mechanics and symmetry ask of it. */
class DriveByHandTest {
  private static final Survey OVAL =
      TestRoads.pointSymmetric(5, r -> r.straight(700).corner(60, 180, 20).straight(0));

  private static Vehicle car() {
    return TestVehicles.bare(
        Vehicle.Drive.ALL,
        0,
        0.5,
        1.2,
        new Brakes(16_000, 0.5),
        TestVehicles.engine(),
        TestVehicles.gearbox(),
        0);
  }

  private Lap lap(Survey survey, double stepM) {
    Path path = Path.centreline(Road.through(survey, 1, stepM), List.of());
    return SpeedProfile.solve(path, car(), TestVehicles.FULL_GRIP);
  }

  private final Lap lap = lap(OVAL, 1);

  /** Feet by metres from the start of the drive. */
  private record Feet(DoubleUnaryOperator brake, DoubleUnaryOperator throttle) implements Pedals {
    @Override
    public double brakeShare(double metres) {
      return brake.applyAsDouble(metres);
    }

    @Override
    public double throttleShare(double metres) {
      return throttle.applyAsDouble(metres);
    }
  }

  private Drive.Result driven(Lap lap, Pedals feet, double fromM, double metres) {
    Road road = lap.path().road();
    return Drive.of(
        lap,
        UsedGrip.of(lap),
        feet,
        new Drive.Part(road.indexOf(fromM), road.samples(metres), 0, 1e9));
  }

  /** What the lap does, some metres later. */
  private Feet late(Lap lap, double fromM, double byM) {
    Road road = lap.path().road();
    int start = road.indexOf(fromM);
    return new Feet(
        m -> lap.elementBrakeShareAt(at(road, start, m - byM)),
        m -> lap.elementThrottleShareAt(at(road, start, m - byM)));
  }

  private int at(Road road, int start, double metres) {
    return road.wrap(start + (int) Math.floor(metres / road.stepM()));
  }

  /** A road mirrored left to right is driven the same, wide to the other side. */
  @Test
  void aMirrorImageIsDrivenAsAMirrorImage() {
    Drive.Result left = driven(lap, late(lap, 500, 1), 500, 420);
    Lap mirrored = lap(TestRoads.mirrored(OVAL), 1);
    Drive.Result right = driven(mirrored, late(mirrored, 500, 1), 500, 420);
    assertThat(Arrays.stream(left.besideM()).map(Math::abs).max().orElse(0)).isGreaterThan(0.5);
    for (int k = 0; k < left.speedsMps().length; k++) {
      assertThat(right.speedsMps()[k]).isCloseTo(left.speedsMps()[k], within(0.02));
      assertThat(right.besideM()[k]).as("%d m", k).isCloseTo(-left.besideM()[k], within(0.03));
    }
  }

  /** Twice the step matters little, with the same feet at the same metres, and ever less. */
  @Test
  void halfTheStepChangesLittle() {
    Drive.Result coarse = driven(lap, late(lap, 500, 1), 500, 420);
    Drive.Result fine = driven(lap(OVAL, 0.5), late(lap, 500, 1), 500, 420);
    Drive.Result finest = driven(lap(OVAL, 0.25), late(lap, 500, 1), 500, 420);
    for (int m = 0; m <= 420; m += 20) {
      assertThat(coarse.speedsMps()[m])
          .as("%d m", m)
          .isCloseTo(fine.speedsMps()[2 * m], within(0.16));
      assertThat(fine.speedsMps()[2 * m])
          .as("%d m", m)
          .isCloseTo(finest.speedsMps()[4 * m], within(0.11));
      assertThat(coarse.besideM()[m]).as("%d m", m).isCloseTo(fine.besideM()[2 * m], within(0.3));
      assertThat(fine.besideM()[2 * m])
          .as("%d m", m)
          .isCloseTo(finest.besideM()[4 * m], within(0.21));
    }
  }

  /** Back on a straight the way beside the line dies out in 1.5 s: d(t) = d₀·exp(−t/1.5). */
  @Test
  void aCarBesideItsLineComesBackInItsTime() {
    Drive.Result drive = driven(lap, late(lap, 500, 1), 500, 700);
    Road road = lap.path().road();
    int straight = road.indexOf(920) - road.indexOf(500);
    double begun = drive.besideM()[straight];
    assertThat(Math.abs(begun)).isGreaterThan(0.05);
    double t = 0;
    for (int k = straight; k < straight + 150; k++) {
      assertThat(drive.besideM()[k])
          .as("after %.2f s", t)
          .isCloseTo(begun * Math.exp(-t / 1.5), within(0.03 * Math.abs(begun)));
      t += 2 * road.stepM() / (drive.speedsMps()[k] + drive.speedsMps()[k + 1]);
    }
  }

  /** On its line a car stays on it, far below the grip. */
  @Test
  void farBelowTheGripTheCarStaysOnItsLine() {
    Drive.Result on = driven(lap.withSpeeds(constant(15)), new Feet(m -> 0, m -> 0.1), 750, 60);
    for (double beside : on.besideM()) {
      assertThat(beside).isZero();
    }
  }

  /**
   * d metres outside of its line a car has the way 1 + d/R for each metre of it. Off the pedals and
   * within the grip no force acts along this car: what it makes good along the line, times that,
   * stays the same while it comes back to it.
   */
  @Test
  void outsideTheWayRoundIsLonger() {
    Feet late = late(lap, 500, 1);
    Feet thenOff = new Feet(m -> m < 200 ? late.brakeShare(m) : m < 225 ? 0.2 : 0, m -> 0);
    Drive.Result wide = driven(lap, thenOff, 500, 380);
    int start = lap.path().road().indexOf(500);
    int seen = 0;
    for (int k = 226; k + 1 < wide.besideM().length; k++) {
      double asked = Math.max(wide.gripNeeded()[k], wide.gripNeeded()[k + 1]);
      boolean free = asked < 0.99 && wide.besideM()[k] < -0.1;
      if (free && bendAt(start + k) > 0.01 && bendAt(start + k + 1) > 0.01) {
        seen++;
        double here = wide.speedsMps()[k] * (1 - bendAt(start + k) * wide.besideM()[k]);
        double there =
            wide.speedsMps()[k + 1] * (1 - bendAt(start + k + 1) * wide.besideM()[k + 1]);
        assertThat(there).as("%d m", k).isCloseTo(here, within(1e-6));
      }
    }
    assertThat(seen).isGreaterThan(5);
  }

  private double bendAt(int sample) {
    return lap.path().curvatureAt(lap.path().road().wrap(sample));
  }

  private double[] constant(double speed) {
    double[] all = new double[lap.size()];
    Arrays.fill(all, speed);
    return all;
  }

  /** Before its own braking a corner's drive slows as the lap does for the corner before. */
  @Test
  void whatBelongsToOtherCornersIsTheLaps() {
    Road road = lap.path().road();
    int start = road.indexOf(500);
    int braked = 0;
    Feet flat = new Feet(m -> 0, m -> 1);
    Drive.Result drive =
        Drive.of(lap, UsedGrip.of(lap), flat, new Drive.Part(start, 300, 700, 1e9));
    for (int k = 0; k <= 200; k++) {
      int i = road.wrap(start + k);
      if (lap.plan().brakingAt(i)) {
        braked++;
        assertThat(drive.speedsMps()[k]).isLessThanOrEqualTo(lap.speedAt(i) + 1e-9);
      }
    }
    assertThat(braked).isGreaterThan(20);
    Drive.Result own = Drive.of(lap, UsedGrip.of(lap), flat, new Drive.Part(start, 300, 0, 1e9));
    assertThat(own.speedsMps()[200]).isGreaterThan(drive.speedsMps()[200] + 3);
    Drive.Result behind = Drive.of(lap, UsedGrip.of(lap), flat, new Drive.Part(start, 300, 0, 100));
    for (int k = 103; k <= 300; k++) {
      int i = road.wrap(start + k);
      if (lap.plan().brakingAt(i) || lap.atLimit(i)) {
        assertThat(behind.speedsMps()[k]).isLessThanOrEqualTo(lap.speedAt(i) + 1e-9);
      }
    }
  }

  /** Beyond the limiter of the lap's gear the next one drives on: a² of the engine's force. */
  @Test
  void beyondTheLimiterTheNextGearDrives() {
    Lap slow = lap.withSpeeds(constant(19));
    Road road = lap.path().road();
    int start = road.indexOf(150);
    int gear = lap.gearAt(start);
    assertThat(gear).isGreaterThanOrEqualTo(4);
    Drive.Result drive = driven(slow, new Feet(m -> 0, m -> 0.5), 150, 100);
    double w = 19 * 19;
    for (int k = 0; k < 100; k++) {
      int i = road.wrap(start + k);
      double drives = 0.5 * lap.plan().driveShareAt(i);
      double force = drives * lap.driveline().forceN(lap.gearAt(i), Math.sqrt(w));
      w += 2 * force / 1000 * lap.path().elementAt(i);
      assertThat(drive.speedsMps()[k + 1]).isCloseTo(Math.sqrt(w), within(0.05));
    }
    int[] second = new int[lap.size()];
    Arrays.fill(second, 2);
    Lap held =
        SpeedProfile.solve(
            lap.path(), car(), TestVehicles.FULL_GRIP, ProfileOptions.NONE.withHeldGear(second));
    Lap fast = held.withSpeeds(constant(50));
    double ds = lap.path().elementAt(start);
    Drive.Result on =
        Drive.of(
            fast, UsedGrip.of(fast), new Feet(m -> 0, m -> 0.3), new Drive.Part(start, 1, 0, 1e9));
    int next = 2;
    while (lap.driveline().limiterSpeedMps(next) < 50) {
      next++;
    }
    double gained = 2 * ds * 0.3 * lap.driveline().forceN(next, 50) / 1000;
    assertThat(next).isGreaterThan(3);
    assertThat(on.speedsMps()[1] * on.speedsMps()[1] - 2500)
        .isCloseTo(gained, within(0.02 * gained));
  }

  /** Too much throttle in a bend spins a wheel from the place on where it comes. */
  @Test
  void tooMuchThrottleSpinsWhereItComes() {
    Feet stab = new Feet(m -> 0, m -> m > 30 && m < 50 ? 1 : 0.05);
    Lap slow = lap;
    Drive.Result drive = driven(slow, stab, 740, 90);
    assertThat(drive.spunAtM()).isBetween(29.0, 31.0);
    // One element of the line at least; then the car drifts out, and the throttle waits.
    assertThat(drive.spunM()).isBetween(0.99, 21.0);
    assertThat(drive.lockedM()).isZero();
    assertThat(drive.lockedAtM()).isNaN();
  }

  /** Too much brake in a bend locks a wheel from the place on where it comes. */
  @Test
  void tooMuchBrakeLocksWhereItComes() {
    Feet stab = new Feet(m -> m > 30 && m < 50 ? 0.7 : 0, m -> 0);
    Drive.Result drive = driven(lap, stab, 740, 90);
    assertThat(drive.lockedAtM()).isBetween(29.0, 31.0);
    assertThat(drive.lockedM()).isBetween(10.0, 20.5);
    assertThat(drive.spunM()).isZero();
    assertThat(drive.spunAtM()).isNaN();
    // A touch that no driver would speak of locks nothing.
    Feet touch = new Feet(m -> m > 30 && m < 50 ? 0.02 : 0, m -> 0);
    assertThat(driven(lap, touch, 740, 90).lockedM()).isZero();
  }
}
