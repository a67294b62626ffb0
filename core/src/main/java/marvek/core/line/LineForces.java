package marvek.core.line;

import static marvek.core.profile.Constants.G0;

import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.numeric.Jet;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;
import org.jspecify.annotations.Nullable;

/**
 * What tyres, engine, brakes and the turning of the car allow over one element of a line: each as a
 * number that must not be negative, forces in weights of the vehicle. The same model as {@link
 * ForceModel}, with derivatives and without its kinks.
 */
final class LineForces {
  /** What is held turns as it did before; it is slowed down for it only where that is absurd. */
  private static final double HELD_TURNS = 100;

  /** Variables of the jets. */
  static final int CURVATURE = 0;

  static final int NEXT_CURVATURE = 1;
  static final int SPEED_SQUARED = 2;
  static final int NEXT_SPEED_SQUARED = 3;
  static final int LENGTH = 4;
  static final int VARIABLES = 5;

  /** Beyond the variables: what is a function of them itself. */
  static final int ALONG = 5;

  static final int TURNING = 6;
  static final int WITH_FORCES = 7;

  private final Vehicle vehicle;
  private final Grid grid;
  private final SmoothForce engine;
  private final SmoothForce closed;
  private final LineTyres tyres;
  private final boolean motorcycle;
  private final double weight;
  private final double drag;
  private final double mostBrake;

  /** What stays the same at the middle of each element. */
  private final double[] climb;

  /** Curvature in space over that in plan. */
  private final double[] inSpace;

  private final LineTyres.Place[] places;
  private final double[] headwind;
  private final double[] crosswind;
  private final double[] most;

  /** Largest curvature at each sample, or null. */
  private final double @Nullable [] largestBend;

  /**
   * @param lap whose path gives surface and wind
   * @param grid places between which its elements lie
   * @param near a path that is near to the line that is sought: crests are as long as on it
   * @param held samples at which the line stays: there it may turn as it does
   * @param largestBend largest curvature at each sample [1/m]; null for any
   */
  LineForces(Lap lap, Grid grid, Path near, boolean[] held, double @Nullable [] largestBend) {
    this.grid = grid;
    this.largestBend = largestBend;
    vehicle = lap.vehicle();
    ForceModel forces = lap.forces();
    engine = SmoothForce.drive(lap.driveline());
    closed = SmoothForce.closed(lap.driveline());
    tyres = new LineTyres(lap);
    motorcycle = vehicle.kind() == Vehicle.Kind.MOTORCYCLE;
    weight = forces.massKg() * G0;
    drag = forces.dragPerSquaredSpeed() / weight;
    double downforce = forces.downforcePerSquaredSpeed() / weight;
    mostBrake = vehicle.brakes().maxForceN() / weight;
    Road road = lap.path().road();
    int n = grid.elements();
    climb = new double[n];
    inSpace = new double[n];
    places = new LineTyres.Place[n];
    headwind = new double[n];
    crosswind = new double[n];
    most = new double[n];
    double asked =
        Math.toRadians(
            motorcycle ? vehicle.turning().leanRateDps() : vehicle.turning().yawAccelerationDps2());
    for (int e = 0; e < n; e++) {
      int i = grid.at(e);
      int j = grid.at(e + 1);
      double grade = (road.gradeAt(i) + road.gradeAt(j)) / 2;
      double phi = (road.bankingAt(i) + road.bankingAt(j)) / 2;
      climb[e] = Math.tan(grade) * grid.gap(e) * road.stepM();
      inSpace[e] = Math.cos(grade) * Math.cos(grade);
      double vertical = (near.verticalCurvatureAt(i) + near.verticalCurvatureAt(j)) / 2;
      places[e] =
          new LineTyres.Place(
              Math.cos(grade) * Math.cos(phi),
              Math.cos(grade) * Math.sin(phi),
              Math.cos(phi),
              Math.sin(phi),
              vertical * Math.cos(phi) / G0 + downforce,
              (forces.gripAt(i) + forces.gripAt(j)) / 2,
              inSpace[e]);
      headwind[e] = (forces.headwindMpsAt(i) + forces.headwindMpsAt(j)) / 2;
      crosswind[e] = (forces.crosswindMpsAt(i) + forces.crosswindMpsAt(j)) / 2;
      most[e] = held[i] || held[j] ? HELD_TURNS * asked : asked;
    }
  }

