package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Constants;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** What the search of the line takes for possible, against the forces of the ordinary profile. */
class LineForcesTest {
  private static final List<Vehicle> VEHICLES =
      List.of(
          TestVehicles.clubCar(),
          TestVehicles.car(Vehicle.Drive.FRONT, 0.5, 0.7, 0, 0.7),
          TestVehicles.car(Vehicle.Drive.ALL, 0.5, 0.7, 0.3, 0.65),
          TestVehicles.car(Vehicle.Drive.REAR, 0.3, 1.1, 2.8, 0.6),
          TestVehicles.motorcycle());

  /** Short, so that the speed at both ends is the same. */
  private static final double LENGTH_M = 0.01;

  /** Twice what rounds the tip of the ellipse. */
  private static final double ROUNDED = 0.006;

  private static Lap circle(Vehicle vehicle) {
    return circle(vehicle, Conditions.DEFAULT);
  }

  private static Lap circle(Vehicle vehicle, Conditions day) {
    Road road = Circuit.bare("circle", TestRoads.circle(60, 4)).road();
    return SpeedProfile.solve(Path.centreline(road, List.of()), vehicle, day);
  }

  private static Grid every(Lap lap) {
    return Grid.every(Reach.whole(lap.path().road()), lap.path().road());
  }

  /** The least that the tyres have to spare when they push with a force [weights]. */
  private static double spare(Lap lap, double w, double tyreN) {
    LineForces model = new LineForces(lap, every(lap), lap.path(), new boolean[lap.size()], null);
    ForceModel forces = lap.forces();
    double bend = lap.path().curvatureAt(0);
    double gain = 2 * LENGTH_M * (tyreN - forces.resistanceN(0, w)) / forces.massKg();
    LineForces.Spare all =
        model.of(
            0,
            new double[model.constraints()],
            new double[] {bend, bend, w - gain / 2, w + gain / 2, LENGTH_M});
    double least = Double.POSITIVE_INFINITY;
    // The last four are engine, brakes and the two of turning.
    for (int j = 0; j < model.constraints() - 4; j++) {
      least = Math.min(least, all.spare()[j]);
    }
    return least;
  }

  @Test
  void driveAndBrakesEndWhereTheForceModelSaysBesideAnyCornering() {
    for (Vehicle vehicle : VEHICLES) {
      Lap lap = circle(vehicle);
      ForceModel forces = lap.forces();
      double limit = forces.limitW(0);
      for (double share : new double[] {0.1, 0.5, 0.8, 0.95}) {
        double w = share * limit;
        double drive = forces.tractionN(0, w);
        // A brake system's own limit is another constraint.
        double brake = Math.min(forces.brakeN(0, w), vehicle.brakes().maxForceN());
        String what = vehicle.drive() + " " + vehicle.kind() + " at " + share;
        assertThat(spare(lap, w, drive)).as(what).isCloseTo(0, within(ROUNDED));
        assertThat(spare(lap, w, 0.9 * drive)).as(what).isPositive();
        assertThat(spare(lap, w, -0.9 * brake)).as(what).isPositive();
        if (brake < 0.999 * vehicle.brakes().maxForceN()) {
          assertThat(spare(lap, w, -brake)).as(what).isCloseTo(0, within(ROUNDED));
          assertThat(spare(lap, w, -1.1 * brake)).as(what).isNegative();
        }
      }
    }
  }

  /**
   * With the axles told apart likewise; four driven wheels as a whole have a shade more to drive
   * with than their axles together.
   */
  @Test
  void axlesToldApartEndWhereTheForceModelSays() {
    for (Vehicle vehicle : VEHICLES) {
      Lap lap = circle(vehicle, Conditions.OF_NEW_BOOKS);
      ForceModel forces = lap.forces();
      for (double share : new double[] {0.1, 0.5, 0.8}) {
        double w = share * forces.limitW(0);
        double drive = forces.tractionN(0, w);
        double brake = forces.brakeN(0, w);
        String what = vehicle.drive() + " " + vehicle.kind() + " at " + share;
        boolean all = vehicle.drive() == Vehicle.Drive.ALL;
        assertThat(spare(lap, w, drive)).as(what).isBetween(-ROUNDED, all ? 0.03 : ROUNDED);
        assertThat(spare(lap, w, 0.9 * drive)).as(what).isPositive();
        assertThat(spare(lap, w, -0.9 * brake)).as(what).isPositive();
        if (brake < 0.999 * vehicle.brakes().maxForceN()) {
          assertThat(spare(lap, w, -brake)).as(what).isCloseTo(0, within(ROUNDED));
          assertThat(spare(lap, w, -1.1 * brake)).as(what).isNegative();
        }
      }
    }
  }

