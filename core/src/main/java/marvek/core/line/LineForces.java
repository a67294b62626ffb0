package marvek.core.line;

import static marvek.core.profile.Constants.G0;

import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.numeric.Jet;
import marvek.core.numeric.Jet4;
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

  private final Vehicle vehicle;
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
  private final double stepM;

  /** Largest curvature at each sample, or null. */
  private final double @Nullable [] largestBend;

  /**
   * @param lap whose path gives surface and wind
   * @param near a path that is near to the line that is sought: crests are as long as on it
   * @param held samples at which the line stays: there it may turn as it does
   * @param largestBend largest curvature at each sample [1/m]; null for any
   */
  LineForces(Lap lap, Path near, boolean[] held, double @Nullable [] largestBend) {
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
    stepM = road.stepM();
    int n = lap.path().elements();
    climb = new double[n];
    inSpace = new double[n];
    places = new LineTyres.Place[n];
    headwind = new double[n];
    crosswind = new double[n];
    most = new double[n];
    double asked =
        Math.toRadians(
            motorcycle ? vehicle.turning().leanRateDps() : vehicle.turning().yawAccelerationDps2());
    for (int i = 0; i < n; i++) {
      int j = road.wrap(i + 1);
      double grade = (road.gradeAt(i) + road.gradeAt(j)) / 2;
      double phi = (road.bankingAt(i) + road.bankingAt(j)) / 2;
      climb[i] = Math.tan(grade) * stepM;
      inSpace[i] = Math.cos(grade) * Math.cos(grade);
      double vertical = (near.verticalCurvatureAt(i) + near.verticalCurvatureAt(j)) / 2;
      places[i] =
          new LineTyres.Place(
              Math.cos(grade) * Math.cos(phi),
              Math.cos(grade) * Math.sin(phi),
              Math.cos(phi),
              Math.sin(phi),
              vertical * Math.cos(phi) / G0 + downforce,
              (forces.gripAt(i) + forces.gripAt(j)) / 2);
      headwind[i] = (forces.headwindMpsAt(i) + forces.headwindMpsAt(j)) / 2;
      crosswind[i] = (forces.crosswindMpsAt(i) + forces.crosswindMpsAt(j)) / 2;
      most[i] = held[i] || held[j] ? HELD_TURNS * asked : asked;
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
   * What an element has to spare.
   *
   * @param spare the constraints, in an order of their own
   * @param slopes their derivatives by the jets' variables
   * @param weighed the sum of the constraints, each times its multiplier
   * @param turned rate of turning in, or of leaning, as a share of what a driver asks for at most
   */
  record Spare(double[] spare, double[][] slopes, Jet weighed, Jet turned) {}

  /** What tyres, engine, brakes and turning have to spare over an element, by its bends in plan. */
  Spare of(int k, double[] z, Jet bend, Jet nextBend, Jet w, Jet nextW, Jet length) {
    Jet kappa = bend.times(inSpace[k]);
    Jet nextKappa = nextBend.times(inSpace[k]);
    Jet speed2 = w.plus(nextW).times(0.5);
    Jet speed = speed2.sqrt();
    Jet perLength = length.inverse();
    Jet along =
        nextW
            .minus(w)
            .times(0.5 / G0)
            .plus(climb[k])
            .times(perLength)
            .plus(air(k, speed, speed2))
            .plus(rolling(k, kappa, nextKappa, speed2));
    Jet turning = turning(kappa, nextKappa, w, nextW, perLength);
    Collected all = new Collected(constraints(), z);
    all.tyres(k, along, kappa, w, turning);
    all.tyres(k, along, nextKappa, nextW, turning);
    all.add(engine.at(speed).times(1 / weight).minus(along));
    all.add(along.plus(closed.at(speed).times(1 / weight)).plus(mostBrake));
    Jet turned = turning.times(1 / most[k]);
    all.add(turned.times(-1).plus(1));
    all.add(turned.plus(1));
    if (largestBend != null) {
      all.add(kappa.times(1 / largestBend[k]).square().times(-1).plus(1));
    }
    return new Spare(all.spare, all.slopes, all.weighed, turned);
  }

  /** Constraints as they come. */
  private final class Collected {
    private final double[] z;
    private final double[] spare;
    private final double[][] slopes;
    private Jet weighed = Jet.constant(0);
    private int next;

    Collected(int count, double[] z) {
      this.z = z;
      spare = new double[count];
      slopes = new double[count][Jet.VARIABLES];
    }

    void add(Jet constraint) {
      spare[next] = constraint.value();
      for (int v = 0; v < Jet.VARIABLES; v++) {
        slopes[next][v] = constraint.by(v);
      }
      weighed = weighed.plus(constraint.times(z[next]));
      next++;
    }

    /** Those of one end, by force along, bend, speed and turning there. */
    void tyres(int k, Jet along, Jet bend, Jet speed2, Jet turning) {
      Jet4[] constraints =
          tyres.spare(
              places[k],
              Jet4.ofX(along.value()),
              Jet4.ofY(bend.value()),
              Jet4.ofZ(speed2.value()),
              Jet4.ofU(turning.value()));
      Jet4 sum = constraints[0].times(z[next]);
      for (int c = 0; c < constraints.length; c++) {
        Jet4 constraint = constraints[c];
        sum = c == 0 ? sum : sum.plus(constraint.times(z[next]));
        spare[next] = constraint.v();
        for (int v = 0; v < Jet.VARIABLES; v++) {
          slopes[next][v] =
              constraint.x() * along.by(v)
                  + constraint.y() * bend.by(v)
                  + constraint.z() * speed2.by(v)
                  + constraint.u() * turning.by(v);
        }
        next++;
      }
      weighed = weighed.plus(Jet.of(sum, along, bend, speed2, turning));
    }
  }

  /** Growth of a car's turning [rad/s²], or rate at which a motorcycle leans [rad/s]. */
  private Jet turning(Jet kappa, Jet nextKappa, Jet w, Jet nextW, Jet perLength) {
    Jet speed2 = w.plus(nextW).times(0.5);
    Jet change =
        motorcycle
            ? leaning(kappa, nextKappa, w, nextW).times(speed2.sqrt())
            : nextKappa
                .minus(kappa)
                .times(speed2)
                .plus(kappa.plus(nextKappa).times(nextW.minus(w)).times(0.25));
    return change.times(perLength);
  }

  /**
   * The largest share of what a driver asks for at most that a lap turns, or leans, in.
   *
   * @param lap on any line of the same road
   */
  double mostTurned(Lap lap) {
    Path path = lap.path();
    double largest = 0;
    for (int k = 0; k < path.elements(); k++) {
      int next = path.road().wrap(k + 1);
      Jet turned =
          turning(
              Jet.constant(path.curvatureAt(k)),
              Jet.constant(path.curvatureAt(next)),
              Jet.constant(lap.speedAt(k) * lap.speedAt(k)),
              Jet.constant(lap.speedAt(next) * lap.speedAt(next)),
              Jet.constant(1 / path.elementAt(k)));
      largest = Math.max(largest, Math.abs(turned.value()) / most[k]);
    }
    return largest;
  }

  private Jet rolling(int k, Jet kappa, Jet nextKappa, Jet speed2) {
    LineTyres.Place place = places[k];
    Jet lift = kappa.plus(nextKappa).times(0.5 * place.sinPhi() / G0).plus(place.crest());
    return speed2.times(lift).plus(place.cosCos()).times(vehicle.rollingResistance());
  }

  private static Jet leaning(Jet kappa, Jet nextKappa, Jet w, Jet nextW) {
    return nextKappa.times(nextW).times(1 / G0).atan().minus(kappa.times(w).times(1 / G0).atan());
  }

  private Jet air(int k, Jet speed, Jet speed2) {
    if (headwind[k] == 0 && crosswind[k] == 0) {
      return speed2.times(drag);
    }
    Jet through = speed.plus(headwind[k]);
    Jet wind = through.square().plus(crosswind[k] * crosswind[k]).sqrt();
    return through.times(wind).times(drag);
  }
}