  /** Climb over an element [m]. */
  double climbM(int k) {
    return climb[k];
  }

  /** Number of constraints of an element. */
  int constraints() {
    return 2 * tyres.constraints() + 4 + (largestBend == null ? 0 : 1);
  }

  /** Highest speed that the gears allow [m/s]. */
  double topSpeedMps() {
    return engine.topSpeedMps();
  }

  /**
   * What an element has to spare. Its jets are functions of the variables and, beyond them, of the
   * force along and the turning, which are functions of the variables themselves.
   *
   * @param spare the constraints, in an order of their own
   * @param slopes their derivatives by the variables
   * @param weighed the sum of the constraints, each times its multiplier
   * @param along force of the tyres along [weights]
   * @param turning growth of the turning [rad/s²], or rate of leaning [rad/s]
   * @param most what a driver asks for of it at most
   */
  record Spare(
      double[] spare, double[][] slopes, Jet weighed, Jet along, Jet turning, double most) {
    /** Rate of turning in, or of leaning, as a share of what a driver asks for at most. */
    double turned() {
      return turning.value() / most;
    }

    /** Derivatives of a function by the variables alone. */
    double[] slopes(Jet function) {
      double[] slopes = new double[VARIABLES];
      for (int v = 0; v < VARIABLES; v++) {
        slopes[v] =
            function.by(v)
                + function.by(ALONG) * along.by(v)
                + function.by(TURNING) * turning.by(v);
      }
      return slopes;
    }

    /** A function as one of the variables alone. */
    Jet ofVariables(Jet function) {
      return function.substituted(along, turning);
    }
  }

  /**
   * What tyres, engine, brakes and turning have to spare over an element.
   *
   * @param z multipliers of the constraints
   * @param at the variables: bends in plan [1/m] and squares of the speed [m²/s²] at both ends,
   *     length [m]
   */
  Spare of(int k, double[] z, double[] at) {
    double bend = inSpace[k] * at[CURVATURE];
    double nextBend = inSpace[k] * at[NEXT_CURVATURE];
    double speed = Math.sqrt((at[SPEED_SQUARED] + at[NEXT_SPEED_SQUARED]) / 2);
    Jet perLength = perLength(at[LENGTH]);
    Jet along = along(k, at, bend + nextBend, speed, perLength);
    Jet turning = turning(k, at, bend, nextBend, speed, perLength);
    Collected all = new Collected(k, z, at, along, turning);
    all.tyres(CURVATURE, SPEED_SQUARED);
    all.tyres(NEXT_CURVATURE, NEXT_SPEED_SQUARED);
    all.ofSpeed(engine.at(speed), speed, -1, 0);
    all.ofSpeed(closed.at(speed), speed, 1, mostBrake);
    all.ofTurning(-1 / most[k]);
    all.ofTurning(1 / most[k]);
    if (largestBend != null) {
      all.ofBend(inSpace[k] / largestBend[grid.at(k)]);
    }
    return new Spare(all.spare, all.slopes, all.weighed, along, turning, most[k]);
  }

  /** Constraints as they come. */
  private final class Collected {
    private final int k;
    private final double[] z;
    private final double[] at;
    private final Jet along;
    private final Jet turning;
    private final double[] spare = new double[constraints()];
    private final double[][] slopes = new double[constraints()][VARIABLES];
    private final Jet weighed = new Jet(WITH_FORCES);
    private int next;

    Collected(int k, double[] z, double[] at, Jet along, Jet turning) {
      this.k = k;
      this.z = z;
      this.at = at;
      this.along = along;
      this.turning = turning;
    }

