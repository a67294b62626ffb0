package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.profile.FreeBodyTest.Body;
import marvek.core.profile.FreeBodyTest.Case;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Vehicle;
import marvek.core.vehicle.Vehicle.Drive;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Axles told apart, as a free body: side forces of the axles from the balance of forces across and
 * of moments about the upright axis (solved by Hipparchus), and the forces along that no wheel
 * refuses by trial. The formulas of the model are nowhere used here.
 */
class TwoAxlesTest {
  private static final Conditions DAY =
      FreeBodyTest.DAY.but().model(Conditions.Model.AXLES).build();

  /** Of a bend that tightens over 200 m. */
  private static final double FROM_PER_M = 1 / 200.0;

  private static final double TO_PER_M = 1 / 60.0;

  /** Forces along are tried in such steps, and splits of a drive between the axles. */
  private static final double STEP_N = 25;

  private static final double SPLIT = 0.004;

  static List<Case> cases() {
    List<Case> cases = new ArrayList<>();
    for (Drive drive : Drive.values()) {
      for (int bend = -1; bend <= 1; bend += 2) {
        for (double banking : new double[] {-0.05, 0.15}) {
          for (double speed : new double[] {12, 18, 22}) {
            cases.add(new Case(drive, bend, banking, speed));
          }
        }
      }
    }
    return cases;
  }

  /** Forces along that the wheels of a case take, by trial. */
  private static final class Trial {
    private final Case c;
    private final Body body;
    private final double yawInertia;
    private final double closedN;
    private final double growthPerM2;

    Trial(Case c, double closedN) {
      Path path = FreeBodyTest.path(c.bend() * FROM_PER_M, c.bend() * TO_PER_M, c.bankingRad());
      this.c = c;
      this.closedN = closedN;
      body = new Body(c, path, DAY);
      growthPerM2 = c.bend() * (TO_PER_M - FROM_PER_M) / 200;
      double toFront = (1 - FreeBodyTest.FRONT) * FreeBodyTest.WHEELBASE_M;
      double toRear = FreeBodyTest.FRONT * FreeBodyTest.WHEELBASE_M;
      yawInertia = 0.9 * FreeBodyTest.MASS_KG * toFront * toRear;
    }

    /** Side forces of front and rear axle at a force of the tyres along. */
    private RealVector sides(double alongN) {
      double toFront = (1 - FreeBodyTest.FRONT) * FreeBodyTest.WHEELBASE_M;
      double toRear = FreeBodyTest.FRONT * FreeBodyTest.WHEELBASE_M;
      double gains = (alongN - body.forces.resistanceN(body.i, body.w)) / FreeBodyTest.MASS_KG;
      double bend = body.path.curvatureAt(body.i);
      double growth = growthPerM2 * body.w + bend * gains;
      // Y1 + Y2 = Y; Y1·a − Y2·b = I·r'
      double[][] balance = {{1, 1}, {toFront, -toRear}};
      double[] right = {body.forces.lateralDemandN(body.i, body.w), yawInertia * growth};
      return new LUDecomposition(new Array2DRowRealMatrix(balance))
          .getSolver()
          .solve(new ArrayRealVector(right));
    }

    boolean taken(double alongN) {
      double brakes = Math.max(0, -alongN - closedN);
      double engine = alongN + brakes;
      if (brakes > FreeBodyTest.MOST_BRAKE_N) {
        return false;
      }
      double share = FreeBodyTest.BRAKE_SHARE;
      return switch (c.drive()) {
        case FRONT -> held(alongN, engine - share * brakes, -(1 - share) * brakes);
        case REAR -> held(alongN, -share * brakes, engine - (1 - share) * brakes);
        case ALL -> allHeld(alongN);
      };
    }

    /** However the four wheels share their drive; braking of any kind goes by the brakes' share. */
    private boolean allHeld(double alongN) {
      double share = FreeBodyTest.BRAKE_SHARE;
      if (alongN <= 0) {
        return held(alongN, share * alongN, (1 - share) * alongN);
      }
      for (double front = 0; front <= 1; front += SPLIT) {
        if (held(alongN, front * alongN, (1 - front) * alongN)) {
          return true;
        }
      }
      return false;
    }

    private boolean held(double alongN, double frontN, double rearN) {
      RealVector sides = sides(alongN);
      return grips(frontN, sides.getEntry(0), body.frontN(alongN))
          && grips(rearN, sides.getEntry(1), body.rearN(alongN));
    }

    private boolean grips(double alongN, double sideN, double loadN) {
      return loadN >= 0 && Math.hypot(alongN / body.muAlong, sideN / body.muAcross) <= loadN;
    }

    /** Least and greatest force that is taken; empty where none is. */
    List<Double> ends() {
      double least = Double.NaN;
      double most = Double.NaN;
      for (double force = -25_000; force <= 25_000; force += STEP_N) {
        if (taken(force)) {
          least = Double.isNaN(least) ? force : least;
          most = force;
        }
      }
      return Double.isNaN(least) ? List.of() : List.of(least, most);
    }
  }

  @ParameterizedTest
  @MethodSource("cases")
  void noWheelRefusesTheEndsOfWhatIsPossible(Case c) {
    Trial trial = new Trial(c, 0);
    ForceModel forces = trial.body.forces;
    List<Double> ends = trial.ends();
    assertThat(ends).isNotEmpty();
    double resistance = forces.resistanceN(trial.body.i, trial.body.w);
    double braking = resistance - forces.netBrakeN(trial.body.i, trial.body.w, 0);
    double driving = resistance + forces.netDriveN(trial.body.i, trial.body.w, 1e6);
    assertThat(braking).isCloseTo(ends.get(0), within(1.1 * STEP_N));
    assertThat(driving).isCloseTo(ends.get(1), within(1.1 * STEP_N + SPLIT * driving));
  }

