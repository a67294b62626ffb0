package marvek.core.profile;

import static marvek.core.profile.Constants.G0;

import java.util.Objects;
import java.util.Optional;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Vehicle;
import org.jspecify.annotations.Nullable;

/**
 * Forces on a vehicle at the samples of a path. All take the sample and the square of the speed
 * {@code w} [m²/s²] and give newtons. Signs: longitudinal positive forward. What the tyres can do
 * is told by {@link GripLimits}: a car's axles each on its own, or a vehicle as a whole.
 */
public final class ForceModel {
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
  private final WholeVehicle whole;
  private final GripLimits limits;
  private final @Nullable TwoAxles axles;

  private final double[] weightNormal;
  private final double[] weightAlong;
  private final double[] weightAcross;
  private final double[] normalPerW;
  private final double[] lateralPerW;
  private final double[] grip;
  private final double[] headwind;
  private final double[] crosswind;

  /** Side force that turns a car, by the square of the speed and by its acceleration. */
  private final double[] yawPerW;

  private final double[] yawPerAcceleration;

  /** Behind others drag falls half as much as downforce does (own assumption). */
  private static final double DRAG_LOST_PER_DOWNFORCE = 0.5;

  /** Halvings that find a side force to less than a newton. */
  private static final int SIDE_HALVINGS = 16;

