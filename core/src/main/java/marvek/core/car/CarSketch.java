package marvek.core.car;

import java.util.ArrayList;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.profile.Constants;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;

/**
 * Makes a car from what a driver knows of his own. The drag area is solved for from power and top
 * speed, {@code η·P = ½·ρ·c_d·A·v³ + c_r·N·v} (Gillespie, <i>Fundamentals of Vehicle Dynamics</i>,
 * ch. 4; from memory), the spread of the gears from the time to 100 km/h. All else is common
 * practice of the trade, from memory, and said with each value.
 */
public final class CarSketch {
  private static final double DRIVER_KG = 80;
  private static final double HUNDRED_MPS = 100 / 3.6;
  private static final double RPM = Math.PI / 30;

  /** Torque at its most over that at the most power: an engine without a charger. */
  private static final double MOST_TORQUE = 1.12;

  /** Power that is left at the limiter. */
  private static final double AT_LIMITER = 0.96;

  /** Without a time to 100 km/h: first gear over last. */
  private static final double CAR_SPREAD = 3.3;

  private static final double MOTORCYCLE_SPREAD = 2.1;

  /** Spreads that are tried for a time to 100 km/h. */
  private static final double LEAST_SPREAD = 1.2;

  private static final double MOST_SPREAD = 7;
  private static final int SPREADS = 60;
  private static final int HALVINGS = 24;

  /** A stopwatch beside a road is no better [s]. */
  private static final double SAME_S = 0.05;

  private final CarFacts facts;
  private final boolean car;
  private final boolean racing;
  private final List<SketchedCar.Assumed> assumed = new ArrayList<>();
  private final List<SketchedCar.Unmet> unmet = new ArrayList<>();

  private CarSketch(CarFacts facts) {
    this.facts = facts;
    this.car = facts.kind() == Vehicle.Kind.CAR;
    this.racing = facts.wings() || facts.tyres() == CarFacts.Tyres.SLICK;
  }

  /**
   * Makes the car.
   *
   * @throws InvalidValueException if the power cannot reach the top speed
   */
  public static SketchedCar of(CarFacts facts) {
    return new CarSketch(facts).made();
  }

  /** What a car does that was changed after it was made. */
  public static SketchedCar measured(Vehicle vehicle, List<SketchedCar.Assumed> assumed) {
    StraightRun run = new StraightRun(vehicle);
    return new SketchedCar(
        vehicle, assumed, run.topSpeedMps(), orNull(run.secondsTo(HUNDRED_MPS)), List.of());
  }

  private static Double orNull(double seconds) {
    return Double.isNaN(seconds) ? null : seconds;
  }

  private SketchedCar made() {
    Vehicle base = withSpread(usualSpread());
    Vehicle vehicle = facts.zeroTo100S() == null || facts.gears() == 1 ? base : metTo100();
    sayWhy();
    StraightRun run = new StraightRun(vehicle);
    double top = run.topSpeedMps();
    Double to100 = orNull(run.secondsTo(HUNDRED_MPS));
    if (facts.zeroTo100S() != null
        && (to100 == null || Math.abs(to100 - facts.zeroTo100S()) > SAME_S)) {
      unmet.add(new SketchedCar.Unmet("zeroTo100_s", to100 == null ? Double.NaN : to100));
    }
    return new SketchedCar(vehicle, assumed, top, to100, unmet);
  }

  private double usualSpread() {
    return car ? CAR_SPREAD : MOTORCYCLE_SPREAD;
  }

  /** The spread of the gears that meets the time to 100 km/h, or comes nearest to it. */
  private Vehicle metTo100() {
    double best = usualSpread();
    double least = Double.POSITIVE_INFINITY;
    double before = Double.NaN;
    for (int k = 0; k <= SPREADS; k++) {
      double spread = LEAST_SPREAD + (MOST_SPREAD - LEAST_SPREAD) * k / SPREADS;
      double late = lateTo100(spread);
      if (before * late < 0) {
        double step = (MOST_SPREAD - LEAST_SPREAD) / SPREADS;
        return withSpread(between(spread - step, spread));
      }
      if (Math.abs(late) < least) {
        least = Math.abs(late);
        best = spread;
      }
      before = late;
    }
    return withSpread(best);
  }

