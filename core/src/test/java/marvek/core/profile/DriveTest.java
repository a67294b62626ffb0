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

  private static Lap lap() {
    return SpeedProfile.solve(Path.centreline(OVAL, List.of()), car(), TestVehicles.FULL_GRIP);
  }

  /** Does what the lap does, to be altered. */
  private static class LapsFoot implements Pedals {
    private final Lap lap;
    private final int start;

    LapsFoot(Lap lap, int start) {
      this.lap = lap;
      this.start = start;
    }

    private int element(double metres) {
      Road road = lap.path().road();
      return road.wrap(start + (int) (metres / road.stepM()));
    }

    @Override
    public double brakeShare(double metres) {
      return lap.elementBrakeShareAt(element(metres));
    }

    @Override
    public double throttleShare(double metres) {
      return lap.elementThrottleShareAt(element(metres));
    }
  }

  private static Drive.Result driven(Lap lap, Pedals feet, int start, int count) {
    return Drive.of(lap, UsedGrip.of(lap), feet, new Drive.Part(start, count, 0, 1e9));
  }

  /** v² = v₀² − 2·a·s with a = 0.75 · 8000 N / 1000 kg = 6 m/s². */
  @Test
  void constantPressureSlowsByTheFormula() {
    Lap lap = lap();
    int start = OVAL.indexOf(150);
    double v0 = lap.speedAt(start);
    Drive.Result drive = driven(lap, new SteadyFeet(0.75, 0), start, 60);
    double byFormula = Math.sqrt(v0 * v0 - 2 * 6 * 60 * OVAL.stepM());
    assertThat(drive.speedsMps()[60]).isCloseTo(byFormula, within(1e-3));
    assertThat(drive.lockedM()).isZero();
  }

  /** A lap's own feet drive the lap: on a road of every kind of corner, in its own gears. */
  @Test
  void theLapsOwnFeetDriveTheLap() {
    Path path = Path.centreline(Circuit.bare("varied", TestRoads.varied(5)).road(), List.of());
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Lap lap = SpeedProfile.solve(path, vehicle, Conditions.DEFAULT);
      int count = path.size() - 1;
      Drive.Result drive = driven(lap, new LapsFoot(lap, 0), 0, count);
      for (int k = 0; k <= count; k++) {
        double own = lap.speedAt(k);
        assertThat(drive.speedsMps()[k]).as("%d m", k).isCloseTo(own, within(0.02 * own));
        assertThat(drive.besideM()[k]).as("%d m", k).isCloseTo(0, within(0.02));
      }
    }
  }

  /**
   * Asking for 1.4 g of a road that gives 0.84 locks the wheels, and they give what locked ones do:
   * 0.75/0.85 of the peak on asphalt (Wong, see {@link Drive}).
   */
  @Test
  void moreThanTheRoadGivesLocksAndSlowsLess() {
    Vehicle strong = car().withBrakes(new Brakes(14_000, 0.5));
    Conditions wet = TestVehicles.FULL_GRIP.withSurface(Conditions.Surface.WET).withGripUsed(1);
    Lap lap = SpeedProfile.solve(Path.centreline(OVAL, List.of()), strong, wet);
    int start = OVAL.indexOf(120);
    double v0 = lap.speedAt(start);
    Drive.Result drive = driven(lap, new SteadyFeet(1, 0), start, 40);
    assertThat(drive.lockedM()).isCloseTo(40 * OVAL.stepM(), within(0.5));
    double locked = 0.88 * 1.2 * 0.7 * G0;
    double byFormula = Math.sqrt(v0 * v0 - 2 * locked * 40 * OVAL.stepM());
    assertThat(drive.speedsMps()[40]).isCloseTo(byFormula, within(0.01));
  }

  /** Locked in a bend the car goes straight on: to the outside, which is the right here. */
  @Test
  void lockedInABendTheCarRunsOut() {
    Lap lap = lap();
    int bend = OVAL.indexOf(780);
    assertThat(lap.path().curvatureAt(bend)).isPositive();
    Drive.Result drive = driven(lap, new SteadyFeet(1, 0), bend, 15);
    assertThat(drive.lockedM()).isGreaterThan(10);
    assertThat(drive.besideM()[15]).isLessThan(-0.1);
    assertThat(drive.gripNeeded()[2]).isGreaterThan(1.15);
  }

  /** A car that drifts out waits with the throttle: whoever asks for it all has none of it. */
  @Test
  void whoDriftsOutWaitsWithTheThrottle() {
    Lap lap = lap();
    int bend = OVAL.indexOf(600);
    Drive.Result flat = driven(lap, new SteadyFeet(0, 1), bend, 160);
    int out = 0;
    while (out < 159 && flat.besideM()[out] > -0.3) {
      out++;
    }
    assertThat(flat.besideM()[out]).as("drifts out").isLessThan(-0.25);
    assertThat(flat.speedsMps()[out + 1]).isLessThan(flat.speedsMps()[out]);
    assertThat(flat.speedsMps()[out + 5]).isLessThan(flat.speedsMps()[out + 1]);
  }

  /**
   * Into the bend without braking: the farther the faster, by the acceleration that is missing, and
   * the tyres scrub speed off that no brake takes.
   */
  @Test
  void tooFastIntoABendRunsToTheOutsideAndScrubs() {
    Lap lap = lap();
    int start = OVAL.indexOf(600);
    Drive.Result drive = driven(lap, new SteadyFeet(0, 0), start, 160);
    assertThat(drive.besideM()[0]).isZero();
    double last = 0;
    for (int k = 110; k <= 150; k += 10) {
      assertThat(drive.besideM()[k]).isLessThan(last);
      last = drive.besideM()[k];
    }
    assertThat(java.util.Arrays.stream(drive.gripNeeded()).max().orElse(0)).isGreaterThan(1.02);
    assertThat(drive.speedsMps()[150]).isLessThan(drive.speedsMps()[100] - 1);
  }
}
