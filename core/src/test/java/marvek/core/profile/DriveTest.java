package marvek.core.profile;

import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** Driving by hand against what a few lines of mechanics say. */
class DriveTest {
  private static final Road OVAL =
      Circuit.bare(
              "oval",
              TestRoads.pointSymmetric(5, r -> r.straight(700).corner(60, 180, 20).straight(0)))
          .road();

  /** A tonne without air or rolling resistance whose brakes give 8 kN at full pressure. */
  private static Vehicle car() {
    return TestVehicles.bare(
        Vehicle.Drive.ALL,
        0,
        0.5,
        1.2,
        new Brakes(8000, 0.5),
        TestVehicles.engine(),
        TestVehicles.gearbox(),
        0);
  }

  private static Lap lap(double change, double buildUp) {
    Conditions day =
        new Conditions(
            Conditions.Surface.DRY,
            Conditions.TyreState.WARM,
            1,
            0,
            change,
            buildUp,
            18,
            1013.25,
            0,
            0,
            0);
    return SpeedProfile.solve(Path.centreline(OVAL, List.of()), car(), day);
  }

  /** Brakes at a share of full from a place on, and never drives again. */
  private record Foot(double actAtM, double share, double lowestMps) implements Controls {
    @Override
    public double brakeShare(double metres) {
      return share;
    }

    @Override
    public double lapBrakesM() {
      return 0;
    }

    @Override
    public double throttleShare(double metres) {
      return 0;
    }

    @Override
    public double firstThrottleM() {
      return Double.POSITIVE_INFINITY;
    }

    @Override
    public double fullThrottleM() {
      return Double.POSITIVE_INFINITY;
    }
  }

  private static Drive.Result driven(Lap lap, Controls foot, int start, int count) {
    return Drive.of(lap, Drive.wholeGrip(lap), foot, start, count);
  }

  /** v² = v₀² − 2·a·s with a = 0.75 · 8000 N / 1000 kg = 6 m/s². */
  @Test
  void constantPressureSlowsByTheFormula() {
    Lap lap = lap(0, 0);
    int start = OVAL.indexOf(150);
    double v0 = lap.speedAt(start);
    // The lap must not yet brake there, or the foot would ease off to follow it.
    assertThat(lap.brakeGAt(OVAL.wrap(start + 60))).isZero();
    Drive.Result drive = driven(lap, new Foot(0, 0.75, 1), start, 60);
    double byFormula = Math.sqrt(v0 * v0 - 2 * 6 * 60 * OVAL.stepM());
    assertThat(drive.speedsMps()[60]).isCloseTo(byFormula, within(0.01));
    assertThat(drive.lockedM()).isZero();
  }

  /** The foot's way costs v·t without brakes, and half of the building up as much again. */
  @Test
  void theFootsWayIsDrivenWithoutBrakes() {
    Lap lap = lap(0.2, 0.3);
    int start = OVAL.indexOf(150);
    double v0 = lap.speedAt(start);
    Drive.Result drive = driven(lap, new Foot(0, 0.75, 1), start, 80);
    double lostM = v0 * (0.2 + 0.3 / 2);
    double byFormula = Math.sqrt(v0 * v0 - 2 * 6 * (80 * OVAL.stepM() - lostM));
    assertThat(drive.speedsMps()[80]).isCloseTo(byFormula, within(0.15));
  }

  @Test
  void theSpeedThatIsMeantIsHeldUntilTheThrottle() {
    Lap lap = lap(0, 0);
    int start = OVAL.indexOf(150);
    double held = lap.speedAt(start) - 6;
    Drive.Result drive = driven(lap, new Foot(0, 1, held), start, 120);
    assertThat(drive.speedsMps()[120]).isCloseTo(held, within(0.15));
  }

  /** Asking for 1.4 g of a road that gives 0.84 locks a wheel, and the road's is all there is. */
  @Test
  void moreThanTheRoadGivesLocksAndSlowsNoMore() {
    Vehicle strong = car().withBrakes(new Brakes(14_000, 0.5));
    Conditions wet = TestVehicles.FULL_GRIP.withSurface(Conditions.Surface.WET).withGripUsed(1);
    Lap lap = SpeedProfile.solve(Path.centreline(OVAL, List.of()), strong, wet);
    int start = OVAL.indexOf(120);
    double v0 = lap.speedAt(start);
    Drive.Result drive = driven(lap, new Foot(0, 1, 1), start, 40);
    assertThat(drive.lockedM()).isGreaterThan(20);
    double most = 1.03 * 1.2 * 0.7 * G0;
    double atMost = Math.sqrt(v0 * v0 - 2 * most * 40 * OVAL.stepM());
    assertThat(drive.speedsMps()[40]).isGreaterThanOrEqualTo(atMost - 0.3);
  }

  /**
   * Into the bend without braking: at first the way to the outside grows with the missing
   * acceleration, twice integrated; with v²/R far above μg a good part of v²/R − μg·(what is held).
   */
  @Test
  void tooFastIntoABendRunsToTheOutside() {
    Lap lap = lap(0.1, 0.2);
    int start = OVAL.indexOf(600);
    Controls none = new Foot(Double.POSITIVE_INFINITY, 0, 1);
    Drive.Result drive = driven(lap, none, start, 160);
    assertThat(drive.wideM()[0]).isZero();
    double last = 0;
    for (int k = 110; k <= 150; k += 10) {
      assertThat(drive.wideM()[k]).isGreaterThanOrEqualTo(last);
      last = drive.wideM()[k];
    }
    assertThat(last).isGreaterThan(0.5);
    assertThat(java.util.Arrays.stream(drive.gripNeeded()).max().orElse(0)).isGreaterThan(1.02);
  }
}
