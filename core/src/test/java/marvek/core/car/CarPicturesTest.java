package marvek.core.car;

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
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

class CarPicturesTest {
  private static final Road OVAL =
      Circuit.bare(
              "oval",
              TestRoads.pointSymmetric(5, r -> r.straight(600).corner(40, 180, 20).straight(0)))
          .road();

  private static Lap lap(Vehicle car, Conditions day) {
    return SpeedProfile.solve(Path.centreline(OVAL, List.of()), car, day);
  }

  /** Friction circle of a mass with tyres alone: lateral² + braking² = μ² (Milliken & Milliken). */
  @Test
  void aPointMassHasTheFrictionCircle() {
    GripPicture.AtSpeed at =
        GripPicture.of(lap(TestVehicles.pointMass(1.2), TestVehicles.FULL_GRIP), 20).get(0);
    assertThat(at.edges()).hasSizeGreaterThan(10);
    for (GripPicture.Edge edge : at.edges()) {
      assertThat(Math.hypot(edge.lateralG(), edge.brakingG())).isCloseTo(1.2, within(2e-3));
    }
  }

  /** A wheelie begins where the drive is N_f0·l/h: g·b/h on the level (handbook, from memory). */
  @Test
  void aMotorcycleDrivesUpToItsWheelieAndBrakesUpToItsStoppie() {
    Vehicle bike = TestVehicles.motorcycle();
    Lap lap = lap(bike, TestVehicles.FULL_GRIP);
    GripPicture.Edge straightOn = GripPicture.of(lap, 22).get(0).edges().get(0);
    double wheelie = bike.cgToRearAxleM() / bike.cgHeightM();
    double stoppie = bike.cgToFrontAxleM() / bike.cgHeightM();
    double slows = slowsG(lap, 22);
    assertThat(straightOn.drivingG()).isCloseTo(wheelie - slows, within(0.01));
    assertThat(straightOn.brakingG()).isCloseTo(stoppie + slows, within(0.01));
  }

  private static double slowsG(Lap lap, double v) {
    int flat = OVAL.indexOf(300);
    double n = lap.forces().dragN(flat, v * v) + lap.forces().rollingN(flat, v * v);
    return n / (lap.forces().massKg() * G0);
  }

  @Test
  void downforceWidensTheEdgeWithSpeed() {
    List<GripPicture.AtSpeed> grip =
        GripPicture.of(lap(TestVehicles.clubCar(), Conditions.DEFAULT), 20, 60);
    assertThat(widest(grip.get(1))).isGreaterThan(widest(grip.get(0)) * 1.05);
  }

  /** With the axles told apart the edge closes where one of them has no more, and not beyond. */
  @Test
  void theEdgeOfAxlesToldApartCloses() {
    Vehicle light = TestVehicles.clubCar().withAero(new Aero(0.85, 3, 0.1));
    double plain = widest(GripPicture.of(lap(light, Conditions.DEFAULT), 50).get(0));
    GripPicture.AtSpeed axles = GripPicture.of(lap(light, Conditions.OF_NEW_BOOKS), 50).get(0);
    assertThat(widest(axles)).isBetween(0.8 * plain, 0.98 * plain);
    double wide = Double.POSITIVE_INFINITY;
    for (GripPicture.Edge edge : axles.edges()) {
      double both = edge.drivingG() + edge.brakingG();
      assertThat(both).isBetween(0.0, wide + 1e-9);
      wide = both;
    }
    assertThat(wide).isLessThan(0.15);
  }

  private static double widest(GripPicture.AtSpeed at) {
    return at.edges().get(at.edges().size() - 1).lateralG();
  }

  @Test
  void theGearsOfALapAreItsTimeAndTheStraightIsThere() {
    Lap lap = lap(TestVehicles.clubCar(), Conditions.DEFAULT);
    GearPicture.Result picture = GearPicture.of(lap);
    assertThat(picture.gears().stream().mapToDouble(GearPicture.Gear::usedShare).sum())
        .isCloseTo(1, within(1e-9));
    // v = n·2π/60·r/(i·i_f), by hand for third gear at 7400 rpm: 775 rad/s · 0.33 m / 6.24.
    assertThat(picture.gears().get(2).limiterMps()).isCloseTo(40.98, within(0.02));
    assertThat(picture.longest().lengthM()).isBetween(300.0, 640.0);
    assertThat(picture.longest().topMps()).isCloseTo(lap.topSpeedMps(), within(0.1));
  }

  @Test
  void anotherFinalDriveIsRunAndItsOwnCostsNothing() {
    GearPicture.Result picture = GearPicture.of(lap(TestVehicles.clubCar(), Conditions.DEFAULT));
    assertThat(picture.finalDrives())
        .filteredOn(f -> f.share() == 1)
        .singleElement()
        .satisfies(f -> assertThat(f.lostS()).isZero());
    assertThat(picture.finalDrives()).extracting(GearPicture.FinalDrive::ratio).isSorted();
    assertThat(picture.finalDrives()).anySatisfy(f -> assertThat(f.lostS()).isNotZero());
  }

  /** By hand: 85 N·m at 9000 rpm fall to 80 at 13000: 80 · 13000 · 2π/60 = 108.9 kW there. */
  @Test
  void theFiguresOfAMotorcycle() {
    Figures figures = Figures.of(lap(TestVehicles.motorcycle(), TestVehicles.FULL_GRIP));
    assertThat(figures.massKg()).isEqualTo(250);
    assertThat(figures.powerW()).isBetween(108_800.0, 118_000.0);
    assertThat(figures.leanLimitDeg()).isCloseTo(Math.toDegrees(Math.atan(1.3)), within(1e-9));
    // b/h = a/h = 0.71/0.62 with the weight in the middle of 1.42 m.
    assertThat(figures.wheelieG()).isCloseTo(1.145, within(1e-3));
    assertThat(figures.stoppieG()).isCloseTo(1.145, within(1e-3));
    assertThat(Figures.of(lap(TestVehicles.clubCar(), Conditions.DEFAULT)).leanLimitDeg()).isZero();
  }
}
