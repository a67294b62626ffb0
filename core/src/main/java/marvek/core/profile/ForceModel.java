package marvek.core.profile;

import static marvek.core.profile.Constants.G0;

import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Vehicle;

/**
 * Forces on a vehicle at the samples of a path. All take the sample and the square of the speed
 * {@code w} [m²/s²] and give newtons. Signs: longitudinal positive forward.
 *
 * <p>Sources: friction ellipse and load transfer, Milliken &amp; Milliken, <i>Race Car Vehicle
 * Dynamics</i>; traction and braking limits of an axle, Gillespie, <i>Fundamentals of Vehicle
 * Dynamics</i>, ch. 2 and 3, and Wong, <i>Theory of Ground Vehicles</i>, ch. 3 (from memory).
 */
public final class ForceModel {
  /** More than this above what cornering takes is not told apart. */
  private static final double MOST_NEEDED = 2;

  /** Less of the grip than this is none. */
  private static final double LEAST_NEEDED = 1e-3;

  /** Of what a lifting wheel leaves all but so much is had for an amount of friction. */
  private static final double ALL_BUT = 0.999;

  private final int size;
  private final double mass;
  private final double halfRhoCdA;
  private final double halfRhoClA;
  private final double aeroFront;
  private final double rolling;
  private final double muX;
  private final double muY;
  private final double sensitivity;
  private final double referenceLoad;
  private final double frontShare;
  private final double heightRatio;
  private final double brakeShare;
  private final double maxBrake;
  private final boolean motorcycle;
  private final Vehicle.Drive drive;

  private final double[] weightNormal;
  private final double[] weightAlong;
  private final double[] weightAcross;
  private final double[] normalPerW;
  private final double[] lateralPerW;
  private final double[] grip;
  private final double[] headwind;
  private final double[] crosswind;

  /** Behind others drag falls half as much as downforce does (own assumption). */
  private static final double DRAG_LOST_PER_DOWNFORCE = 0.5;

  /** Prepares the model for a path on a day. */
  public ForceModel(Path path, Vehicle vehicle, Conditions conditions) {
    size = path.size();
    mass = vehicle.massKg() + vehicle.driverKg() + conditions.fuelKg();
    double rho = conditions.airDensityKgM3();
    double lost = 1 - conditions.airShare();
    halfRhoCdA = 0.5 * rho * vehicle.aero().cdAM2() * (1 - DRAG_LOST_PER_DOWNFORCE * lost);
    halfRhoClA = 0.5 * rho * vehicle.aero().clAM2() * (1 - lost);
    aeroFront = vehicle.aero().frontShare();
    rolling = vehicle.rollingResistance();
    muX = vehicle.tyre().muLongitudinal() * conditions.gripFactor();
    muY = vehicle.tyre().muLateral() * conditions.gripFactor();
    sensitivity = vehicle.tyre().loadSensitivity();
    referenceLoad = vehicle.tyre().referenceLoadN() * vehicle.wheels();
    frontShare = vehicle.frontWeightShare();
    heightRatio = vehicle.cgHeightM() / vehicle.wheelbaseM();
    brakeShare = vehicle.brakes().frontShare();
    maxBrake = vehicle.brakes().maxForceN();
    motorcycle = vehicle.kind() == Vehicle.Kind.MOTORCYCLE;
    drive = vehicle.drive();
    weightNormal = new double[size];
    weightAlong = new double[size];
    weightAcross = new double[size];
    normalPerW = new double[size];
    lateralPerW = new double[size];
    grip = new double[size];
    headwind = new double[size];
    crosswind = new double[size];
    for (int i = 0; i < size; i++) {
      prepare(path, conditions, i);
    }
  }