    /** Those of one end. */
    void tyres(int bendAt, int speedAt) {
      double[] given = {along.value(), turning.value(), at[bendAt], at[speedAt]};
      Jet ofTyres = new Jet(LineTyres.GIVEN);
      for (Jet constraint : tyres.spare(places[k], given)) {
        spare[next] = constraint.value();
        by(constraint.by(LineTyres.ALONG), constraint.by(LineTyres.TURNING));
        slopes[next][bendAt] += constraint.by(LineTyres.BEND);
        slopes[next][speedAt] += constraint.by(LineTyres.SPEED_SQUARED);
        ofTyres.add(z[next], constraint);
        next++;
      }
      weighed.add(1, ofTyres, ALONG, TURNING, bendAt, speedAt);
    }

    private void by(double ofAlong, double ofTurning) {
      for (int v = 0; v < VARIABLES; v++) {
        slopes[next][v] = ofAlong * along.by(v) + ofTurning * turning.by(v);
      }
    }

    /** A force at a speed beside that of the tyres. */
    void ofSpeed(SmoothForce.Value force, double speed, int sign, double number) {
      spare[next] = force.force() / weight + sign * along.value() + number;
      double slope = force.slope() / weight;
      double ofSquare = slope / (4 * speed);
      by(sign, 0);
      slopes[next][SPEED_SQUARED] += ofSquare;
      slopes[next][NEXT_SPEED_SQUARED] += ofSquare;
      weighed.plus(z[next] * spare[next]).slope(ALONG, sign * z[next]);
      addOfSpeed(weighed, speed, z[next] * slope, z[next] * force.bend() / weight);
      next++;
    }

    /** One less a share of the turning. */
    void ofTurning(double share) {
      spare[next] = 1 + share * turning.value();
      by(0, share);
      weighed.plus(z[next] * spare[next]).slope(TURNING, z[next] * share);
      next++;
    }

    /** One less the square of a bend's share of the largest. */
    void ofBend(double share) {
      double bent = share * at[CURVATURE];
      spare[next] = 1 - bent * bent;
      slopes[next][CURVATURE] = -2 * bent * share;
      weighed.plus(z[next] * spare[next]).slope(CURVATURE, -2 * z[next] * bent * share);
      weighed.bend(CURVATURE, CURVATURE, -2 * z[next] * share * share);
      next++;
    }
  }

  /**
   * Adds the derivatives of a function of the speed in the middle, whose square is half of the sum
   * of those at the ends.
   */
  private static void addOfSpeed(Jet to, double speed, double slope, double bend) {
    double first = slope / (4 * speed);
    double second = (bend - slope / speed) / (16 * speed * speed);
    to.slope(SPEED_SQUARED, first).slope(NEXT_SPEED_SQUARED, first);
    to.bend(SPEED_SQUARED, SPEED_SQUARED, second);
    to.bend(SPEED_SQUARED, NEXT_SPEED_SQUARED, second);
    to.bend(NEXT_SPEED_SQUARED, NEXT_SPEED_SQUARED, second);
  }

  private static Jet perLength(double length) {
    double r = 1 / length;
    return new Jet(VARIABLES).plus(r).slope(LENGTH, -r * r).bend(LENGTH, LENGTH, 2 * r * r * r);
  }

  /** Force of the tyres along [weights]: gain of speed and height, air and rolling. */
  private Jet along(int k, double[] at, double bends, double speed, Jet perLength) {
    double w = at[SPEED_SQUARED];
    double nextW = at[NEXT_SPEED_SQUARED];
    Jet gain = new Jet(VARIABLES).plus((nextW - w) / (2 * G0) + climb[k]);
    gain.slope(SPEED_SQUARED, -0.5 / G0).slope(NEXT_SPEED_SQUARED, 0.5 / G0);
    Jet along = Jet.product(gain, perLength);
    addAir(along, k, speed);
    addRolling(along, k, bends, (w + nextW) / 2);
    return along;
  }

  private void addAir(Jet to, int k, double speed) {
    double through = speed + headwind[k];
    double wind = Math.sqrt(through * through + crosswind[k] * crosswind[k]);
    double share = wind > 0 ? through / wind : 0;
    to.plus(drag * through * wind);
    addOfSpeed(to, speed, drag * (wind + share * through), drag * share * (3 - share * share));
  }