  /** An engine drives with all that it has until a wheel refuses it. */
  @ParameterizedTest
  @MethodSource("cases")
  void anEngineDrivesAsFarAsTheWheelsTakeIt(Case c) {
    Trial trial = new Trial(c, 0);
    int i = trial.body.i;
    double w = trial.body.w;
    ForceModel forces = trial.body.forces;
    double most = trial.ends().get(1);
    for (double engine = 0; engine < 12_000; engine += 8 * STEP_N) {
      double driving = forces.netDriveN(i, w, engine) + forces.resistanceN(i, w);
      if (trial.taken(engine)) {
        assertThat(driving).isCloseTo(engine, within(1e-6));
      } else {
        assertThat(driving).isBetween(most - 1e-6, most * (1 + SPLIT) + 1.1 * STEP_N);
      }
    }
  }

  @Test
  void aLiftedAxleHoldsNothing() {
    Vehicle car = FreeBodyTest.car(Drive.REAR);
    double lifts = 100 * car.wheelbaseM() / car.cgHeightM();
    GripLimits.Place light = new GripLimits.Place(100, 9900, 0, 0, 0, 2, 2, 0);
    assertThat(new TwoAxles(car).holds(light, 0.99 * lifts)).isTrue();
    assertThat(new TwoAxles(car).holds(light, 1.01 * lifts)).isFalse();
  }

  /** A shut throttle brakes the driven wheels with 1500 N, then the brakes come to it. */
  @ParameterizedTest
  @MethodSource("cases")
  void theEnginesBrakingCountsAtItsAxle(Case c) {
    Trial trial = new Trial(c, 1500);
    ForceModel forces = trial.body.forces;
    double resistance = forces.resistanceN(trial.body.i, trial.body.w);
    double braking = resistance - forces.netBrakeN(trial.body.i, trial.body.w, 1500);
    assertThat(braking).isCloseTo(trial.ends().get(0), within(1.1 * STEP_N));
  }

  /** What is asked for at the ends of what is possible is all of the grip of one axle. */
  @ParameterizedTest
  @MethodSource("cases")
  void atTheEndsOneAxleIsAskedForAllItHas(Case c) {
    Trial trial = new Trial(c, 0);
    int i = trial.body.i;
    double w = trial.body.w;
    ForceModel forces = trial.body.forces;
    double resistance = forces.resistanceN(i, w);
    double braking = forces.netBrakeN(i, w, 0) - resistance;
    double driving = resistance + forces.netDriveN(i, w, 1e6);
    if (braking < 0.999 * FreeBodyTest.MOST_BRAKE_N) {
      assertThat(forces.gripNeeded(i, w, braking, 0)).isCloseTo(1, within(1e-6));
    }
    assertThat(forces.gripNeeded(i, w, 0, driving)).isCloseTo(1, within(1e-4));
    ForceModel.AxleUse use = forces.axleUse(i, w, 0, driving).orElseThrow();
    assertThat(Math.max(use.front(), use.rear())).isEqualTo(forces.gripNeeded(i, w, 0, driving));
  }

  /** The highest speed is the last one at which any force along is taken. */
  @ParameterizedTest
  @MethodSource("cases")
  void theLimitIsWhereNoForceIsTakenAnyMore(Case c) {
    Vehicle car = FreeBodyTest.car(c.drive());
    Trial trial = new Trial(c, 0);
    ForceModel forces = trial.body.forces;
    ClosedThrottle none = ClosedThrottle.bestGear(Driveline.of(car, Conditions.Model.PLAIN));
    double limit = Math.sqrt(forces.limitW(trial.body.i, 1e4, none));
    Case below = new Case(c.drive(), c.bend(), c.bankingRad(), 0.995 * limit);
    Case above = new Case(c.drive(), c.bend(), c.bankingRad(), 1.002 * limit);
    assertThat(new Trial(below, 0).ends()).isNotEmpty();
    assertThat(new Trial(above, 0).ends()).isEmpty();
  }

  /** A car without yaw inertia asks its axles for the bend's side force alone. */
  @ParameterizedTest
  @MethodSource("cases")
  void withoutYawInertiaTheBendAloneIsShared(Case c) {
    Vehicle car = FreeBodyTest.car(c.drive()).withTurning(new Turning(0, 100, 60));
    Path path = FreeBodyTest.path(c.bend() * FROM_PER_M, c.bend() * TO_PER_M, c.bankingRad());
    Body body = new Body(c, path, DAY);
    ForceModel forces = new ForceModel(path, car, DAY);
    double side = Math.abs(forces.lateralDemandN(body.i, body.w));
    ForceModel.AxleUse use = forces.axleUse(body.i, body.w, 0, 0).orElseThrow();
    double ofFront = FreeBodyTest.FRONT * side / (body.muAcross * body.frontN(0));
    double ofRear = (1 - FreeBodyTest.FRONT) * side / (body.muAcross * body.rearN(0));
    assertThat(use.front()).isCloseTo(ofFront, within(1e-9));
    assertThat(use.rear()).isCloseTo(ofRear, within(1e-9));
  }
}
