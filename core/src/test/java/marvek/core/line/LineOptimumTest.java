package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.numeric.UniformSpline;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.hipparchus.analysis.MultivariateFunction;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleBounds;
import org.hipparchus.optim.SimpleValueChecker;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.BOBYQAOptimizer;
import org.hipparchus.optim.nonlinear.scalar.noderiv.CMAESOptimizer;
import org.hipparchus.random.MersenneTwister;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The fastest line of single corners against other optimisers, and against what is known of it. */
class LineOptimumTest {
  private static final double LEG_M = 80;

  /** Other optimisers are not bound in how fast they turn, or lean: that is worth most of this. */
  private static final double LEAST_SHARE = 0.9985;

  /** A corner between two straights. */
  enum Corner {
    RIGHT_ANGLE {
      @Override
      TestRoads on(TestRoads road) {
        return road.corner(18, 90, 6);
      }
    },
    HAIRPIN {
      @Override
      TestRoads on(TestRoads road) {
        return road.corner(14, 175, 6);
      }
    },
    ESSES {
      @Override
      TestRoads on(TestRoads road) {
        return road.corner(30, 50, 10).straight(70).corner(30, -60, 10);
      }
    };

    abstract TestRoads on(TestRoads road);

    Survey survey() {
      return on(TestRoads.every(3).straight(LEG_M)).straight(LEG_M).survey(false, 5, 0, 0);
    }
  }

  /** A line found on a road of its own. */
  private record Found(Lap lap, Corridor corridor, double smoothS) {
    static Found on(Survey survey, Vehicle vehicle, Conditions day, double marginM) {
      Road road = Road.through(survey);
      Corridor corridor = Corridor.of(Circuit.bare("x", survey), road, vehicle, day, marginM);
      Path path = SmoothLine.find(road, corridor, List.of()).path();
      Lap smooth = SpeedProfile.solve(path, vehicle, day);
      FastestLine.Result found = FastestLine.find(smooth, corridor, share -> {});
      assertThat(found.converged()).isTrue();
      return new Found(found.lap(), corridor, smooth.timeS());
    }

    Road road() {
      return lap.path().road();
    }

    /** Time of the line moved by a spline, and brought back onto the road. */
    double timeMovedS(double[] moves, double distanceM) {
      UniformSpline spline = new UniformSpline(moves, distanceM, false);
      double[] offsets = lap.path().offsets();
      for (int i = 0; i < offsets.length; i++) {
        double moved = offsets[i] + spline.valueAt(road().stationAt(i));
        offsets[i] = Math.max(corridor.rightAt(i), Math.min(corridor.leftAt(i), moved));
      }
      Path path = Path.at(road(), offsets, List.of());
      return SpeedProfile.solve(path, lap.vehicle(), lap.conditions()).timeS();
    }
  }

  private static List<Found> found(Corner corner) {
    Conditions plain = TestVehicles.FULL_GRIP;
    Conditions axles = Conditions.OF_NEW_BOOKS.withGripUsed(1);
    Survey survey = corner.survey();
    return List.of(
        Found.on(survey, TestVehicles.clubCar(), plain, 0.15),
        Found.on(survey, TestVehicles.clubCar(), axles, 0.15),
        Found.on(survey, TestVehicles.motorcycle(), plain, 0.15));
  }

  /**
   * Source: two optimisers of Hipparchus that know nothing of derivatives, BOBYQA (Powell 2009) and
   * CMA-ES (Hansen 2006). They move the found line every 10 m by up to a metre, and are told only
   * the time of the ordinary profile.
   */
  @ParameterizedTest
  @EnumSource(Corner.class)
  void noOtherOptimiserImprovesIt(Corner corner) {
    for (Found line : found(corner)) {
      double own = line.lap().timeS();
      assertThat(own).isLessThan(line.smoothS());
      assertThat(bobyqa(line)).isBetween(LEAST_SHARE * own, own + 1e-9);
      assertThat(cmaEs(line)).isBetween(LEAST_SHARE * own, own + 1e-9);
    }
  }

  private static final double MOVED_EVERY_M = 10;

  private static int moves(Found line) {
    return (int) Math.round(line.road().lengthM() / MOVED_EVERY_M) + 1;
  }

  private static MultivariateFunction time(Found line) {
    double distance = line.road().lengthM() / (moves(line) - 1);
    return moves -> line.timeMovedS(moves, distance);
  }

  private static double[] all(Found line, double value) {
    double[] values = new double[moves(line)];
    Arrays.fill(values, value);
    return values;
  }

  private static double bobyqa(Found line) {
    return new BOBYQAOptimizer(2 * moves(line) + 1, 0.05, 1e-4)
        .optimize(
            new MaxEval(5000),
            new ObjectiveFunction(time(line)),
            GoalType.MINIMIZE,
            new InitialGuess(all(line, 0)),
            new SimpleBounds(all(line, -1), all(line, 1)))
        .getValue();
  }

  private static double cmaEs(Found line) {
    return new CMAESOptimizer(
            120, 0, true, 5, 0, new MersenneTwister(5), false, new SimpleValueChecker(1e-6, 1e-6))
        .optimize(
            new MaxEval(5000),
            new ObjectiveFunction(time(line)),
            GoalType.MINIMIZE,
            new InitialGuess(all(line, 0)),
            new SimpleBounds(all(line, -1), all(line, 1)),
            new CMAESOptimizer.Sigma(all(line, 0.1)),
            new CMAESOptimizer.PopulationSize(14))
        .getValue();
  }