  /** Two wheelbases: nothing shorter turns a car. */
  private static final double YAW_OVER_M = 5;

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
    whole = new WholeVehicle(vehicle);
    axles = toldApart(vehicle, conditions) ? new TwoAxles(vehicle) : null;
    limits = axles == null ? whole : axles;
    weightNormal = new double[size];
    weightAlong = new double[size];
    weightAcross = new double[size];
    normalPerW = new double[size];
    lateralPerW = new double[size];
    grip = new double[size];
    headwind = new double[size];
    crosswind = new double[size];
    yawPerW = new double[size];
    yawPerAcceleration = new double[size];
    double yaw = axles == null ? 0 : yawKgM(vehicle, mass);
    for (int i = 0; i < size; i++) {
      prepare(path, conditions, i);
      yawPerW[i] = yaw == 0 ? 0 : yaw * bendGrowth(path, i);
      yawPerAcceleration[i] = yaw * path.curvatureAt(i);
    }
  }

  /** Whether the axles of a vehicle are told apart on a day. */
  public static boolean toldApart(Vehicle vehicle, Conditions conditions) {
    return vehicle.kind() == Vehicle.Kind.CAR && conditions.model() == Conditions.Model.AXLES;
  }

  /** Yaw inertia over the wheelbase, {@code i·m·a·b/l} [kg·m]. */
  public static double yawKgM(Vehicle vehicle, double massKg) {
    return vehicle.turning().dynamicIndex()
        * massKg
        * vehicle.cgToFrontAxleM()
        * vehicle.cgToRearAxleM()
        / vehicle.wheelbaseM();
  }

  /** Growth of the curvature over two wheelbases of road about a sample [1/m²]. */
  private static double bendGrowth(Path path, int i) {
    double away = YAW_OVER_M / 2 / path.road().stepM();
    return (bendAt(path, i + away) - bendAt(path, i - away)) / YAW_OVER_M;
  }

  private static double bendAt(Path path, double position) {
    int before = (int) Math.floor(position);
    double part = position - before;
    return (1 - part) * path.curvatureAt(path.road().wrap(before))
        + part * path.curvatureAt(path.road().wrap(before + 1));
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

  private double loadFactor(double normal) {
    return sensitivity == 0
        ? 1
        : Math.max(
            CorneringLimit.LEAST_LOAD_FACTOR, 1 - sensitivity * (normal / referenceLoad - 1));
  }

  private GripLimits.Place place(int i, double w, double closedN) {
    double resistance = axles == null ? 0 : resistanceN(i, w);
    double yaw = yawPerW[i] * w - yawPerAcceleration[i] * resistance / mass;
    return place(i, w, lateralDemandN(i, w), yaw, yawPerAcceleration[i] / mass, closedN);
  }

  /** Not turning: at a side force of one's own choice. */
  private GripLimits.Place beside(int i, double w, double sideN) {
    return place(i, w, sideN, 0, 0, 0);
  }

  private GripLimits.Place place(
      int i, double w, double sideN, double yawN, double yawPerN, double closedN) {
    double normal = normalN(i, w);
    double downforce = halfRhoClA * w;
    double front = (normal - downforce) * frontShare + aeroFront * downforce;
    double local = grip[i] * loadFactor(normal);
    return new GripLimits.Place(
        front, normal - front, sideN, yawN, yawPerN, muX * local, muY * local, closedN);
  }

  /**
   * Share of the side grip that cornering takes of the vehicle as a whole; 1 at the limit, infinite
   * where it is lifted.
   */
  public double lateralUse(int i, double w) {
    return whole.across(place(i, w, 0));
  }

  /**
   * Shares of the grip that a use of the tyres asks for, all of it and what goes across: of the
   * axle that is asked for most where axles are told apart.
   *
   * @param brakeN force of the brakes, not negative [N]
   * @param driveN force of the engine, negative where it brakes [N]
   */
  GripLimits.Use use(int i, double w, double brakeN, double driveN) {
    if (!(normalN(i, w) > 0)) {
      return new GripLimits.Use(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY);
    }
    return limits.use(place(i, w, Math.max(0, -driveN)), brakeN, driveN);
  }

  /**
   * Share of the grip that a use of the tyres asks for: cornering and braking or driving together
   * by the ellipse, each against what it could have alone; 1 at the limit, infinite where the car
   * is lifted.
   *
   * @param brakeN force of the brakes, not negative [N]
   * @param driveN force of the engine, negative where it brakes [N]
   */
  public double gripNeeded(int i, double w, double brakeN, double driveN) {
    return use(i, w, brakeN, driveN).asked();
  }

  /**
   * What the front and the rear axle of a car are asked for each, as shares of their grip; empty
   * where axles are not told apart.
   */
  public Optional<AxleUse> axleUse(int i, double w, double brakeN, double driveN) {
    if (axles == null || !(normalN(i, w) > 0)) {
      return Optional.empty();
    }
    TwoAxles.Axles use = axles.axles(place(i, w, Math.max(0, -driveN)), brakeN, driveN);
    return Optional.of(new AxleUse(use.front().use().asked(), use.rear().use().asked()));
  }

  /** What a drive and the bend ask of each axle, where they are told apart on the ground. */
  TwoAxles.Axles driven(int i, double w, double driveN) {
    return Objects.requireNonNull(axles).axles(place(i, w, 0), 0, driveN);
  }

  /** Shares of the grip that the axles are asked for; 1 at the limit. */
  public record AxleUse(double front, double rear) {}

  /**
   * Largest driving force of the tyres beside a side force of one's own choice [N]; negative where
   * an axle holds that only while the car is braked.
   */
  public double tractionBesideN(int i, double w, double lateralN) {
    return normalN(i, w) > 0 ? mostN(beside(i, w, lateralN)) : 0;
  }

  /**
   * Largest braking force beside a side force of one's own choice [N]; negative where an axle holds
   * that only while the car is driven.
   */
  public double brakeBesideN(int i, double w, double lateralN) {
    return normalN(i, w) > 0 ? -leastN(beside(i, w, lateralN)) : 0;
  }

  /** Largest driving force that the tyres and the lifting front wheel allow [N]. */
  public double tractionN(int i, double w) {
    return normalN(i, w) > 0 ? Math.max(0, mostN(place(i, w, 0))) : 0;
  }

  /** Whether the tyres hold a driving force; asked sooner than their largest is found. */
  boolean holdsDrive(int i, double w, double driveN) {
    if (axles == null) {
      return driveN <= tractionN(i, w);
    }
    return normalN(i, w) > 0 && axles.holds(place(i, w, 0), driveN);
  }

  /** Largest braking force of the tyres: axle that locks first, lifting rear wheel, system [N]. */
  public double brakeN(int i, double w) {
    return normalN(i, w) > 0 ? Math.max(0, -leastN(place(i, w, 0))) : 0;
  }

  /** Where a bend asks for a shade more than there is, the one force that comes nearest. */
  private double mostN(GripLimits.Place place) {
    double most = limits.mostN(place);
    if (axles == null || axles.holds(place, -place.closedN())) {
      return most;
    }
    double least = axles.leastN(place);
    return least > most ? (least + most) / 2 : most;
  }

  private double leastN(GripLimits.Place place) {
    double least = limits.leastN(place);
    if (axles == null || axles.holds(place, -place.closedN())) {
      return least;
    }
    double most = axles.mostN(place);
    return least > most ? (least + most) / 2 : least;
  }

  /** Largest braking force straight on with another front share of the brakes [N]. */
  public double straightBrakeN(int i, double w, double share) {
    GripLimits.Place straight = beside(i, w, 0);
    return straight.normalN() > 0 ? whole.brakeN(straight, straight.muX(), share) : 0;
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
    GripLimits.Place straight = beside(i, w, 0);
    return (straight.frontN() + brakingN * heightRatio) / straight.normalN();
  }

  /** Force along that a share of the tyres' grip gives straight on, drive positive [N]. */
  double alongOfShareN(int i, double w, double share) {
    GripLimits.Place straight = beside(i, w, 0);
    if (!(straight.normalN() > 0)) {
      return 0;
    }
    return share < 0
        ? -whole.brakeN(straight, -share * straight.muX(), brakeShare)
        : whole.mostN(straight.straight(share));
  }

  /** Whether the axles are told apart. */
  boolean tellsAxlesApart() {
    return axles != null;
  }

  /** Side force that the tyres can give [N]. */
  public double lateralLimitN(int i, double w) {
    double normal = normalN(i, w);
    return normal > 0 ? muY * grip[i] * loadFactor(normal) * normal : 0;
  }

  /** Side force beside which some force along is held still, not turning [N]. */
  public double heldSideN(int i, double w) {
    double high = lateralLimitN(i, w);
    if (axles == null) {
      return high;
    }
    double low = 0;
    for (int k = 0; k < SIDE_HALVINGS; k++) {
      double middle = (low + high) / 2;
      if (axles.spareN(beside(i, w, middle)) >= 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** Drive, as far as engine and tyres go, less all resistance [N]. */
  public double netDriveN(int i, double w, double engineN) {
    double resistance = resistanceN(i, w);
    if (!(normalN(i, w) > 0)) {
      return -resistance;
    }
    GripLimits.Place place = place(i, w, 0);
    if (axles != null && axles.holds(place, engineN)) {
      return engineN - resistance;
    }
    double most = mostN(place);
    return (engineN < most ? engineN : most) - resistance;
  }

  /**
   * Full braking and all resistance [N], positive as they slow the car.
   *
   * @param closedN what the engine adds to the brakes at a shut throttle
   */
  public double netBrakeN(int i, double w, double closedN) {
    double resistance = resistanceN(i, w);
    return normalN(i, w) > 0 ? resistance - leastN(place(i, w, closedN)) : resistance;
  }

  /**
   * Square of the highest speed at which the tyres suffice and the car stays on the ground; {@code
   * Double.POSITIVE_INFINITY} where there is none up to the highest one that is asked for.
   */
  double limitW(int i, double highestW, ClosedThrottle closed) {
    double asWhole = limitW(i);
    return limitW(i, asWhole, highestW, closed, asWhole);
  }

  /**
   * The same where more is known.
   *
   * @param asWhole that of the vehicle as a whole
   * @param near guess of it, any number
   */
  double limitW(int i, double asWhole, double highestW, ClosedThrottle closed, double near) {
    if (axles == null) {
      return asWhole;
    }
    double high = Math.min(asWhole, highestW);
    boolean open = asWhole > highestW;
    double closedN = closed.at(i, high);
    if (open && axles.holds(place(i, high, closedN), -closedN)) {
      return Double.POSITIVE_INFINITY;
    }
    // No axles hold more than all tyres would together.
    AxleLimit limit = new AxleLimit(w -> axles.spareN(place(i, w, closed.at(i, w))));
    return limit.below(high, open, near);
  }

  /** The same of the vehicle as a whole, whatever its speed. */
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