  private void prepare(Path path, Conditions conditions, int i) {
    double slope = path.gradeFractionAt(i);
    double cosTheta = 1 / Math.sqrt(1 + slope * slope);
    double phi = path.road().bankingAt(i);
    double cosPhi = phi == 0 ? 1 : Math.cos(phi);
    double sinPhi = phi == 0 ? 0 : Math.sin(phi);
    double kappa = path.curvatureAt(i);
    weightNormal[i] = mass * G0 * cosTheta * cosPhi;
    weightAlong[i] = mass * G0 * cosTheta * slope;
    weightAcross[i] = mass * G0 * cosTheta * sinPhi;
    normalPerW[i] = mass * (path.verticalCurvatureAt(i) * cosPhi + kappa * sinPhi);
    lateralPerW[i] = mass * kappa * cosPhi;
    double station = path.road().surveyedStationAt(i);
    double surface = Math.min(conditions.surfaceAt(station).gripFactor(), path.dampFactorAt(i));
    grip[i] = path.gripFactorAt(i) * surface / conditions.surface().gripFactor();
    if (conditions.windSpeedMps() > 0) {
      int next = path.road().wrap(i + 1);
      int last = path.road().wrap(i - 1);
      double tx = path.xAt(next) - path.xAt(last);
      double ty = path.yAt(next) - path.yAt(last);
      double from = Math.toRadians(conditions.windFromDeg());
      double perM = conditions.windSpeedMps() / Math.hypot(tx, ty);
      headwind[i] = perM * (tx * Math.sin(from) + ty * Math.cos(from));
      crosswind[i] = perM * (tx * Math.cos(from) - ty * Math.sin(from));
    }
  }

  /** Mass in motion [kg]. */
  public double massKg() {
    return mass;
  }

  /** Air drag in still air over the square of the speed [kg/m]. */
  public double dragPerSquaredSpeed() {
    return halfRhoCdA;
  }

  /** Downforce over the square of the speed [kg/m]. */
  public double downforcePerSquaredSpeed() {
    return halfRhoClA;
  }

  /** Factor of the place on the tyres' friction. */
  public double gripAt(int i) {
    return grip[i];
  }

  /** Wind against the direction of travel [m/s]. */
  public double headwindMpsAt(int i) {
    return headwind[i];
  }

  /** Wind across it [m/s]. */
  public double crosswindMpsAt(int i) {
    return crosswind[i];
  }

  /**
   * Air drag [N]: along the car, of the air that comes at it from wherever. A cross wind's push to
   * the side is not modelled: vehicles do not say what area they turn to it.
   */
  public double dragN(int i, double w) {
    if (headwind[i] == 0 && crosswind[i] == 0) {
      return halfRhoCdA * w;
    }
    double v = Math.sqrt(w) + headwind[i];
    return halfRhoCdA * v * Math.hypot(v, crosswind[i]);
  }

  /** Rolling resistance [N]. */
  public double rollingN(int i, double w) {
    return rolling * Math.max(0, normalN(i, w));
  }

  /** Pull of the grade [N], uphill positive: it slows the car. */
  public double gradeN(int i) {
    return weightAlong[i];
  }

  /** Sum of what slows the car without brakes [N]. */
  public double resistanceN(int i, double w) {
    return dragN(i, w) + rollingN(i, w) + weightAlong[i];
  }

  /** Normal load of all wheels [N]; not positive where a crest lifts the car. */
  public double normalN(int i, double w) {
    return weightNormal[i] + w * (normalPerW[i] + halfRhoClA);
  }

  /** Side force that the path asks for [N], positive to the left. */
  public double lateralDemandN(int i, double w) {
    return w * lateralPerW[i] - weightAcross[i];
  }

  /**
   * Share of the side grip that cornering takes; 1 at the limit, infinite where the car is lifted.
   */
  public double lateralUse(int i, double w) {
    double normal = normalN(i, w);
    if (!(normal > 0)) {
      return Double.POSITIVE_INFINITY;
    }
    return Math.abs(lateralDemandN(i, w)) / (muY * grip[i] * loadFactor(normal) * normal);
  }

  private double loadFactor(double normal) {
    return sensitivity == 0
        ? 1
        : Math.max(
            CorneringLimit.LEAST_LOAD_FACTOR, 1 - sensitivity * (normal / referenceLoad - 1));
  }

  /** Longitudinal friction that cornering leaves: the friction ellipse of each tyre. */
  private double muLeft(int i, double w, double normal) {
    return muBeside(i, normal, lateralDemandN(i, w));
  }

  private double muBeside(int i, double normal, double lateralN) {
    double local = grip[i] * loadFactor(normal);
    double use = Math.abs(lateralN) / (muY * local * normal);
    return use >= 1 ? 0 : muX * local * Math.sqrt(1 - use * use);
  }

  /** Largest driving force of the tyres beside a side force of one's own choice [N]. */
  public double tractionBesideN(int i, double w, double lateralN) {
    double normal = normalN(i, w);
    return normal > 0 ? tractionWith(muBeside(i, normal, lateralN), w, normal) : 0;
  }

  /** Largest braking force beside a side force of one's own choice [N]. */
  public double brakeBesideN(int i, double w, double lateralN) {
    double normal = normalN(i, w);
    return normal > 0 ? brakeWith(muBeside(i, normal, lateralN), w, normal, brakeShare) : 0;
  }

