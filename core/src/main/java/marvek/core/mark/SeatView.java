package marvek.core.mark;

import java.util.OptionalDouble;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.vehicle.Eye;
import marvek.core.vehicle.Vehicle;

/**
 * Bearings from the seat of a vehicle on its path, in the plane: 0 straight ahead along the path,
 * positive to the left [rad].
 */
public final class SeatView {
  /** Beyond this bearing a thing has left the driver's sight (design value) [rad]. */
  static final double LEAVES_AT_RAD = Math.toRadians(60);

  /** What stands farther beside the road than this is passed before it leaves (assumed) [m]. */
  private static final double FARTHEST_BESIDE_M = 60;

  private static final double STEP_M = 0.5;

  private final Path path;
  private final Road road;

  /** The eye is so far before the point of the vehicle that is on the path, and beside it. */
  private final double beforeM;

  private final double sideM;

  public SeatView(Path path, Vehicle vehicle) {
    this.path = path;
    this.road = path.road();
    Eye eye = vehicle.eye();
    this.beforeM = vehicle.cgToFrontAxleM() - eye.behindFrontAxleM();
    this.sideM = eye.sideM();
  }

  /** Bearing of a thing with the vehicle at a station, −π to π. */
  public double bearingRad(double stationM, RoadPosition thing) {
    double[] at = thing.toPlane(road);
    double heading = headingRad(stationM);
    double[] on = placeOf(stationM);
    double x = on[0] + beforeM * Math.cos(heading) - sideM * Math.sin(heading);
    double y = on[1] + beforeM * Math.sin(heading) + sideM * Math.cos(heading);
    double bearing = Math.atan2(at[1] - y, at[0] - x) - heading;
    return Math.IEEEremainder(bearing, 2 * Math.PI);
  }

  /**
   * Where a thing leaves the sight: the last place before it is passed at which its bearing comes
   * to 60°. Beside a straight road that is {@code y / tan 60°} before it, {@code y} being its
   * distance from the eye across the road.
   *
   * @return empty where it does not do so within {@value #FARTHEST_BESIDE_M} m
   */
  public OptionalDouble leavesSightM(RoadPosition thing) {
    double after = excess(thing.stationM(), thing, 0);
    for (double back = STEP_M; back <= FARTHEST_BESIDE_M; back += STEP_M) {
      if (!road.closed() && thing.stationM() - back < 0) {
        return OptionalDouble.empty();
      }
      double here = excess(thing.stationM(), thing, back);
      if (here <= 0 && after > 0) {
        double share = here / (here - after);
        return OptionalDouble.of(road.wrapStation(thing.stationM() - back + share * STEP_M));
      }
      after = here;
    }
    return OptionalDouble.empty();
  }

  /** By how much the bearing is beyond 60°, so many metres before a station [rad]. */
  private double excess(double stationM, RoadPosition thing, double backM) {
    return Math.abs(bearingRad(road.wrapStation(stationM - backM), thing)) - LEAVES_AT_RAD;
  }

  private double[] placeOf(double stationM) {
    double position = road.wrapStation(stationM) / road.stepM();
    int i = Math.min(road.size() - 1, (int) position);
    int next = next(i);
    double share = position - i;
    return new double[] {
      path.xAt(i) + share * (path.xAt(next) - path.xAt(i)),
      path.yAt(i) + share * (path.yAt(next) - path.yAt(i))
    };
  }

  /** Direction of the path, between that of the elements on either side of a station. */
  double headingRad(double stationM) {
    double position = road.wrapStation(stationM) / road.stepM();
    int i = Math.min(road.size() - 1, (int) position);
    double here = sampleHeading(i);
    double turn = Math.IEEEremainder(sampleHeading(next(i)) - here, 2 * Math.PI);
    return here + (position - i) * turn;
  }

  /** By central difference. */
  private double sampleHeading(int i) {
    int before = road.closed() ? road.wrap(i - 1) : Math.max(0, i - 1);
    int after = next(i);
    return Math.atan2(path.yAt(after) - path.yAt(before), path.xAt(after) - path.xAt(before));
  }

  private int next(int i) {
    return road.closed() ? road.wrap(i + 1) : Math.min(road.size() - 1, i + 1);
  }
}