  /** A tonne that grips as its own weight, with the same force at any speed. */
  private static Vehicle pulling(double g) {
    double torque = g * 9.80665 * 1000 * 0.33;
    Engine engine =
        new Engine(new double[] {500, 30_000}, new double[] {torque, torque}, 400, 30_000, 0);
    Gearbox gearbox = new Gearbox(new double[] {1}, 1, 1, 0.05, 0.05);
    Brakes brakes = new Brakes(900_000, 0.5);
    return TestVehicles.bare(Vehicle.Drive.ALL, 0, 0.5, 1, brakes, engine, gearbox, 0);
  }

  private static Survey rightAngle() {
    return TestRoads.every(2).straight(120).corner(15, 90, 2).straight(120).survey(false, 5, 0, 0);
  }

  private static Lap on(Survey survey, Vehicle vehicle) {
    return Found.on(survey, vehicle, TestVehicles.FULL_GRIP, 0).lap();
  }

  private static int apex(Lap lap) {
    int apex = 0;
    for (int i = 0; i < lap.size(); i++) {
      apex = lap.path().offsetAt(i) > lap.path().offsetAt(apex) ? i : apex;
    }
    return apex;
  }

  private static int slowest(Lap lap) {
    int slowest = 0;
    for (int i = 0; i < lap.size(); i++) {
      slowest = lap.speedAt(i) < lap.speedAt(slowest) ? i : slowest;
    }
    return slowest;
  }

  /**
   * Source: mechanics. Where tyres alone decide, drive pulls as hard as brakes hold, and the motion
   * backwards is as good as forwards: the corner driven from its other end has the same line and
   * takes the same time. With less power it does not.
   */
  @Test
  void whereGripAloneDecidesItIsTheSameFromTheOtherEnd() {
    Vehicle strong = pulling(3);
    Lap lap = on(rightAngle(), strong);
    Lap back = on(TestRoads.reversed(rightAngle()), strong);
    assertThat(back.timeS()).isCloseTo(lap.timeS(), withinPercentage(0.01));
    Lap weak = on(rightAngle(), pulling(0.6));
    Lap weakBack = on(TestRoads.reversed(rightAngle()), pulling(0.6));
    int last = lap.size() - 1;
    double most = 0;
    for (int i = 90; i <= last - 90; i++) {
      double other = -back.path().offsetAt(last - i);
      assertThat(other).isCloseTo(lap.path().offsetAt(i), within(0.03));
      double weaker = -weakBack.path().offsetAt(last - i);
      most = Math.max(most, Math.abs(weaker - weak.path().offsetAt(i)));
    }
    assertThat(most).isGreaterThan(0.5);
  }

  /**
   * Source: common practice of the trade. Where power decides, the car is turned early and slowest
   * then, its apex comes late, and it leaves on a wider bend than it came.
   */
  @Test
  void wherePowerDecidesTheApexIsLate() {
    Lap lap = on(rightAngle(), pulling(0.6));
    int middle = lap.size() / 2;
    assertThat(apex(lap)).isGreaterThanOrEqualTo(middle + 1);
    assertThat(slowest(lap)).isLessThanOrEqualTo(middle - 2);
    assertThat(apex(lap) - slowest(lap)).isGreaterThanOrEqualTo(4);
    double in = lap.path().curvatureAt(middle - 8);
    double out = lap.path().curvatureAt(middle + 8);
    assertThat(out).isLessThan(0.95 * in);
  }

  /**
   * Two bends that follow each other at once: the smooth line asks for more than a rider's 60°/s,
   * and the fastest that can be ridden is slower than it.
   */
  @Test
  void aMotorcycleIsLeanedNoFasterThanItsRiderDoes() {
    Survey survey =
        TestRoads.every(3)
            .straight(LEG_M)
            .corner(25, 60, 6)
            .straight(30)
            .corner(25, -70, 6)
            .straight(LEG_M)
            .survey(false, 5, 0, 0);
    Found found = Found.on(survey, TestVehicles.motorcycle(), TestVehicles.FULL_GRIP, 0.15);
    Path smooth = SmoothLine.find(found.road(), found.corridor(), List.of()).path();
    Lap lap = found.lap();
    Lap asked = SpeedProfile.solve(smooth, lap.vehicle(), lap.conditions());
    assertThat(leanedDps(asked)).isGreaterThan(90);
    assertThat(leanedDps(lap)).isLessThan(1.1 * 60);
    assertThat(lap.timeS()).isBetween(asked.timeS(), 1.02 * asked.timeS());
  }

  private static double leanedDps(Lap lap) {
    double most = 0;
    for (int i = 0; i + 1 < lap.size(); i++) {
      double leaned = leanDeg(lap, i + 1) - leanDeg(lap, i);
      double seconds = 2 * lap.path().elementAt(i) / (lap.speedAt(i) + lap.speedAt(i + 1));
      most = Math.max(most, Math.abs(leaned) / seconds);
    }
    return most;
  }

  private static double leanDeg(Lap lap, int i) {
    double sideways = lap.path().curvatureAt(i) * lap.speedAt(i) * lap.speedAt(i);
    return Math.toDegrees(Math.atan(sideways / 9.80665));
  }
}
