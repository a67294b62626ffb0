package marvek.core.profile;

import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoublePredicate;
import marvek.core.TestRoads;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.Zone;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;
import marvek.core.vehicle.Vehicle.Drive;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Forces on a car uphill in a banked bend on a poor surface in the wind, each from a free body:
 * gravity and acceleration as vectors (Hipparchus), load on the axles from moments about the
 * contact of the other one, and the largest force that no wheel refuses by trial. The formulas of
 * the model are nowhere used here.
 */
class FreeBodyTest {
  private static final double RADIUS_M = 80;
  static final double GRADE = 0.08;
  private static final double POOR = 0.8;
  static final double MASS_KG = 1000 + 70 + 20;
  static final double WHEELBASE_M = 2.5;
  static final double CG_HEIGHT_M = 0.5;
  static final double FRONT = 0.45;
  static final double BRAKE_SHARE = 0.62;
  static final double MOST_BRAKE_N = 11_000;
  private static final double MU_ALONG = 1.2;
  private static final double MU_ACROSS = 1.1;
  private static final double SENSITIVITY = 0.15;
  private static final double CDA_M2 = 0.9;
  private static final double CLA_M2 = 1.6;
  private static final double AERO_FRONT = 0.38;
  private static final double ROLLING = 0.013;

  /** Wind of 8 m/s from 30°, and the air of another car ahead: a quarter of the downforce gone. */
  static final Conditions DAY =
      Conditions.DEFAULT
          .but()
          .gripUsed(0.9)
          .fuelKg(20)
          .windSpeedMps(8)
          .windFromDeg(30)
          .airShare(0.75)
          .build();

  /** One of the cases: drive layout, direction of the bend, bank and speed. */
  record Case(Drive drive, int bend, double bankingRad, double speedMps) {}

  static List<Case> cases() {
    List<Case> cases = new ArrayList<>();
    for (Drive drive : Drive.values()) {
      for (int bend = -1; bend <= 1; bend += 2) {
        for (double banking : new double[] {-0.1, 0, 0.25}) {
          for (double speed : new double[] {12, 22, 25}) {
            cases.add(new Case(drive, bend, banking, speed));
          }
        }
      }
    }
    return cases;
  }

  private static Path path(int bend, double bankingRad) {
    return path(bend / RADIUS_M, bend / RADIUS_M, bankingRad);
  }

  /** Uphill for 200 m, from one bend to another. */
  static Path path(double fromPerM, double toPerM, double bankingRad) {
    Survey flat = TestRoads.every(5).bend(200, fromPerM, toPerM).survey(false, 6, 0, 0);
    int n = flat.size();
    double[][] c = new double[6][n];
    for (int i = 0; i < n; i++) {
      c[0][i] = flat.xAt(i);
      c[1][i] = flat.yAt(i);
      c[2][i] = GRADE * 5 * i;
    }
    Arrays.fill(c[3], 6);
    Arrays.fill(c[4], 6);
    Arrays.fill(c[5], bankingRad);
    Zone poor = new Zone(Zone.Type.DUST, Side.ROAD, 20, 180, POOR, "");
    return Path.centreline(
        Road.through(new Survey(c[0], c[1], c[2], c[3], c[4], c[5], false)), List.of(poor));
  }

  static Vehicle car(Drive drive) {
    Vehicle like = marvek.core.TestVehicles.car(drive, CG_HEIGHT_M, CDA_M2, CLA_M2, BRAKE_SHARE);
    return new Vehicle(
        "Free body",
        Vehicle.Kind.CAR,
        1000,
        70,
        WHEELBASE_M,
        CG_HEIGHT_M,
        FRONT,
        1.6,
        1.8,
        4.2,
        drive,
        0.5,
        like.engine(),
        like.gearbox(),
        new Tyre(MU_ACROSS, MU_ALONG, 0.33, 3000, SENSITIVITY),
        new Brakes(MOST_BRAKE_N, BRAKE_SHARE),
        new Aero(CDA_M2, CLA_M2, AERO_FRONT),
        ROLLING,
        Turning.USUAL);
  }

  /** What acts on the car in a case. */
  static final class Body {
    final Path path;
    final ForceModel forces;
    final int i;
    final double w;
    final double loadN;
    final double acrossN;
    final double downforceN;
    final double muAcross;
    final double muAlong;
    final Drive drive;

    Body(Case c) {
      this(c, path(c.bend, c.bankingRad), DAY);
    }