  private void addRolling(Jet to, int k, double bends, double square) {
    LineTyres.Place place = places[k];
    double resistance = vehicle.rollingResistance();
    double ofBend = resistance * 0.5 * place.sinPhi() / G0;
    double ofSquare = ofBend * bends + resistance * place.crest();
    to.plus(ofSquare * square + resistance * place.cosCos());
    to.slope(SPEED_SQUARED, 0.5 * ofSquare).slope(NEXT_SPEED_SQUARED, 0.5 * ofSquare);
    double inPlan = inSpace[k] * ofBend;
    for (int bend : new int[] {CURVATURE, NEXT_CURVATURE}) {
      to.slope(bend, inPlan * square);
      to.bend(bend, SPEED_SQUARED, 0.5 * inPlan).bend(bend, NEXT_SPEED_SQUARED, 0.5 * inPlan);
    }
  }

  /** Growth of a car's turning [rad/s²], or rate at which a motorcycle leans [rad/s]. */
  private Jet turning(
      int k, double[] at, double bend, double nextBend, double speed, Jet perLength) {
    Jet change = new Jet(VARIABLES);
    if (motorcycle) {
      addLean(change, 1, k, NEXT_CURVATURE, nextBend, NEXT_SPEED_SQUARED, at);
      addLean(change, -1, k, CURVATURE, bend, SPEED_SQUARED, at);
      Jet ofSpeed = new Jet(VARIABLES).plus(speed);
      addOfSpeed(ofSpeed, speed, 1, 0);
      change = Jet.product(change, ofSpeed);
    } else {
      // κ'·v² and κ·v·v', each with the middle of both ends.
      addTurn(change, 1, k, NEXT_CURVATURE, nextBend, 0.25, 0.75, at);
      addTurn(change, -1, k, CURVATURE, bend, 0.75, 0.25, at);
    }
    return Jet.product(change, perLength);
  }

  private void addTurn(
      Jet to, int sign, int k, int bendAt, double bend, double own, double next, double[] at) {
    double square = own * at[SPEED_SQUARED] + next * at[NEXT_SPEED_SQUARED];
    double ofBend = sign * inSpace[k];
    to.plus(sign * bend * square).slope(bendAt, ofBend * square);
    to.slope(SPEED_SQUARED, sign * bend * own).slope(NEXT_SPEED_SQUARED, sign * bend * next);
    to.bend(bendAt, SPEED_SQUARED, ofBend * own).bend(bendAt, NEXT_SPEED_SQUARED, ofBend * next);
  }

  private void addLean(Jet to, int sign, int k, int bendAt, double bend, int speedAt, double[] at) {
    double ofBend = inSpace[k] / G0;
    double across = bend * at[speedAt] / G0;
    Jet sideways = new Jet(VARIABLES).slope(bendAt, ofBend * at[speedAt]);
    sideways.slope(speedAt, bend / G0).bend(bendAt, speedAt, ofBend);
    double r = 1 / (1 + across * across);
    to.add(sign, Jet.function(Math.atan(across), r, -2 * across * r * r, sideways));
  }

  /**
   * The largest share of what a driver asks for at most that a lap turns, or leans, in.
   *
   * @param lap on any line of the same road
   */
  double mostTurned(Lap lap) {
    Path path = lap.path();
    double largest = 0;
    for (int k = 0; k < grid.elements(); k++) {
      int here = grid.at(k);
      int next = grid.at(k + 1);
      double[] at = new double[VARIABLES];
      at[SPEED_SQUARED] = lap.speedAt(here) * lap.speedAt(here);
      at[NEXT_SPEED_SQUARED] = lap.speedAt(next) * lap.speedAt(next);
      Jet perLength = perLength(length(path, here, grid.gap(k)));
      double speed = Math.sqrt((at[SPEED_SQUARED] + at[NEXT_SPEED_SQUARED]) / 2);
      Jet turning =
          turning(k, at, path.curvatureAt(here), path.curvatureAt(next), speed, perLength);
      largest = Math.max(largest, Math.abs(turning.value()) / most[k]);
    }
    return largest;
  }

  private static double length(Path path, int from, int samples) {
    double length = 0;
    for (int k = 0; k < samples; k++) {
      length += path.elementAt(path.road().wrap(from + k));
    }
    return length;
  }
}
