package marvek.core.profile;

import static marvek.core.TestVehicles.FULL_GRIP;
import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every limit of section "forces", each against the formula of its textbook. */
class ForceModelTest {
  private static final double MU = 1.1;

  private static Path straight(double grade) {
    return straight(grade, 0);
  }

  private static Path straight(double grade, double banking) {
    Survey flat = TestRoads.every(10).straight(400).survey(false, 6, 0, 0);
    int n = flat.size();
    double[][] c = new double[6][n];
    for (int i = 0; i < n; i++) {
      c[0][i] = flat.xAt(i);
      c[2][i] = grade * flat.xAt(i);
      c[3][i] = 6;
      c[4][i] = 6;
      c[5][i] = banking;
    }
    return Path.centreline(
        Road.through(new Survey(c[0], c[1], c[2], c[3], c[4], c[5], false)), List.of());
  }

  private static Path circle(double radius, double bankingRad) {
    Survey flat = TestRoads.circle(radius, 5);
    int n = flat.size();
    double[][] c = new double[6][n];
    for (int i = 0; i < n; i++) {
      c[0][i] = flat.xAt(i);
      c[1][i] = flat.yAt(i);
      c[3][i] = 6;
      c[4][i] = 6;
      c[5][i] = bankingRad;
    }
    return Path.centreline(
        Road.through(new Survey(c[0], c[1], c[2], c[3], c[4], c[5], true)), List.of());
  }

  private static Vehicle vehicle(
      Vehicle.Drive drive, double cgHeight, double frontWeight, double brakeShare) {
    return TestVehicles.bare(
        drive,
        cgHeight,
        frontWeight,
        MU,
        new Brakes(900_000, brakeShare),
        TestVehicles.engine(),
        TestVehicles.gearbox(),
        0);
  }

  /**
   * Banked curve v² = r·g·(tanφ + μ)/(1 − μ·tanφ) (any mechanics textbook, e.g. Hibbeler, ch. 13).
   */
  @ParameterizedTest
  @CsvSource({"60, 0", "60, 6", "60, -3", "150, 12"})
  void aBankedCurveHasTheSpeedOfTheTextbook(double radius, double bankingDeg) {
    double phi = Math.toRadians(bankingDeg);
    ForceModel forces = new ForceModel(circle(radius, phi), TestVehicles.pointMass(0.9), FULL_GRIP);
    double expected = radius * G0 * (Math.tan(phi) + 0.9) / (1 - 0.9 * Math.tan(phi));
    assertThat(forces.limitW(30)).isCloseTo(expected, within(0.01 * expected));
  }

  /**
   * Up a helix of radius r and grade θ the bend has the curvature cos²θ/r and the road bears
   * m·g·cosθ, so that v² = μ·g·r/cosθ along the slope (curvature of a helix, any geometry of
   * curves).
   */
  @ParameterizedTest
  @ValueSource(doubles = {-0.2, 0.1, 0.2})
  void aHelixHasTheSpeedOfTheTextbook(double slope) {
    Survey flat = TestRoads.every(5).bend(300, 1 / 60.0, 1 / 60.0).survey(false, 6, 0, 0);
    Survey helix = TestRoads.changed(flat, (p, i) -> new double[] {p[0], p[1], slope * 5 * i});
    Path path = Path.centreline(Road.through(helix), List.of());
    int middle = path.road().indexOf(150);
    assertThat(path.curvatureAt(middle) * 60 * (1 + slope * slope)).isCloseTo(1, within(1e-3));
    ForceModel forces = new ForceModel(path, TestVehicles.pointMass(0.9), FULL_GRIP);
    double expected = 0.9 * G0 * 60 * Math.hypot(1, slope);
    assertThat(forces.limitW(middle)).isCloseTo(expected, within(0.002 * expected));
  }

  /**
   * Minimum radius R = V²/(127(e + f)), V in km/h (AASHTO, <i>A Policy on Geometric Design of
   * Highways and Streets</i>, horizontal alignment, simplified curve formula; from memory). It
   * drops the product e·f, so that it holds for small superelevation: 100 km/h, e = 4 %, f = 0.12
   * gives 492 m.
   */
  @Test
  void aRoadDesignersCurveIsHeldAtItsDesignSpeed() {
    double radius = 100 * 100 / (127 * (0.04 + 0.12));
    assertThat(radius).isCloseTo(492, within(0.5));
    ForceModel forces =
        new ForceModel(circle(radius, Math.atan(0.04)), TestVehicles.pointMass(0.12), FULL_GRIP);
    assertThat(3.6 * Math.sqrt(forces.limitW(50))).isCloseTo(100, within(1.0));
  }