    Body(Case c, Path path, Conditions day) {
      this.path = path;
      drive = c.drive;
      forces = new ForceModel(path, car(c.drive), day);
      i = path.road().indexOf(100);
      w = c.speedMps * c.speedMps;
      downforceN = 0.5 * DAY.airDensityKgM3() * CLA_M2 * 0.75 * w;
      Vector3D needed = force();
      Vector3D normal = normal(c.bankingRad);
      loadN = needed.dotProduct(normal) + downforceN;
      acrossN = needed.dotProduct(acrossLeft(c.bankingRad));
      double ofTyre = 1 - SENSITIVITY * (loadN / (4 * 3000) - 1);
      muAcross = MU_ACROSS * 0.9 * POOR * ofTyre;
      muAlong = MU_ALONG * 0.9 * POOR * ofTyre;
    }

    private Vector3D unbankedNormal() {
      double slope = path.gradeFractionAt(i);
      return new Vector3D(-slope, 0, 1).normalize();
    }

    /** Positive banking lifts the right edge: the normal leans to the left. */
    private Vector3D normal(double banking) {
      return new Vector3D(Math.cos(banking), unbankedNormal(), Math.sin(banking), Vector3D.PLUS_J);
    }

    private Vector3D acrossLeft(double banking) {
      return new Vector3D(Math.cos(banking), Vector3D.PLUS_J, -Math.sin(banking), unbankedNormal());
    }

    /** m(a − g): forward x, left y, up z; the bend's acceleration is level. */
    private Vector3D force() {
      Vector3D bend = new Vector3D(w * path.curvatureAt(i), Vector3D.PLUS_J);
      Vector3D rise = new Vector3D(w * path.verticalCurvatureAt(i), unbankedNormal());
      return bend.add(rise).add(new Vector3D(G0, Vector3D.PLUS_K)).scalarMultiply(MASS_KG);
    }

    double frontN(double alongN) {
      double still = (loadN - downforceN) * FRONT + AERO_FRONT * downforceN;
      return still - alongN * CG_HEIGHT_M / WHEELBASE_M;
    }

    double rearN(double alongN) {
      return loadN - frontN(alongN);
    }

    /** Friction left along beside a side force, of a share of the tyres' grip. */
    double along(double share, double sideN) {
      double use = Math.abs(sideN) / (share * muAcross * loadN);
      return use >= 1 ? 0 : share * muAlong * Math.sqrt(1 - use * use);
    }

    boolean drives(double f, double mu) {
      boolean grips =
          switch (drive) {
            case ALL -> f <= mu * loadN;
            case FRONT -> f <= mu * frontN(f);
            case REAR -> f <= mu * rearN(f);
          };
      return grips && frontN(f) >= 0;
    }

    boolean brakes(double f, double mu, double share) {
      return f * share <= mu * frontN(-f)
          && f * (1 - share) <= mu * rearN(-f)
          && rearN(-f) >= 0
          && f <= MOST_BRAKE_N;
    }
  }

