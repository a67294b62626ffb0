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
  /** Load sensitivity never takes more than nine tenths of the grip. */
  private static final double LEAST_LOAD_FACTOR = 0.1;

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

  /** Prepares the model for a path on a day. */
  public ForceModel(Path path, Vehicle vehicle, Conditions conditions) {
    size = path.size();
    mass = vehicle.massKg() + vehicle.driverKg() + conditions.fuelKg();
    double rho = conditions.airDensityKgM3();
    halfRhoCdA = 0.5 * rho * vehicle.aero().cdAM2();
    halfRhoClA = 0.5 * rho * vehicle.aero().clAM2();
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
    grip[i] = path.gripFactorAt(i);
    if (conditions.windSpeedMps() > 0) {
      int next = path.road().wrap(i + 1);
      int last = path.road().wrap(i - 1);
      double tx = path.xAt(next) - path.xAt(last);
      double ty = path.yAt(next) - path.yAt(last);
      double from = Math.toRadians(conditions.windFromDeg());
      headwind[i] =
          conditions.windSpeedMps()
              * (tx * Math.sin(from) + ty * Math.cos(from))
              / Math.hypot(tx, ty);
    }
  }

  /** Mass in motion [kg]. */
  public double massKg() {
    return mass;
  }

  /** Air drag, headwind included [N]. */
  public double dragN(int i, double w) {
    if (headwind[i] == 0) {
      return halfRhoCdA * w;
    }
    double v = Math.sqrt(w) + headwind[i];
    return halfRhoCdA * v * Math.abs(v);
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
        : Math.max(LEAST_LOAD_FACTOR, 1 - sensitivity * (normal / referenceLoad - 1));
  }

  /** Longitudinal friction that cornering leaves: the friction ellipse of each tyre. */
  private double muLeft(int i, double w, double normal) {
    double local = grip[i] * loadFactor(normal);
    double use = Math.abs(lateralDemandN(i, w)) / (muY * local * normal);
    return use >= 1 ? 0 : muX * local * Math.sqrt(1 - use * use);
  }

  /** Largest driving force that the tyres and the lifting front wheel allow [N]. */
  public double tractionN(int i, double w) {
    return tractionN(i, w, normalN(i, w));
  }

  private double tractionN(int i, double w, double normal) {
    if (!(normal > 0)) {
      return 0;
    }
    double mu = muLeft(i, w, normal);
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
    double mu = muLeft(i, w, normal);
    double downforce = halfRhoClA * w;
    double front = (normal - downforce) * frontShare + aeroFront * downforce;
    double rear = normal - front;
    double limit = least(mu * normal, maxBrake);
    if (limit * heightRatio > rear) {
      limit = rear / heightRatio;
    }
    if (!motorcycle) {
      double frontGain = brakeShare - mu * heightRatio;
      double rearGain = 1 - brakeShare + mu * heightRatio;
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
    double limit = sensitivity > 0 ? loadSensitiveLimitW(i) : lateralLimitW(i, 1);
    return Math.min(limit, liftW);
  }

  /** Whether a crest would lift the car at a speed that cornering alone would allow. */
  public boolean crestLimited(int i) {
    double lift = normalPerW[i] + halfRhoClA;
    return lift < 0 && lateralUse(i, 0.98 * -weightNormal[i] / lift) < 1;
  }

  /** |w·c − b| ≤ μ(N0 + w·n) is linear in w: the smallest upper bound of the two signs. */
  private double lateralLimitW(int i, double loadFactor) {
    double mu = muY * grip[i] * loadFactor;
    double normal0 = weightNormal[i];
    double normal1 = normalPerW[i] + halfRhoClA;
    double limit = Double.POSITIVE_INFINITY;
    double left = lateralPerW[i] - mu * normal1;
    if (left > 0) {
      limit = Math.max(0, (mu * normal0 + weightAcross[i]) / left);
    }
    double right = -lateralPerW[i] - mu * normal1;
    if (right > 0) {
      limit = Math.min(limit, Math.max(0, (mu * normal0 - weightAcross[i]) / right));
    }
    return limit;
  }

  /**
   * With load sensitivity the grip is μ((1 + k)N − kN²/N_ref), so that the bound is the smallest
   * positive root of a quadratic in w for each sign of the demand.
   */
  private double loadSensitiveLimitW(int i) {
    double mu = muY * grip[i];
    double gain = mu * (1 + sensitivity);
    double loss = mu * sensitivity / referenceLoad;
    double normal0 = weightNormal[i];
    double normal1 = normalPerW[i] + halfRhoClA;
    double limit = Double.POSITIVE_INFINITY;
    for (int sign = -1; sign <= 1; sign += 2) {
      double a = loss * normal1 * normal1;
      double b = sign * lateralPerW[i] - gain * normal1 + 2 * loss * normal0 * normal1;
      double c = -sign * weightAcross[i] - gain * normal0 + loss * normal0 * normal0;
      limit = Math.min(limit, smallestPositiveRoot(a, b, c));
    }
    boolean atFloor =
        limit < Double.POSITIVE_INFINITY
            && loadFactor(normal0 + limit * normal1) <= LEAST_LOAD_FACTOR;
    return atFloor ? lateralLimitW(i, LEAST_LOAD_FACTOR) : limit;
  }

  /** Of a·w² + b·w + c, negative at 0; infinite where it stays negative. */
  private static double smallestPositiveRoot(double a, double b, double c) {
    double discriminant = b * b - 4 * a * c;
    if (discriminant < 0 || a == 0 && b <= 0) {
      return Double.POSITIVE_INFINITY;
    }
    // The form without cancellation for the root nearest to zero.
    double root =
        b >= 0 ? -2 * c / (b + Math.sqrt(discriminant)) : (-b + Math.sqrt(discriminant)) / (2 * a);
    return root > 0 ? root : 0;
  }
}