  /** Gillespie, <i>Fundamentals of Vehicle Dynamics</i>, ch. 2, traction limits (from memory). */
  @Test
  void tractionOfEachDriveLayout() {
    double weight = 1000 * G0;
    double ratio = 0.5 / 2.5;
    Path road = straight(0);
    double rear =
        new ForceModel(road, vehicle(Vehicle.Drive.REAR, 0.5, 0.45, 0.6), FULL_GRIP)
            .tractionN(20, 100);
    double front =
        new ForceModel(road, vehicle(Vehicle.Drive.FRONT, 0.5, 0.45, 0.6), FULL_GRIP)
            .tractionN(20, 100);
    double all =
        new ForceModel(road, vehicle(Vehicle.Drive.ALL, 0.5, 0.45, 0.6), FULL_GRIP)
            .tractionN(20, 100);
    assertThat(rear).isCloseTo(MU * 0.55 * weight / (1 - MU * ratio), within(1e-6 * weight));
    assertThat(front).isCloseTo(MU * 0.45 * weight / (1 + MU * ratio), within(1e-6 * weight));
    assertThat(all).isCloseTo(MU * weight, within(1e-6 * weight));
  }

  /** Front axle unloads: drive at most Nf·l/h (Wong, <i>Theory of Ground Vehicles</i>, ch. 3). */
  @Test
  void aHighShortRearDriverLiftsItsFrontWheel() {
    Vehicle tall = vehicle(Vehicle.Drive.REAR, 1.6, 0.3, 0.6);
    ForceModel forces = new ForceModel(straight(0), tall, FULL_GRIP);
    assertThat(forces.tractionN(20, 100)).isCloseTo(0.3 * 1000 * G0 * 2.5 / 1.6, within(1e-3));
  }

  /**
   * Braking with a fixed share β (Gillespie, ch. 3; Wong, ch. 3; from memory): front locks at
   * μ·Nf/(β − μh/l), rear at μ·Nr/(1 − β + μh/l).
   */
  @ParameterizedTest
  @ValueSource(doubles = {0.3, 0.5, 0.62, 0.7, 0.8, 0.95})
  void theAxleThatLocksFirstLimitsBraking(double beta) {
    double weight = 1000 * G0;
    double ratio = 0.5 / 2.5;
    double frontLocks = MU * 0.45 * weight / (beta - MU * ratio);
    double rearLocks = MU * 0.55 * weight / (1 - beta + MU * ratio);
    double expected = Math.min(MU * weight, Math.min(rearLocks, frontLocks > 0 ? frontLocks : 1e9));
    ForceModel forces =
        new ForceModel(straight(0), vehicle(Vehicle.Drive.REAR, 0.5, 0.45, beta), FULL_GRIP);
    assertThat(forces.brakeN(20, 400)).isCloseTo(expected, within(1e-6 * weight));
  }

  /** Ideal share without aero β* = (b + μh)/l: both axles lock together and all grip is used. */
  @Test
  void theIdealBrakeShareUsesAllGrip() {
    double ideal = (0.45 * 2.5 + MU * 0.5) / 2.5;
    Path road = straight(0);
    double best =
        new ForceModel(road, vehicle(Vehicle.Drive.REAR, 0.5, 0.45, ideal), FULL_GRIP)
            .brakeN(20, 400);
    assertThat(best).isCloseTo(MU * 1000 * G0, within(0.01));
    for (double off : new double[] {-0.05, 0.05}) {
      double less =
          new ForceModel(road, vehicle(Vehicle.Drive.REAR, 0.5, 0.45, ideal + off), FULL_GRIP)
              .brakeN(20, 400);
      assertThat(less).isLessThan(best - 100);
    }
  }

  @Test
  void theSystemLimitsBrakingToo() {
    Vehicle weak =
        TestVehicles.bare(
            Vehicle.Drive.ALL,
            0,
            0.5,
            MU,
            new Brakes(5000, 0.5),
            TestVehicles.engine(),
            TestVehicles.gearbox(),
            0);
    assertThat(new ForceModel(straight(0), weak, FULL_GRIP).brakeN(20, 400)).isEqualTo(5000);
  }