  /** Largest driving force that the tyres and the lifting front wheel allow [N]. */
  public double tractionN(int i, double w) {
    return tractionN(i, w, normalN(i, w));
  }

  private double tractionN(int i, double w, double normal) {
    if (!(normal > 0)) {
      return 0;
    }
    return tractionWith(muLeft(i, w, normal), w, normal);
  }

  private double tractionWith(double mu, double w, double normal) {
    double downforce = halfRhoClA * w;
    double mechanical = normal - downforce;
    double front = mechanical * frontShare + aeroFront * downforce;
    double rear = normal - front;
    double limit =
        switch (drive) {
          case ALL -> mu * normal;
          case FRONT -> mu * front / (1 + mu * heightRatio);
          case REAR ->
              mu * heightRatio < 1
                  ? least(mu * normal, mu * rear / (1 - mu * heightRatio))
                  : mu * normal;
        };
    if (drive != Vehicle.Drive.FRONT && limit * heightRatio > front) {
      limit = front / heightRatio;
    }
    return limit > 0 ? limit : 0;
  }

  /** Largest braking force of the tyres: axle that locks first, lifting rear wheel, system [N]. */
  public double brakeN(int i, double w) {
    return brakeN(i, w, normalN(i, w));
  }

  private double brakeN(int i, double w, double normal) {
    if (!(normal > 0)) {
      return 0;
    }
    return brakeWith(muLeft(i, w, normal), w, normal, brakeShare);
  }

  /** Largest braking force straight on with another front share of the brakes [N]. */
  public double straightBrakeN(int i, double w, double share) {
    double normal = normalN(i, w);
    return normal > 0 ? brakeWith(muBeside(i, normal, 0), w, normal, share) : 0;
  }

  /**
   * Share of the load on the front axle under a braking force of the tyres; the front share of the
   * brakes that uses both axles alike. Without downforce {@code (b + z·h)/l}, z the force as a
   * share of the weight.
   *
   * <p>Source: Gillespie, <i>Fundamentals of Vehicle Dynamics</i>, ch. 3, and the adhesion curves
   * of UN Regulation No. 13-H, annex 5 (both from memory).
   */
  public double frontLoadShare(int i, double w, double brakingN) {
    double normal = normalN(i, w);
    double downforce = halfRhoClA * w;
    double front = (normal - downforce) * frontShare + aeroFront * downforce;
    return (front + brakingN * heightRatio) / normal;
  }

  private double brakeWith(double mu, double w, double normal, double share) {
    double downforce = halfRhoClA * w;
    double front = (normal - downforce) * frontShare + aeroFront * downforce;
    double rear = normal - front;
    double limit = least(mu * normal, maxBrake);
    if (limit * heightRatio > rear) {
      limit = rear / heightRatio;
    }
    if (!motorcycle) {
      double frontGain = share - mu * heightRatio;
      double rearGain = 1 - share + mu * heightRatio;
      // Multiplied out: a division only for the axle that does limit.
      if (frontGain > 0 && mu * front < limit * frontGain) {
        limit = mu * front / frontGain;
      }
      if (rearGain > 0 && mu * rear < limit * rearGain) {
        limit = mu * rear / rearGain;
      }
    }
    return limit > 0 ? limit : 0;
  }

  /**
   * Share of the grip that a use of the tyres asks for: cornering and braking or driving together
   * by the ellipse, each against what it could have alone; 1 at the limit, infinite where the car
   * is lifted.
   *
   * @param brakeN braking force asked for [N], not negative
   * @param driveN driving force asked for [N], not negative
   */
  public double gripNeeded(int i, double w, double brakeN, double driveN) {
    double normal = normalN(i, w);
    if (!(normal > 0)) {
      return Double.POSITIVE_INFINITY;
    }
    double lateral = lateralUse(i, w);
    double mu = muX * grip[i] * loadFactor(normal);
    double asked = Math.max(brakeN, driveN);
    if (!(asked > 0)) {
      return lateral;
    }
    boolean brakes = brakeN > 0;
    double highest = Math.max(LEAST_NEEDED, lateral) + MOST_NEEDED;
    // Where a lifting wheel or the brake system is the limit, more friction would give no more.
    double most = along(highest, lateral, mu, w, normal, brakes);
    double possible = Math.min(asked, ALL_BUT * most);
    double muAlong =
        brakes ? muForBraking(possible, w, normal) : muForTraction(possible, w, normal);
    double needed = Math.min(highest, Math.sqrt(square(lateral) + square(muAlong / mu)));
    // More than a lifting wheel leaves is too much, however much friction there is.
    return Math.max(needed, asked > most ? asked / most : 0);
  }