  @Test
  void corneringEndsAtTheSameSpeed() {
    for (Vehicle vehicle : VEHICLES) {
      Lap lap = circle(vehicle);
      double limit = lap.forces().limitW(0);
      assertThat(spare(lap, 0.99 * limit, 0)).isPositive();
      assertThat(spare(lap, 1.01 * limit, 0)).isNegative();
    }
  }

  /** Up a helix the bend of the plan counts by cos² of the grade, as in the profile. */
  @Test
  void onAGradeABendIsMeasuredInSpace() {
    Survey flat = TestRoads.every(5).bend(300, 1 / 60.0, 1 / 60.0).survey(false, 6, 0, 0);
    Survey helix = TestRoads.changed(flat, (p, i) -> new double[] {p[0], p[1], 0.25 * 5 * i});
    Path path = Path.centreline(Road.through(helix), List.of());
    Vehicle mass = TestVehicles.pointMass(0.9);
    Lap lap = SpeedProfile.solve(path, mass, Conditions.DEFAULT);
    int k = path.road().indexOf(150);
    double limit = lap.forces().limitW(k);
    double alongN = lap.forces().resistanceN(k, limit);
    LineForces model = new LineForces(lap, every(lap), path, new boolean[lap.size()], null);
    double held = 0;
    for (double share = 0.5; share < 1.1; share += 0.001) {
      LineForces.Spare spare =
          model.of(
              k,
              new double[model.constraints()],
              new double[] {1 / 60.0, 1 / 60.0, share * limit, share * limit, path.elementAt(k)});
      held = spare.spare()[0] > 0 ? share : held;
    }
    // At a level speed the grade's pull takes its part of the grip.
    double along = alongN / (0.9 * 0.97 * lap.forces().normalN(k, 0));
    assertThat(held).isCloseTo(Math.sqrt(1 - along * along), within(0.01));
  }

  /** ε = 100°/s² of a car that straightens from a bend: κ'·v². */
  @Test
  void turningIsBoundedByItsRate() {
    Lap lap = circle(TestVehicles.clubCar());
    LineForces model = new LineForces(lap, every(lap), lap.path(), new boolean[lap.size()], null);
    double w = 400;
    double most = Math.toRadians(100) / w;
    for (double share : new double[] {-1, -0.5, 0, 0.5, 1}) {
      double turned =
          model
              .of(
                  0,
                  new double[model.constraints()],
                  new double[] {0.01, 0.01 + share * most, w, w, 1})
              .turned();
      assertThat(turned).isCloseTo(share, within(1e-9));
    }
  }

  /** A motorcycle's lean atan(κv²/g) at 60°/s. */
  @Test
  void leaningIsBoundedByItsRate() {
    Lap lap = circle(TestVehicles.motorcycle());
    LineForces model = new LineForces(lap, every(lap), lap.path(), new boolean[lap.size()], null);
    double w = 400;
    double next = Math.tan(Math.toRadians(60) / Math.sqrt(w)) * Constants.G0 / w;
    double turned =
        model.of(0, new double[model.constraints()], new double[] {0, next, w, w, 1}).turned();
    assertThat(turned).isCloseTo(1, within(1e-9));
  }

  @Test
  void theEnginesForceIsTheBestGears() {
    Lap lap = circle(TestVehicles.clubCar());
    SmoothForce engine = SmoothForce.drive(lap.driveline());
    for (double v = 5; v < 0.95 * engine.topSpeedMps(); v += 1.7) {
      double best = lap.driveline().bestForceN(v);
      double around =
          Math.max(
              Math.abs(lap.driveline().bestForceN(v + 2) - best),
              Math.abs(lap.driveline().bestForceN(v - 2) - best));
      double smooth = engine.at(v).force();
      assertThat(smooth).isCloseTo(best, within(around + 0.002 * best));
    }
  }
}