  /** A motorcycle's rear wheel lifts at Nr·l/h: b·g/h as deceleration (Cossalter; from memory). */
  @Test
  void aMotorcycleBrakesUntilItsRearWheelLifts() {
    Vehicle bike = TestVehicles.motorcycle();
    ForceModel forces = new ForceModel(straight(0), bike, FULL_GRIP);
    double mass = 250;
    double lift = mass * G0 * 0.5 * 1.42 / 0.62;
    double grip = 1.3 * mass * G0;
    assertThat(forces.brakeN(20, 400))
        .isCloseTo(Math.min(4000, Math.min(lift, grip)), within(1e-3));
    assertThat(lift).isLessThan(grip);
    assertThat(forces.tractionN(20, 400)).isLessThanOrEqualTo(lift + 1e-6);
  }

  /** Friction ellipse: at 80 % of the side grip, √(1 − 0.64) = 60 % is left along. */
  @Test
  void corneringLeavesWhatTheEllipseLeaves() {
    ForceModel forces = new ForceModel(circle(80, 0), TestVehicles.pointMass(MU), FULL_GRIP);
    double w = 0.8 * forces.limitW(30);
    assertThat(forces.lateralUse(30, w)).isCloseTo(0.8, within(1e-6));
    assertThat(forces.tractionN(30, w)).isCloseTo(0.6 * MU * 1000 * G0, within(0.5));
    assertThat(forces.brakeN(30, w)).isCloseTo(0.6 * MU * 1000 * G0, within(0.5));
  }

  /** Drag ½ρ·CdA·v², wind added; rolling Crr·N; grade m·g·sinθ. */
  @Test
  void resistanceIsTheSumOfItsParts() {
    Vehicle car = TestVehicles.clubCar();
    Conditions windy =
        new Conditions(
            Conditions.Surface.DRY, Conditions.TyreState.WARM, 1, 0, 0, 0, 15, 1013.25, 5, 90, 0);
    Path uphill = straight(0.05);
    ForceModel forces = new ForceModel(uphill, car, windy);
    double v = 40;
    double rho = windy.airDensityKgM3();
    double cos = 1 / Math.sqrt(1 + 0.05 * 0.05);
    double downforce = 0.5 * rho * 1.1 * v * v;
    // The road heads east, the wind comes from the east: a headwind.
    assertThat(forces.dragN(20, v * v)).isCloseTo(0.5 * rho * 0.85 * 45 * 45, within(0.5));
    assertThat(forces.gradeN(20)).isCloseTo(1260 * G0 * 0.05 * cos, within(1.0));
    assertThat(forces.rollingN(20, v * v))
        .isCloseTo(0.014 * (1260 * G0 * cos + downforce), within(0.5));
    assertThat(forces.dragPerSquaredSpeed()).isCloseTo(0.5 * rho * 0.85, within(1e-12));
    assertThat(forces.downforcePerSquaredSpeed()).isCloseTo(0.5 * rho * 1.1, within(1e-12));
    assertThat(forces.headwindMpsAt(20)).isCloseTo(5, within(1e-9));
    assertThat(forces.crosswindMpsAt(20)).isCloseTo(0, within(1e-9));
    assertThat(forces.gripAt(20)).isEqualTo(1);
  }

  /** The air comes from where the car and it go: ½ρ·CdA·|u| times the part of u along the car. */
  @ParameterizedTest
  @CsvSource({"0, 0, -5", "180, 0, 5", "60, 4.330127, -2.5", "270, -5, 0"})
  void windIsMetFromWhereItComes(double fromDeg, double headMps, double crossMps) {
    Conditions windy =
        new Conditions(
            Conditions.Surface.DRY,
            Conditions.TyreState.WARM,
            1,
            0,
            0,
            0,
            15,
            1013.25,
            5,
            fromDeg,
            0);
    ForceModel forces = new ForceModel(straight(0), TestVehicles.clubCar(), windy);
    assertThat(forces.headwindMpsAt(20)).isCloseTo(headMps, within(1e-6));
    assertThat(Math.abs(forces.crosswindMpsAt(20))).isCloseTo(Math.abs(crossMps), within(1e-6));
    double along = 30 + headMps;
    double drag = 0.5 * windy.airDensityKgM3() * 0.85 * along * Math.hypot(along, crossMps);
    assertThat(forces.dragN(20, 900)).isCloseTo(drag, within(1e-6 * drag));
  }

