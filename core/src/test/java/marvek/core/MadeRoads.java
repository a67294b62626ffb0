package marvek.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Survey;

/**
 * Circuits that nobody laid out: corners of a seeded mixture, linked, tight, long, over hills; two
 * halves that mirror each other in a point.
 */
public final class MadeRoads {
  private MadeRoads() {}

  /**
   * A closed road with hills.
   *
   * @param scale 0.35 for a kart lap of some 700 m, 1 for a circuit, 3 for a road of 10 km
   */
  public static Circuit of(long seed, double scale) {
    Random random = new Random(seed);
    List<double[]> corners = new ArrayList<>();
    double turned = 0;
    for (int c = 0; c < 6; c++) {
      double angle = (random.nextBoolean() ? 1 : -1) * (25 + 120 * random.nextDouble());
      double radius = scale * (12 + 90 * random.nextDouble());
      corners.add(new double[] {radius, angle, scale * (10 + 200 * random.nextDouble())});
      turned += angle;
    }
    // Half a lap turns by 180°; once round more than that is too much of a spiral.
    double rest = Math.IEEEremainder(180 - turned, 360);
    corners.add(new double[] {scale * 40, Math.abs(rest) < 20 ? rest + 360 : rest, scale * 60});
    Survey flat =
        TestRoads.pointSymmetric(Math.max(2, 5 * scale), half -> lay(half, corners, scale));
    double amplitude = 8 * scale;
    int points = flat.size();
    Survey hilly =
        TestRoads.changed(
            flat,
            (p, i) -> new double[] {p[0], p[1], amplitude * Math.sin(6 * Math.PI * i / points)});
    return Circuit.bare("made road " + seed, hilly);
  }

  private static void lay(TestRoads road, List<double[]> corners, double scale) {
    road.straight(80 * scale);
    for (double[] corner : corners) {
      double arc = Math.abs(Math.toRadians(corner[1])) * corner[0];
      road.corner(corner[0], corner[1], Math.min(30 * scale, 0.4 * arc)).straight(corner[2]);
    }
  }

  /** An open road uphill, begun and ended at speed, as a hill climb is. */
  public static Circuit open() {
    Survey flat =
        TestRoads.every(5)
            .straight(500)
            .corner(40, 70, 25)
            .straight(120)
            .corner(25, -140, 20)
            .straight(200)
            .corner(80, 60, 40)
            .straight(260)
            .survey(false, 4.5, 0, 0);
    int points = flat.size();
    return Circuit.bare(
        "hill climb",
        TestRoads.changed(flat, (p, i) -> new double[] {p[0], p[1], 60.0 * i / points}));
  }

  /** A kart lap of some 260 m, tight and linked. */
  public static Circuit kart() {
    return Circuit.bare(
        "kart",
        TestRoads.pointSymmetric(
            1,
            half ->
                half.straight(35)
                    .corner(8, 110, 5)
                    .straight(10)
                    .corner(12, -60, 5)
                    .straight(8)
                    .corner(7, 130, 5)
                    .straight(20)));
  }
}