  private static double square(double a) {
    return a * a;
  }

  /** Least friction that gives a braking force: that of the axle that locks first. */
  private double muForBraking(double brakeN, double w, double normal) {
    double whole = brakeN / normal;
    if (motorcycle) {
      return whole;
    }
    double downforce = halfRhoClA * w;
    double front = (normal - downforce) * frontShare + aeroFront * downforce;
    double rear = normal - front;
    double ofFront = brakeN * brakeShare / (front + brakeN * heightRatio);
    double ofRear = brakeN * (1 - brakeShare) / (rear - brakeN * heightRatio);
    return Math.max(whole, Math.max(ofFront, ofRear));
  }

  /** Least friction that gives a driving force: that of the axle that spins. */
  private double muForTraction(double driveN, double w, double normal) {
    double downforce = halfRhoClA * w;
    double front = (normal - downforce) * frontShare + aeroFront * downforce;
    return switch (drive) {
      case ALL -> driveN / normal;
      case FRONT -> driveN / (front - driveN * heightRatio);
      case REAR -> Math.max(driveN / normal, driveN / (normal - front + driveN * heightRatio));
    };
  }

  /** What is left along the path on tyres with another share of the grip. */
  private double along(
      double share, double lateral, double mu, double w, double normal, boolean brakes) {
    double use = lateral / share;
    double left = use >= 1 ? 0 : share * mu * Math.sqrt(1 - use * use);
    return brakes ? brakeWith(left, w, normal, brakeShare) : tractionWith(left, w, normal);
  }

  /** Largest braking force straight on that a share of the tyres' grip gives [N]. */
  double brakeOfShareN(int i, double w, double share) {
    double normal = normalN(i, w);
    return normal > 0
        ? brakeWith(share * muX * grip[i] * loadFactor(normal), w, normal, brakeShare)
        : 0;
  }

  /** Largest driving force straight on that a share of the tyres' grip gives [N]. */
  double tractionOfShareN(int i, double w, double share) {
    double normal = normalN(i, w);
    return normal > 0 ? tractionWith(share * muX * grip[i] * loadFactor(normal), w, normal) : 0;
  }

  /** Side force that the tyres can give [N]. */
  public double lateralLimitN(int i, double w) {
    double normal = normalN(i, w);
    return normal > 0 ? muY * grip[i] * loadFactor(normal) * normal : 0;
  }

  /**
   * The smaller of two numbers; in these loops Math.min's care for NaN and −0 takes half the time.
   */
  private static double least(double a, double b) {
    return a < b ? a : b;
  }

  /** Drive, as far as engine and tyres go, less all resistance [N]. */
  public double netDriveN(int i, double w, double engineN) {
    double normal = normalN(i, w);
    double drive = engineN > 0 ? least(engineN, tractionN(i, w, normal)) : 0;
    return drive - dragN(i, w) - rolling * (normal > 0 ? normal : 0) - weightAlong[i];
  }

  /** Full braking and all resistance [N], positive as they slow the car. */
  public double netBrakeN(int i, double w) {
    double normal = normalN(i, w);
    return brakeN(i, w, normal)
        + dragN(i, w)
        + rolling * (normal > 0 ? normal : 0)
        + weightAlong[i];
  }

  /**
   * Square of the highest speed at which the side force suffices and the car stays on the ground;
   * {@code Double.POSITIVE_INFINITY} where there is none.
   */
  public double limitW(int i) {
    double lift = normalPerW[i] + halfRhoClA;
    double liftW = lift < 0 ? -weightNormal[i] / lift : Double.POSITIVE_INFINITY;
    CorneringLimit limit =
        new CorneringLimit(muY * grip[i], weightNormal[i], lift, lateralPerW[i], weightAcross[i]);
    return Math.min(
        sensitivity > 0 ? limit.loadSensitiveW(sensitivity, referenceLoad) : limit.w(1), liftW);
  }

  /** Whether a crest would lift the car at a speed that cornering alone would allow. */
  public boolean crestLimited(int i) {
    double lift = normalPerW[i] + halfRhoClA;
    return lift < 0 && lateralUse(i, 0.98 * -weightNormal[i] / lift) < 1;
  }
}