  /** Largest force that is not refused. */
  private static double largest(DoublePredicate taken) {
    double low = 0;
    double high = 40_000;
    for (int k = 0; k < 60; k++) {
      double middle = (low + high) / 2;
      if (taken.test(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private static void near(double actual, double expected) {
    assertThat(actual).isCloseTo(expected, within(1e-6 * Math.abs(expected) + 1e-3));
  }

  @ParameterizedTest
  @MethodSource("cases")
  void loadsAndDemandsAreThoseOfTheFreeBody(Case c) {
    Body body = new Body(c);
    ForceModel forces = body.forces;
    assertThat(forces.massKg()).isEqualTo(MASS_KG);
    near(forces.normalN(body.i, body.w), body.loadN);
    // The rise leans with the bank; the model leaves its small part across out.
    double leftOut = MASS_KG * body.w * body.path.verticalCurvatureAt(body.i);
    assertThat(forces.lateralDemandN(body.i, body.w))
        .isCloseTo(body.acrossN, within(1e-3 + Math.abs(leftOut)));
    double slope = body.path.gradeFractionAt(body.i);
    near(forces.gradeN(body.i), MASS_KG * G0 * slope / Math.hypot(1, slope));
    near(forces.rollingN(body.i, body.w), ROLLING * body.loadN);
    near(forces.lateralLimitN(body.i, body.w), body.muAcross * body.loadN);
    near(
        forces.lateralUse(body.i, body.w),
        Math.abs(forces.lateralDemandN(body.i, body.w)) / (body.muAcross * body.loadN));
  }

  /** Drag ½ρ·CdA·|u|·u along the car, u the air that it meets, as a vector. */
  @ParameterizedTest
  @MethodSource("cases")
  void dragIsThatOfTheAirThatTheCarMeets(Case c) {
    Body body = new Body(c);
    Path path = body.path;
    Vector3D ahead =
        new Vector3D(
                path.xAt(body.i + 1) - path.xAt(body.i - 1),
                path.yAt(body.i + 1) - path.yAt(body.i - 1),
                0)
            .normalize();
    double from = Math.toRadians(30);
    Vector3D wind = new Vector3D(-8 * Math.sin(from), -8 * Math.cos(from), 0);
    Vector3D met = ahead.scalarMultiply(c.speedMps).subtract(wind);
    double perSquare = 0.5 * DAY.airDensityKgM3() * CDA_M2 * (1 - 0.5 * 0.25);
    double drag = perSquare * met.getNorm() * met.dotProduct(ahead);
    near(body.forces.dragN(body.i, body.w), drag);
    near(
        body.forces.resistanceN(body.i, body.w),
        drag + body.forces.rollingN(body.i, body.w) + body.forces.gradeN(body.i));
  }

  @ParameterizedTest
  @MethodSource("cases")
  void noWheelRefusesTheLargestForce(Case c) {
    Body body = new Body(c);
    ForceModel forces = body.forces;
    double side = forces.lateralDemandN(body.i, body.w);
    double mu = body.along(1, side);
    double drive = largest(f -> body.drives(f, mu));
    double brake = largest(f -> body.brakes(f, mu, BRAKE_SHARE));
    near(forces.tractionN(body.i, body.w), drive);
    near(forces.brakeN(body.i, body.w), brake);
    double resistance = forces.resistanceN(body.i, body.w);
    near(forces.netBrakeN(body.i, body.w, 0), brake + resistance);
    near(forces.netDriveN(body.i, body.w, 500), Math.min(500, drive) - resistance);
    near(forces.netDriveN(body.i, body.w, 1e6), drive - resistance);
    near(forces.netDriveN(body.i, body.w, 0), -resistance);
    double less = body.along(1, 2000);
    near(forces.tractionBesideN(body.i, body.w, -2000), largest(f -> body.drives(f, less)));
    near(
        forces.brakeBesideN(body.i, body.w, 2000), largest(f -> body.brakes(f, less, BRAKE_SHARE)));
    double straight = body.muAlong;
    near(forces.straightBrakeN(body.i, body.w, 0.5), largest(f -> body.brakes(f, straight, 0.5)));
    near(
        -forces.alongOfShareN(body.i, body.w, -0.6),
        largest(f -> body.brakes(f, 0.6 * straight, BRAKE_SHARE)));
    near(forces.alongOfShareN(body.i, body.w, 0.6), largest(f -> body.drives(f, 0.6 * straight)));
    near(forces.frontLoadShare(body.i, body.w, 3000), body.frontN(-3000) / body.loadN);
  }

  /** Tyres with a share of the grip that would just do: found again from what they give. */
  @ParameterizedTest
  @MethodSource("cases")
  void whatIsAskedForIsTheShareThatWouldJustDo(Case c) {
    Body body = new Body(c);
    double side = body.forces.lateralDemandN(body.i, body.w);
    double across = body.forces.lateralUse(body.i, body.w);
    assertThat(body.forces.gripNeeded(body.i, body.w, 0, 0)).isEqualTo(across);
    for (double share : new double[] {0.4, 0.7, 1, 1.4}) {
      if (share < across + 0.02) {
        continue;
      }
      double mu = body.along(share, side);
      double brake = largest(f -> body.brakes(f, mu, BRAKE_SHARE));
      if (brake < 0.99 * MOST_BRAKE_N) {
        assertThat(body.forces.gripNeeded(body.i, body.w, brake, 0)).isCloseTo(share, within(2e-4));
      }
      double drive = largest(f -> body.drives(f, mu));
      assertThat(body.forces.gripNeeded(body.i, body.w, 0, drive)).isCloseTo(share, within(2e-4));
    }
    double tooMuch = body.forces.gripNeeded(body.i, body.w, 2 * MOST_BRAKE_N, 0);
    assertThat(tooMuch).isGreaterThanOrEqualTo(2 - 1e-9);
  }
}