  /** Up to it some force along is held beside a side force, beyond it one that is too much. */
  @ParameterizedTest
  @EnumSource(Vehicle.Drive.class)
  void theSideForceThatIsHeldIsTheLast(Vehicle.Drive drive) {
    Vehicle car = TestVehicles.car(drive, 0.46, 0.85, 1.1, 0.6);
    ForceModel plain = new ForceModel(straight(0), car, Conditions.DEFAULT);
    assertThat(plain.heldSideN(20, 900)).isEqualTo(plain.lateralLimitN(20, 900));
    ForceModel forces = new ForceModel(straight(0), car, Conditions.OF_NEW_BOOKS);
    double held = forces.heldSideN(20, 900);
    assertThat(held).isBetween(0.85 * forces.lateralLimitN(20, 900), forces.lateralLimitN(20, 900));
    assertThat(forces.tractionBesideN(20, 900, 0.999 * held))
        .isGreaterThan(1 - forces.brakeBesideN(20, 900, 0.999 * held));
    assertThat(forces.tractionBesideN(20, 900, 1.01 * held))
        .isCloseTo(-forces.brakeBesideN(20, 900, 1.01 * held), within(1e-6));
  }

  @Test
  void fuelIsPartOfTheMass() {
    Conditions full =
        new Conditions(
            Conditions.Surface.DRY, Conditions.TyreState.WARM, 1, 60, 0, 0, 15, 1013.25, 0, 0, 0);
    assertThat(new ForceModel(straight(0), TestVehicles.clubCar(), full).massKg()).isEqualTo(1320);
  }

  /** A crest of radius R lets the car leave the ground at v² = g·R (any mechanics textbook). */
  @Test
  void aCrestThatWouldLiftTheCarCapsTheSpeed() {
    Survey flat = TestRoads.every(10).straight(600).survey(false, 6, 0, 0);
    double radius = 150;
    Survey hill =
        TestRoads.changed(
            flat,
            (p, i) -> {
              double x = p[0] - 300;
              return new double[] {p[0], p[1], -x * x / (2 * radius) / (1 + x * x / 9000)};
            });
    Path path = Path.centreline(Road.through(hill), List.of());
    ForceModel forces = new ForceModel(path, TestVehicles.pointMass(1), FULL_GRIP);
    int top = path.road().indexOf(300);
    assertThat(forces.limitW(top))
        .isCloseTo(-G0 / path.verticalCurvatureAt(top), within(1e-6 * G0 * radius));
    assertThat(forces.crestLimited(top)).isTrue();
    assertThat(forces.crestLimited(path.road().indexOf(20))).isFalse();
  }

  /**
   * Load sensitivity scales grip by 1 − k(N/N_ref − 1): solved here by bisection on the balance.
   */
  @Test
  void heavilyLoadedTyresLoseGrip() {
    Vehicle sensitive = withSensitivity(0.2);
    ForceModel forces = new ForceModel(circle(120, Math.toRadians(4)), sensitive, FULL_GRIP);
    double low = 0;
    double high = 1e4;
    for (int k = 0; k < 200; k++) {
      double w = (low + high) / 2;
      double normal = forces.normalN(40, w);
      double grip = 1.35 * (1 - 0.2 * (normal / 12000 - 1)) * normal;
      if (Math.abs(forces.lateralDemandN(40, w)) < grip) {
        low = w;
      } else {
        high = w;
      }
    }
    assertThat(forces.limitW(40)).isCloseTo(low, within(1e-6 * low));
    ForceModel plain =
        new ForceModel(circle(120, Math.toRadians(4)), withSensitivity(0), FULL_GRIP);
    assertThat(forces.limitW(40)).isLessThan(plain.limitW(40));
  }

  private static Vehicle withSensitivity(double k) {
    Vehicle c = TestVehicles.clubCar();
    return new Vehicle(
        c.name(),
        c.kind(),
        c.massKg(),
        c.driverKg(),
        c.wheelbaseM(),
        c.cgHeightM(),
        c.frontWeightShare(),
        c.trackWidthM(),
        c.bodyWidthM(),
        c.lengthM(),
        c.drive(),
        c.driveFrontShare(),
        c.engine(),
        c.gearbox(),
        new Tyre(1.35, 1.40, 0.33, 3000, k),
        c.brakes(),
        c.aero(),
        c.rollingResistance(),
        Turning.USUAL);
  }
}
