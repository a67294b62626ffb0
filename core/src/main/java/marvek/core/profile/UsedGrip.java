package marvek.core.profile;

import marvek.core.circuit.Path;

/**
 * What a solved lap asks of the tyres over each of its elements, as a share of the grip that it
 * uses. By its steps, and where the surface or a rippling line changes within one, that can be a
 * little more than all of it: who drives the lap as it is does not slide there.
 */
public final class UsedGrip {
  /** Speeds are solved to about this share of the limit. */
  private static final double SOLVED = 1.0005;

  /** More than this is no matter of steps. */
  private static final double MOST = 1.1;

  private final double[] begin;
  private final double[] end;

  private UsedGrip(double[] begin, double[] end) {
    this.begin = begin;
    this.end = end;
  }

  /** Works it out for all elements of a lap. */
  public static UsedGrip of(Lap lap) {
    Path path = lap.path();
    double[] begin = new double[path.size()];
    double[] end = new double[path.size()];
    for (int i = 0; i < path.elements(); i++) {
      int to = path.road().wrap(i + 1);
      begin[i] = asked(lap, i, i);
      end[i] = asked(lap, to, i);
    }
    return new UsedGrip(begin, end);
  }

  /** Of the feet as they are over an element, at one of its ends. */
  private static double asked(Lap lap, int i, int element) {
    double w = lap.speedAt(i) * lap.speedAt(i);
    double brakeN = lap.elementBrakeShareAt(element) * lap.vehicle().brakes().maxForceN();
    double driveN = lap.engineN(i, lap.speedAt(i), lap.elementThrottleShareAt(element));
    double share = lap.forces().gripNeeded(i, w, brakeN, driveN);
    return Math.max(SOLVED, Math.min(MOST, share));
  }

  /** Share at the sample that an element begins with. */
  double beginAt(int element) {
    return begin[element];
  }

  /** Share at the sample that an element ends with. */
  double endAt(int element) {
    return end[element];
  }
}
