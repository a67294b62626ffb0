package marvek.core.line;

import static marvek.core.profile.Constants.G0;

import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.numeric.Jet;
import marvek.core.numeric.Jet3;
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
  /** Rounds the corner between drive and brakes, and the tip of the friction ellipse [weights]. */
  private static final double ROUNDED = 0.003;

  /**
   * Rate of turning that a driver asks of a car at most, 100°/s² (own assumption: what the axles
   * could give is six to eleven times that).
   */
  private static final double YAW_ACCELERATION_RADPS2 = Math.toRadians(100);

  /**
   * Rate of leaning of a motorcycle, 60°/s (own assumption: riders are seen to roll at 50 to 90).
   */
  private static final double LEAN_RATE_RADPS = Math.toRadians(60);

  /** What is held turns as it did before; it is slowed down for it only where that is absurd. */
  private static final double HELD_TURNS = 100;

  /** Variables of the jets. */
  static final int CURVATURE = 0;

  static final int NEXT_CURVATURE = 1;
  static final int SPEED_SQUARED = 2;
  static final int NEXT_SPEED_SQUARED = 3;
  static final int LENGTH = 4;

  private final Vehicle vehicle;
  private final SmoothDrive engine;
  private final boolean motorcycle;
  private final double weight;
  private final double drag;
  private final double downforce;
  private final double muX;
  private final double muY;
  private final double heightRatio;
  private final double mostBrake;
  private final double sensitivity;
  private final double weightOverReference;

  /** What stays the same at the middle of each element. */
  private final double[] climb;

  private final double[] cosCos;
  private final double[] cosSin;
  private final double[] cosPhi;
  private final double[] sinPhi;
  private final double[] vertical;
  private final double[] grip;
  private final double[] headwind;
  private final double[] crosswind;
  private final double[] turning;
  private final double stepM;

  /** Largest curvature at each sample, or null. */
  private final double @Nullable [] bend;

  /**
   * @param lap whose path gives surface and wind
   * @param near a path that is near to the line that is sought: crests are as long as on it
   * @param held samples at which the line stays: there it may turn as it does
   * @param bend largest curvature at each sample [1/m]; null for any
   */
  LineForces(Lap lap, Path near, boolean[] held, double @Nullable [] bend) {
    this.bend = bend;
    vehicle = lap.vehicle();
    ForceModel forces = lap.forces();
    engine = new SmoothDrive(lap.driveline());
    motorcycle = vehicle.kind() == Vehicle.Kind.MOTORCYCLE;
    weight = forces.massKg() * G0;
    drag = forces.dragPerSquaredSpeed() / weight;
    downforce = forces.downforcePerSquaredSpeed() / weight;
    double gripFactor = lap.conditions().gripFactor();
    muX = vehicle.tyre().muLongitudinal() * gripFactor;
    muY = vehicle.tyre().muLateral() * gripFactor;
    heightRatio = vehicle.cgHeightM() / vehicle.wheelbaseM();
    mostBrake = vehicle.brakes().maxForceN() / weight;
    sensitivity = vehicle.tyre().loadSensitivity();
    weightOverReference = weight / (vehicle.tyre().referenceLoadN() * vehicle.wheels());
    Road road = lap.path().road();
    stepM = road.stepM();
    int n = lap.path().elements();
    climb = new double[n];
    cosCos = new double[n];
    cosSin = new double[n];
    cosPhi = new double[n];
    sinPhi = new double[n];
    vertical = new double[n];
    grip = new double[n];
    headwind = new double[n];
    crosswind = new double[n];
    turning = new double[n];
    double most = motorcycle ? LEAN_RATE_RADPS : YAW_ACCELERATION_RADPS2;
    for (int i = 0; i < n; i++) {
      int j = road.wrap(i + 1);
      double grade = (road.gradeAt(i) + road.gradeAt(j)) / 2;
      double phi = (road.bankingAt(i) + road.bankingAt(j)) / 2;
      climb[i] = Math.tan(grade) * stepM;
      cosCos[i] = Math.cos(grade) * Math.cos(phi);
      cosSin[i] = Math.cos(grade) * Math.sin(phi);
      cosPhi[i] = Math.cos(phi);
      sinPhi[i] = Math.sin(phi);
      vertical[i] = (near.verticalCurvatureAt(i) + near.verticalCurvatureAt(j)) / 2;
      grip[i] = (forces.gripAt(i) + forces.gripAt(j)) / 2;
      headwind[i] = (forces.headwindMpsAt(i) + forces.headwindMpsAt(j)) / 2;
      crosswind[i] = (forces.crosswindMpsAt(i) + forces.crosswindMpsAt(j)) / 2;
      turning[i] = held[i] || held[j] ? HELD_TURNS * most : most;
    }
  }

  /** Climb over an element [m]. */
  double climbM(int k) {
    return climb[k];
  }

  /** Number of constraints of an element. */
  int constraints() {
    boolean wholeVehicle = motorcycle || vehicle.drive() == Vehicle.Drive.ALL;
    return (wholeVehicle ? 10 : 8) + (bend == null ? 0 : 1);
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

  /** What tyres, engine, brakes and turning have to spare over an element. */
  Spare of(int k, double[] z, Jet kappa, Jet nextKappa, Jet w, Jet nextW, Jet length) {
    Jet speed2 = w.plus(nextW).times(0.5);
    Jet speed = speed2.sqrt();
    Jet perLength = length.inverse();
    double crest = vertical[k] * cosPhi[k] / G0 + downforce;
    Jet along =
        nextW
            .minus(w)
            .times(0.5 / G0)
            .plus(climb[k])
            .times(perLength)
            .plus(air(k, speed, speed2))
            .plus(rolling(k, kappa, nextKappa, speed2, crest));
    Collected all = new Collected(constraints(), z);
    all.tyres(tyres(k, along.value(), kappa.value(), w.value(), crest), along, kappa, w);
    all.tyres(
        tyres(k, along.value(), nextKappa.value(), nextW.value(), crest), along, nextKappa, nextW);
    all.add(engine.at(speed).times(1 / weight).minus(along));
    all.add(along.plus(mostBrake));
    Jet turned = turned(k, kappa, nextKappa, w, nextW, perLength);
    all.add(turned.times(-1).plus(1));
    all.add(turned.plus(1));
    if (bend != null) {
      all.add(kappa.times(1 / bend[k]).square().times(-1).plus(1));
    }
    return new Spare(all.spare, all.slopes, all.weighed, turned);
  }

  /** Constraints as they come. */
  private static final class Collected {
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

    /** Those of one end, by force along, bend and speed there. */
    void tyres(Jet3[] constraints, Jet along, Jet bend, Jet speed2) {
      Jet3 sum = constraints[0].times(z[next]);
      for (int c = 0; c < constraints.length; c++) {
        Jet3 constraint = constraints[c];
        sum = c == 0 ? sum : sum.plus(constraint.times(z[next]));
        spare[next] = constraint.v();
        for (int v = 0; v < Jet.VARIABLES; v++) {
          slopes[next][v] =
              constraint.x() * along.by(v)
                  + constraint.y() * bend.by(v)
                  + constraint.z() * speed2.by(v);
        }
        next++;
      }
      weighed = weighed.plus(Jet.of(sum, along, bend, speed2));
    }
  }

  private Jet turned(int k, Jet kappa, Jet nextKappa, Jet w, Jet nextW, Jet perLength) {
    Jet speed2 = w.plus(nextW).times(0.5);
    Jet change =
        motorcycle
            ? leaning(kappa, nextKappa, w, nextW).times(speed2.sqrt())
            : nextKappa
                .minus(kappa)
                .times(speed2)
                .plus(kappa.plus(nextKappa).times(nextW.minus(w)).times(0.25));
    return change.times(perLength).times(1 / turning[k]);
  }

  private Jet rolling(int k, Jet kappa, Jet nextKappa, Jet speed2, double crest) {
    Jet lift = kappa.plus(nextKappa).times(0.5 * sinPhi[k] / G0).plus(crest);
    return speed2.times(lift).plus(cosCos[k]).times(vehicle.rollingResistance());
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

  /**
   * What the friction ellipses of the axles have to spare at one end of an element, by the force
   * along, the bend and the square of the speed; a lifted axle has none to give. Both ends are
   * asked: at the middle alone a bend that alternates from sample to sample is not seen.
   */
  private Jet3[] tyres(int k, double alongForce, double curvature, double w, double crest) {
    Jet3 along = Jet3.ofX(alongForce);
    Jet3 bend = Jet3.ofY(curvature);
    Jet3 speed2 = Jet3.ofZ(w);
    Jet3 magnitude = along.square().plus(ROUNDED * ROUNDED).sqrt();
    Jet3 drive = magnitude.plus(along).times(0.5);
    Jet3 brake = magnitude.minus(along).times(0.5);
    Jet3 normal = speed2.times(bend.times(sinPhi[k] / G0).plus(crest)).plus(cosCos[k]);
    Jet3 across = speed2.times(bend).times(cosPhi[k] / G0).plus(-cosSin[k]);
    double frontWeight = vehicle.frontWeightShare();
    double ofAir = downforce * (vehicle.aero().frontShare() - frontWeight);
    Jet3 front =
        normal.times(frontWeight).plus(speed2.times(ofAir)).minus(along.times(heightRatio));
    Jet3 rear = normal.minus(front);
    Jet3 friction =
        normal.times(-sensitivity * weightOverReference).plus(1 + sensitivity).times(grip[k]);
    Jet3 sideUse = across.times(normal.inverse()).times(1 / muY);
    double share = vehicle.brakes().frontShare();
    return switch (vehicle.drive()) {
      case FRONT ->
          new Jet3[] {
            ellipse(drive.plus(brake.times(share)), sideUse, front, friction),
            ellipse(brake.times(1 - share), sideUse, rear, friction)
          };
      case REAR ->
          motorcycle
              ? new Jet3[] {
                ellipse(magnitude, sideUse, normal, friction),
                front,
                ellipse(drive, sideUse, rear, friction)
              }
              : new Jet3[] {
                ellipse(brake.times(share), sideUse, front, friction),
                ellipse(drive.plus(brake.times(1 - share)), sideUse, rear, friction)
              };
      case ALL ->
          new Jet3[] {
            ellipse(magnitude, sideUse, normal, friction),
            ellipse(brake.times(share), sideUse, front, friction),
            ellipse(brake.times(1 - share), sideUse, rear, friction)
          };
    };
  }

  /** What an axle's load gives beyond what is asked of it along and across. */
  private Jet3 ellipse(Jet3 along, Jet3 sideUse, Jet3 load, Jet3 friction) {
    Jet3 x = along.times(1 / muX);
    Jet3 y = sideUse.times(load);
    Jet3 asked = x.square().plus(y.square()).plus(ROUNDED * ROUNDED).sqrt();
    return friction.times(load).minus(asked);
  }
}
