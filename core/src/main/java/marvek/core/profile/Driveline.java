package marvek.core.profile;

import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;

/**
 * Wheel force at full throttle over speed, for each gear and for the best of them. Tabulated once:
 * a torque curve is linear between its points, so interpolation in a fine table is exact but for
 * the table cells that hold a point.
 */
public final class Driveline {
  /** 5 cm/s a cell: finer than any kink of a torque curve shows in a lap. */
  private static final double CELLS_PER_MPS = 20;

  private static final double CELL_MPS = 1 / CELLS_PER_MPS;

  private final int gears;
  private final double[] limiterSpeed;
  private final double[] closed;
  private final double[][] force;
  private final int[] bestGear;
  private final double radius;
  private final Gearbox gearbox;
  private final Conditions.Model model;

  /**
   * Of engines that are in use, each told by its identity: one lap after the other is solved for
   * the same car.
   */
  private static final Map<Engine, Driveline> KEPT =
      Collections.synchronizedMap(new WeakHashMap<>());

  /**
   * The driveline of a vehicle.
   *
   * @param model whether the engine brakes at a shut throttle
   */
  public static Driveline of(Vehicle vehicle, Conditions.Model model) {
    Driveline kept = KEPT.get(vehicle.engine());
    if (kept != null && kept.isOf(vehicle, model)) {
      return kept;
    }
    Driveline tabulated = new Driveline(vehicle, model);
    KEPT.put(vehicle.engine(), tabulated);
    return tabulated;
  }

  private boolean isOf(Vehicle vehicle, Conditions.Model other) {
    return gearbox == vehicle.gearbox() && radius == vehicle.tyre().radiusM() && model == other;
  }

  private Driveline(Vehicle vehicle, Conditions.Model model) {
    Engine engine = vehicle.engine();
    this.model = model;
    gearbox = vehicle.gearbox();
    radius = vehicle.tyre().radiusM();
    gears = gearbox.gears();
    limiterSpeed = new double[gears + 1];
    closed = new double[gears + 1];
    for (int g = 1; g <= gears; g++) {
      limiterSpeed[g] = speedMps(g, engine.limiterRpm());
      closed[g] =
          model == Conditions.Model.PLAIN
              ? 0
              : engine.engineBrakingNm() * gearbox.overallRatio(g) / radius;
    }
    int cells = (int) Math.ceil(limiterSpeed[gears] * CELLS_PER_MPS) + 2;
    force = new double[gears + 1][];
    for (int g = 1; g <= gears; g++) {
      force[g] = wheelForceN(engine, g, cells);
    }
    bestGear = new int[cells];
    for (int c = 0; c < cells; c++) {
      bestGear[c] = bestGearIn(c);
    }
  }

  /** Wheel force in a gear at the speed of each cell. */
  private double[] wheelForceN(Engine engine, int gear, int cells) {
    double[] forces = new double[cells];
    double rpmPerMps = rpm(gear, 1);
    double perNm = gearbox.overallRatio(gear) * gearbox.efficiency() / radius;
    for (int c = 0; c < cells; c++) {
      forces[c] = engine.curveTorqueNm(rpmPerMps * c * CELL_MPS) * perNm;
    }
    return forces;
  }

  private int bestGearIn(int cell) {
    int bestGear = gears;
    double best = 0;
    for (int g = 1; g <= gears; g++) {
      if (cell * CELL_MPS <= limiterSpeed[g] + CELL_MPS && force[g][cell] > best) {
        best = force[g][cell];
        bestGear = g;
      }
    }
    return bestGear;
  }

  /** Engine speed in a gear [rpm], the clutch shut. */
  public double rpm(int gear, double speedMps) {
    return speedMps / radius * gearbox.overallRatio(gear) * 30 / Math.PI;
  }

  /** Road speed in a gear [m/s]. */
  public double speedMps(int gear, double engineRpm) {
    return engineRpm * Math.PI / 30 * radius / gearbox.overallRatio(gear);
  }

  /** Speed at the limiter in a gear [m/s]. */
  public double limiterSpeedMps(int gear) {
    return limiterSpeed[gear];
  }

  public int gears() {
    return gears;
  }

  /** Wheel force at full throttle in a gear [N]; 0 beyond its limiter. */
  public double forceN(int gear, double speedMps) {
    if (speedMps > limiterSpeed[gear]) {
      return 0;
    }
    return interpolate(force[gear], speedMps);
  }

  /** Wheel force at full throttle in the best gear [N]; 0 beyond the top gear's limiter. */
  public double bestForceN(double speedMps) {
    return forceN(bestGear(speedMps), speedMps);
  }

  /** Whether the engine brakes at a shut throttle. */
  public boolean brakes() {
    return closed[1] > 0;
  }

  /** Force at the wheels at a shut throttle in a gear [N], as it slows the car. */
  public double closedThrottleN(int gear) {
    return closed[gear];
  }

  /** Gear with the largest wheel force at a speed, not beyond its limiter but in the top gear. */
  public int bestGear(double speedMps) {
    int c = Math.min(bestGear.length - 1, (int) Math.ceil(speedMps * CELLS_PER_MPS));
    int gear = bestGear[c];
    return gear < gears && speedMps > limiterSpeed[gear] ? gear + 1 : gear;
  }

  private static double interpolate(double[] table, double speedMps) {
    double t = speedMps * CELLS_PER_MPS;
    int c = Math.min((int) t, table.length - 2);
    return table[c] + (t - c) * (table[c + 1] - table[c]);
  }
}
