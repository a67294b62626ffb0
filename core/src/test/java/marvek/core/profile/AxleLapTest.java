package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Footwork;
import org.junit.jupiter.api.Test;

/** What a lap tells of feet and engine where the engine brakes, against its forces. */
class AxleLapTest {
  private static final Path ROUND = Path.centreline(Road.through(TestRoads.varied(5)), List.of());
  private static final double MAX_BRAKE_N = 22_000;
  private static final double RADIUS_M = 0.33;
  private final Lap lap =
      SpeedProfile.solve(ROUND, TestVehicles.clubCar(), Conditions.OF_NEW_BOOKS);

  private static double overall(int gear) {
    return new double[] {2.9, 2.1, 1.6, 1.3, 1.08, 0.92}[gear - 1] * 3.9;
  }

  /** 60 Nm at the wheels through the gear, no efficiency: the losses brake too. */
  private double closedN(int i) {
    return 60 * overall(lap.gearAt(i)) / RADIUS_M * lap.driveShareAt(i);
  }

  private static double share(double part, double all) {
    return Math.max(0, Math.min(1, part / all));
  }

  private static int next(int i) {
    return ROUND.road().wrap(i + 1);
  }

  private boolean changing(int i) {
    return lap.shiftingAt(i) || lap.shiftingAt(next(i));
  }

  @Test
  void brakesGiveWhatTheEngineDoesNot() {
    int brakes = 0;
    for (int i = 0; i < lap.size(); i++) {
      assertThat(lap.closedThrottleNAt(i)).isCloseTo(closedN(i), within(1e-6));
      double own = Math.max(0, -lap.tyreForceAt(i) - closedN(i));
      assertThat(lap.brakeForceAt(i)).isCloseTo(own, within(1e-6));
      double over = -lap.elementForceAt(i) - (closedN(i) + closedN(next(i))) / 2;
      assertThat(lap.elementBrakeShareAt(i))
          .isCloseTo(Math.max(0, over) / MAX_BRAKE_N, within(1e-9));
      brakes += own > 0 ? 1 : 0;
    }
    assertThat(brakes).isGreaterThan(50);
  }

  /** From shut, where the engine brakes, to open; what pulls counts from nothing. */
  @Test
  void theThrottleOpensFromWhereTheEngineBrakes() {
    int between = 0;
    for (int i = 0; i < lap.size(); i++) {
      double open = lap.openThrottleNAt(i);
      if (changing(i) || !(open > 0)) {
        continue;
      }
      double force = lap.tyreForceAt(i);
      double opened = share(force + closedN(i), open + closedN(i));
      assertThat(lap.throttleShareAt(i)).as("%d", i).isCloseTo(opened, within(1e-9));
      assertThat(lap.pullShareAt(i)).as("%d", i).isCloseTo(share(force, open), within(1e-9));
      double closed = closedN(i) + closedN(next(i));
      double both = open + lap.openThrottleNAt(next(i));
      assertThat(lap.elementThrottleShareAt(i))
          .as("%d", i)
          .isCloseTo(share(2 * lap.elementForceAt(i) + closed, both + closed), within(1e-9));
      between += opened > 0.05 && opened < 0.95 ? 1 : 0;
    }
    assertThat(between).isGreaterThan(20);
  }

  @Test
  void theForceLiesBetweenTheLeastAndTheGreatest() {
    int atLeast = 0;
    int atMost = 0;
    for (int i = 0; i < lap.size(); i++) {
      double weight = lap.forces().normalN(i, 0);
      double force = lap.tyreForceAt(i);
      double least = lap.leastTyreForceAt(i);
      double most = lap.mostTyreForceAt(i);
      // A sample's force is the mean of two steps', in which the limit changes.
      assertThat(force).as("%d", i).isBetween(least - 0.1 * weight, most + 0.1 * weight);
      atLeast += force < 0 && Math.abs(force - least) < 0.02 * weight ? 1 : 0;
      atMost += force > 0 && Math.abs(force - most) < 0.02 * weight ? 1 : 0;
    }
    assertThat(atLeast).as("samples at the least").isGreaterThan(30);
    assertThat(atMost).as("samples at the greatest").isGreaterThan(10);
  }

  @Test
  void theEngineGivesWhatTheFootAsksFor() {
    for (int i = 0; i < lap.size(); i += 7) {
      double v = 0.97 * lap.speedAt(i);
      int gear = lap.gearAt(i);
      double open = lap.driveline().forceN(gear, v) * lap.driveShareAt(i);
      assertThat(lap.engineN(i, v, 1)).isCloseTo(open, within(1e-6));
      assertThat(lap.engineN(i, v, 0)).isCloseTo(-closedN(i), within(1e-6));
      assertThat(lap.engineN(i, v, 0.25)).isCloseTo(0.25 * open - 0.75 * closedN(i), within(1e-6));
    }
  }

  /** Beyond the limiter the next gear drives; where the lap is on it, it holds the speed. */
  @Test
  void atTheLimiterTheEngineHoldsTheSpeed() {
    int i = 0;
    while (lap.gearAt(i) > 4 || lap.driveShareAt(i) < 1 || lap.onLimiterAt(i)) {
      i++;
    }
    int gear = lap.gearAt(i);
    double beyond = 1.01 * lap.driveline().limiterSpeedMps(gear);
    assertThat(lap.engineN(i, beyond, 1))
        .isCloseTo(lap.driveline().forceN(gear + 1, beyond), within(1e-6));

    double[] speeds = new double[lap.size()];
    for (int k = 0; k < speeds.length; k++) {
      speeds[k] = lap.speedAt(k);
    }
    double limiter = lap.driveline().limiterSpeedMps(gear);
    speeds[i] = 0.9999 * limiter;
    Lap held = lap.withSpeeds(speeds);
    assertThat(held.engineN(i, limiter, 1))
        .isCloseTo(lap.forces().resistanceN(i, limiter * limiter), within(1e-6));
    assertThat(held.engineN(i, 0.999 * limiter, 1))
        .isCloseTo(lap.driveline().forceN(gear, 0.999 * limiter), within(1e-6));
  }

  @Test
  void otherFeetDriveTheSameLap() {
    assertThat(lap.footwork()).isEqualTo(Footwork.RIGHT);
    Lap other = lap.footed(Footwork.LEFT);
    assertThat(other.footwork()).isEqualTo(Footwork.LEFT);
    assertThat(other.timeS()).isEqualTo(lap.timeS());
    assertThat(other.conditions().pedalChangeS()).isEqualTo(0.05);
  }
}
