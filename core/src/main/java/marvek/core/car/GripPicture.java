package marvek.core.car;

import java.util.ArrayList;
import java.util.List;
import marvek.core.profile.Constants;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;

/**
 * What a car can do at a speed: the acceleration along the road that is left at each lateral one,
 * drag included, at the flattest place of a lap and with the grip that its conditions give.
 */
public final class GripPicture {
  /** Enough for a smooth outline of an ellipse. */
  private static final int POINTS = 25;

  private GripPicture() {}

  /**
   * A place on the edge of what is possible [g].
   *
   * @param drivingG largest acceleration; negative where drag wins
   * @param brakingG largest deceleration, positive
   */
  public record Edge(double lateralG, double drivingG, double brakingG) {}

  /** The edge at one speed. */
  public record AtSpeed(double speedMps, List<Edge> edges) {
    public AtSpeed {
      edges = List.copyOf(edges);
    }
  }

  /** The edges at some speeds [m/s]. */
  public static List<AtSpeed> of(Lap lap, double... speedsMps) {
    int place = FlatPlace.of(lap);
    List<AtSpeed> all = new ArrayList<>();
    for (double speed : speedsMps) {
      all.add(at(lap, place, speed));
    }
    return all;
  }

  private static AtSpeed at(Lap lap, int place, double speed) {
    ForceModel forces = lap.forces();
    double w = speed * speed;
    double weight = forces.massKg() * Constants.G0;
    double most = forces.heldSideN(place, w);
    double engine = lap.driveline().bestForceN(speed);
    List<Edge> edges = new ArrayList<>();
    for (int k = 0; k < POINTS; k++) {
      // By the sine, so that the points lie even along the rounded edge.
      double lateral = most * Math.sin(Math.PI / 2 * k / (POINTS - 1));
      double slows = forces.dragN(place, w) + forces.rollingN(place, w);
      double drive = Math.min(engine, forces.tractionBesideN(place, w, lateral));
      double brake = forces.brakeBesideN(place, w, lateral);
      edges.add(new Edge(lateral / weight, (drive - slows) / weight, (brake + slows) / weight));
    }
    return new AtSpeed(speed, edges);
  }
}