  private double between(double low, double high) {
    double atLow = lateTo100(low);
    for (int h = 0; h < HALVINGS; h++) {
      double middle = (low + high) / 2;
      if (lateTo100(middle) * atLow > 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }

  private double lateTo100(double spread) {
    return new StraightRun(withSpread(spread)).secondsTo(HUNDRED_MPS) - facts.zeroTo100S();
  }

  private Vehicle withSpread(double spread) {
    double frontShare = frontWeightShare();
    Tyre tyre = tyre();
    double massKg = facts.massKg() + DRIVER_KG;
    return new Vehicle(
        facts.name(),
        facts.kind(),
        facts.massKg(),
        DRIVER_KG,
        wheelbaseM(),
        cgHeightM(),
        frontShare,
        car ? 1.55 : 0,
        car ? 1.8 : 0.8,
        car ? 4.25 : 2.08,
        facts.drive(),
        facts.drive() == Vehicle.Drive.FRONT ? 1 : facts.drive() == Vehicle.Drive.ALL ? 0.4 : 0,
        engine(),
        gearbox(spread, tyre.radiusM()),
        tyre,
        // Strong enough for the tyres, the front axle first.
        new Brakes(
            1.2 * tyre.muLongitudinal() * massKg * Constants.G0,
            car
                ? Math.min(
                    0.9, frontShare + tyre.muLongitudinal() * cgHeightM() / wheelbaseM() + 0.03)
                : 0.85),
        new Aero(dragAreaM2(), liftAreaM2(), 0.42),
        rolling(),
        Turning.USUAL);
  }

  private double wheelbaseM() {
    return car ? 2.5 : 1.42;
  }

  private double cgHeightM() {
    return !car ? 0.62 : facts.wings() ? 0.38 : racing ? 0.44 : 0.5;
  }

  private double frontWeightShare() {
    if (!car) {
      return 0.5;
    }
    return switch (facts.drive()) {
      case FRONT -> 0.61;
      case ALL -> 0.55;
      case REAR -> racing ? 0.46 : 0.5;
    };
  }

  private double rolling() {
    return car ? 0.014 : 0.016;
  }

  private double efficiency() {
    return facts.drive() == Vehicle.Drive.ALL ? 0.88 : car ? 0.91 : 0.93;
  }

  private double liftAreaM2() {
    return facts.wings() ? 1.2 : 0;
  }

  private Tyre tyre() {
    double lateral =
        switch (facts.tyres()) {
          case ROAD -> 1.05;
          case TRACK_DAY -> 1.2;
          case SLICK -> 1.45;
          case WET -> 1.05;
        };
    double wheels = car ? 4 : 2;
    double loadN = (facts.massKg() + DRIVER_KG) * Constants.G0 / wheels;
    return new Tyre(lateral, lateral * 1.06, car ? 0.315 : 0.31, loadN, car ? 0.08 : 0);
  }

  private Engine engine() {
    double atPower = facts.powerW() / (facts.powerRpm() * RPM);
    double most = MOST_TORQUE * atPower;
    List<double[]> points = new ArrayList<>();
    points.add(new double[] {0.25 * facts.powerRpm(), 0.72 * most});
    points.add(new double[] {0.45 * facts.powerRpm(), 0.9 * most});
    points.add(new double[] {0.7 * facts.powerRpm(), most});
    points.add(new double[] {facts.powerRpm(), atPower});
    if (facts.limiterRpm() > facts.powerRpm()) {
      double atLimiter = AT_LIMITER * facts.powerW() / (facts.limiterRpm() * RPM);
      points.add(new double[] {facts.limiterRpm(), atLimiter});
    }
    return new Engine(
        points.stream().mapToDouble(p -> p[0]).toArray(),
        points.stream().mapToDouble(p -> p[1]).toArray(),
        0.15 * facts.powerRpm(),
        facts.limiterRpm(),
        0.15 * most);
  }

  /** From the first to the last in equal steps of the ratio. */
  private Gearbox gearbox(double spread, double radiusM) {
    double finalDrive = car ? 3.9 : 4.2;
    double last = lastOverall(radiusM) / finalDrive;
    double[] ratios = new double[facts.gears()];
    for (int g = 0; g < ratios.length; g++) {
      double share = ratios.length == 1 ? 0 : 1 - g / (ratios.length - 1.0);
      ratios[g] = last * Math.pow(spread, share);
    }
    return new Gearbox(ratios, finalDrive, efficiency(), car ? 0.15 : 0.05, car ? 0.2 : 0.1);
  }

  /** The top speed is reached at the most power, or else on the limiter. */
  private double lastOverall(double radiusM) {
    double rpm = limiterHolds() ? facts.limiterRpm() : facts.powerRpm();
    return rpm * RPM * radiusM / facts.topSpeedMps();
  }

  private boolean limiterHolds() {
    return balancedDragAreaM2() > mostDragAreaM2();
  }

  private double mostDragAreaM2() {
    return car ? facts.wings() ? 2 : 1.3 : 0.8;
  }

  private double dragAreaM2() {
    double typical = car ? facts.wings() ? 1.1 : 0.7 : 0.35;
    double balanced = balancedDragAreaM2();
    double least = car ? 0.3 : 0.15;
    if (balanced < least) {
      throw new InvalidValueException(
          "topSpeed_kmh",
          Sentence.of(
              "refused.top-speed",
              "speed_mps",
              facts.topSpeedMps(),
              "power",
              facts.powerW() / 1000));
    }
    return limiterHolds() ? typical : balanced;
  }

  /** Drag area with which the power is used up at the top speed. */
  private double balancedDragAreaM2() {
    double v = facts.topSpeedMps();
    double pressure = StraightRun.airDensityKgM3() * v * v / 2;
    double loadN = (facts.massKg() + DRIVER_KG) * Constants.G0 + pressure * liftAreaM2();
    return (facts.powerW() * efficiency() / v - rolling() * loadN) / pressure;
  }

  private void sayWhy() {
    String usual = car ? "sketch.usual-car" : "sketch.usual-motorcycle";
    String winged = car ? "sketch.usual-winged-car" : "sketch.usual-winged-motorcycle";
    say("/driver_kg", "sketch.driver");
    say("/wheelbase_m", usual);
    say("/cgHeight_m", facts.wings() ? winged : usual);
    say("/frontWeightShare", car ? "sketch.usual-axle" : "sketch.usual-rider");
    say("/bodyWidth_m", "sketch.width");
    say("/length_m", usual);
    say("/engine/torqueCurve", "sketch.engine");
    say(
        "/gearbox/ratios",
        facts.zeroTo100S() == null ? "sketch.even-steps" : "sketch.solved-steps");
    say("/gearbox/upshift_s", car ? "sketch.lever" : "sketch.quick-shifter");
    say("/gearbox/efficiency", "sketch.usual-axle");
    say("/tyre/muLateral", "sketch.tyre");
    say("/tyre/muLongitudinal", "sketch.tyre-along");
    say("/tyre/radius_m", usual);
    say("/brakes/maxForce_n", "sketch.brakes");
    if (car) {
      say("/brakes/frontShare", "sketch.front-first");
    }
    say("/aero/cdA_m2", limiterHolds() ? "sketch.limiter-holds" : "sketch.drag-solved");
    if (facts.wings()) {
      say("/aero/clA_m2", "sketch.wings");
    }
    say("/rollingResistance", "sketch.asphalt");
  }

  private void say(String pointer, String code) {
    assumed.add(new SketchedCar.Assumed(pointer, Sentence.of(code)));
  }
}
