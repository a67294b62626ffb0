package marvek.server.books;

import java.util.List;
import java.util.function.IntToDoubleFunction;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Mark;
import marvek.core.circuit.Road;
import marvek.core.circuit.Zone;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.light.Light;
import marvek.core.line.Corridor;
import marvek.core.page.Remark;
import marvek.core.profile.Lap;
import marvek.core.profile.Limiting;
import marvek.core.reference.Reference;
import org.jspecify.annotations.Nullable;

/**
 * Everything that the drawings need along the lap, one value every {@code step_m}; rounded to what
 * a screen can show.
 *
 * @param limit which axle is at its limit: 1 the front, 2 the rear, 3 both, 4 a wheel lifts; 0
 *     where none is, or where they are not told apart
 */
record Trace(
    double step_m,
    double length_m,
    boolean closed,
    double[] x_m,
    double[] y_m,
    double[] z_m,
    double[] curvature_perM,
    double[] left_m,
    double[] right_m,
    double[] offset_m,
    double[] speed_mps,
    double[] brake_pct,
    double[] throttle_pct,
    double[] gear,
    double[] time_s,
    double[] grade_pct,
    double[] banking_deg,
    double[] grip_pct,
    double[] limit,
    double[] allowedLeft_m,
    double[] allowedRight_m,
    double carLength_m,
    double topLateral_g,
    double topBraking_g,
    List<Corner> corners,
    List<Mark> marks,
    List<Kerb> kerbs,
    List<Zone> zones,
    List<Hazard> hazards,
    List<Remark> remarks,
    @Nullable Sky sky) {
  /** A screen shows no more than this. */
  private static final double SHOWN_STEP_M = 2;

  /** No screen shows more samples of a lap than this. */
  private static final int MOST = 10_000;

  /**
   * The light at the hour of the conditions.
   *
   * @param intoTheSun corners at which one drives towards a low sun
   */
  record Sky(double azimuth_deg, double elevation_deg, List<Integer> intoTheSun) {}

  private static final double G0 = marvek.core.profile.Constants.G0;

  static Trace of(Reference.Basis basis, Conditions conditions, Reference reference) {
    Circuit circuit = basis.circuit();
    Lap lap = reference.lap();
    Road road = reference.path().road();
    double step = Math.max(SHOWN_STEP_M, road.lengthM() / MOST);
    int stride = Math.max(1, (int) Math.round(step / road.stepM()));
    Corridor corridor = Corridor.of(circuit, road, basis.vehicle(), conditions, 0);
    double half = basis.vehicle().bodyWidthM() / 2;
    Sampler s = new Sampler(road.size(), stride);
    double lateral = 0;
    double braking = 0;
    for (int i = 0; i < lap.size(); i++) {
      lateral = Math.max(lateral, Math.abs(lap.lateralAccelerationAt(i)) / G0);
      braking = Math.max(braking, -lap.longitudinalAccelerationAt(i) / G0);
    }
    return new Trace(
        road.stepM() * stride,
        road.lengthM(),
        road.closed(),
        s.take(2, road::xAt),
        s.take(2, road::yAt),
        s.take(2, road::zAt),
        s.take(5, road::curvatureAt),
        s.take(2, road::widthLeftAt),
        s.take(2, road::widthRightAt),
        s.take(2, reference.path()::offsetAt),
        s.take(2, lap::speedAt),
        s.take(1, i -> 100 * lap.brakeShareAt(i)),
        s.take(1, i -> lap.shiftingAt(i) ? 100 : 100 * lap.throttleShareAt(i)),
        s.take(0, lap::gearAt),
        s.take(3, lap::timeAt),
        s.take(2, i -> 100 * Math.tan(road.gradeAt(i))),
        s.take(2, i -> Math.toDegrees(road.bankingAt(i))),
        s.take(1, i -> 100 * lap.lateralUseAt(i)),
        s.take(0, i -> axleAtLimit(lap.limitingAt(i))),
        s.take(2, i -> corridor.leftAt(i) + half),
        s.take(2, i -> half - corridor.rightAt(i)),
        basis.vehicle().lengthM(),
        lateral,
        braking,
        reference.corners(),
        circuit.marks(),
        circuit.kerbs(),
        circuit.zones(),
        circuit.hazards(),
        reference.remarks(),
        sky(basis, conditions, road));
  }

  private static int axleAtLimit(Limiting limiting) {
    return switch (limiting) {
      case FRONT -> 1;
      case REAR -> 2;
      case BOTH -> 3;
      case WHEEL_LIFTS -> 4;
      case ENGINE, BRAKES, TYRES, NONE -> 0;
    };
  }

  private static Sky sky(Reference.Basis basis, Conditions conditions, Road road) {
    return Light.of(basis.circuit(), road, conditions)
        .map(
            light ->
                new Sky(
                    light.sun().azimuthDeg(),
                    light.sun().elevationDeg(),
                    light.cornersIntoTheSun(basis.corners()).stream().map(Corner::number).toList()))
        .orElse(null);
  }

  private record Sampler(int size, int stride) {
    double[] take(int decimals, IntToDoubleFunction value) {
      double scale = Math.pow(10, decimals);
      double[] taken = new double[(size + stride - 1) / stride];
      for (int k = 0; k < taken.length; k++) {
        taken[k] = Math.round(value.applyAsDouble(k * stride) * scale) / scale;
      }
      return taken;
    }
  }
}
