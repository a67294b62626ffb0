package marvek.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/**
 * A gate and what the lap does there.
 *
 * @param lapOffsetM where the car is driven there, positive to the left
 * @param acrossG side force over weight there
 * @param kept whether the lap goes through it
 * @param words where it is, in car widths and shares of the road
 */
public record GateOnLap(Gate gate, double lapOffsetM, double acrossG, boolean kept, String words) {
  /** Half a metre across is what a driver places by eye (own assumption). */
  private static final double THROUGH_M = 0.5;

  /** What he must not cross he keeps off to a hand's breadth. */
  private static final double CROSSED_M = 0.1;

  /** With less side force than this a car is called straight (own assumption). */
  private static final double STRAIGHT_G = 0.15;

  /** Nearer to a line than this it is on it, in car widths. */
  private static final double ON_LINE = 0.15;

  /** Beyond so many car widths a place is told as a share of the road. */
  private static final double COUNTED = 2.25;

  private static final double STANDARD_GRAVITY = 9.80665;

  /** Shares of the road that are told, with their words. */
  private static final double[] SHARES = {0.25, 1.0 / 3, 0.5, 2.0 / 3, 0.75};

  private static final String[] SHARE_WORDS = {
    "a quarter", "a third", "half", "two thirds", "three quarters"
  };

  /**
   * Gates of a corner on a lap.
   *
   * @param besideM how far beside its line the car is driven at each of them, positive to the left
   */
  static List<GateOnLap> of(Gates gates, List<Double> besideM, Lap lap) {
    List<GateOnLap> result = new ArrayList<>();
    for (int k = 0; k < gates.list().size(); k++) {
      double beside = k < besideM.size() ? besideM.get(k) : 0;
      result.add(of(gates.list().get(k), beside, lap));
    }
    return result;
  }

  private static GateOnLap of(Gate gate, double besideM, Lap lap) {
    Road road = lap.path().road();
    int i = road.indexOf(gate.atM());
    double offset = lap.path().offsetAt(i) + besideM;
    double speed = lap.speedAt(i);
    double across = Math.abs(lap.path().curvatureAt(i)) * speed * speed / STANDARD_GRAVITY;
    return new GateOnLap(
        gate, offset, across, isKept(gate, offset, across), words(gate, road, i, lap.vehicle()));
  }

  private static boolean isKept(Gate gate, double offsetM, double acrossG) {
    boolean there = gate.offsetM() == null || Math.abs(offsetM - gate.offsetM()) <= THROUGH_M;
    return switch (gate.kind()) {
      case HERE -> there;
      case NO_FARTHER_LEFT -> offsetM <= gate.offsetM() + CROSSED_M;
      case NO_FARTHER_RIGHT -> offsetM >= gate.offsetM() - CROSSED_M;
      case STRAIGHT -> there && acrossG < STRAIGHT_G;
    };
  }

  private static String words(Gate gate, Road road, int i, Vehicle vehicle) {
    if (gate.words() != null && !gate.words().isBlank()) {
      return gate.words();
    }
    if (gate.offsetM() == null) {
      return "car straight";
    }
    String place = place(gate.offsetM(), road, i, vehicle.bodyWidthM());
    return switch (gate.kind()) {
      case HERE -> place;
      case NO_FARTHER_LEFT -> "no farther left than " + place;
      case NO_FARTHER_RIGHT -> "no farther right than " + place;
      case STRAIGHT -> "car straight, " + place;
    };
  }

  /** Counted in car widths from the nearer line, farther out as a share of the road. */
  private static String place(double offsetM, Road road, int i, double bodyM) {
    double left = road.widthLeftAt(i) - offsetM - bodyM / 2;
    double right = road.widthRightAt(i) + offsetM - bodyM / 2;
    boolean byLeft = left <= right;
    double widths = Math.min(left, right) / bodyM;
    String line = byLeft ? "left" : "right";
    if (widths < -ON_LINE) {
      return "beyond the " + line + " line";
    }
    if (widths < ON_LINE) {
      return "on the " + line + " line";
    }
    double width = road.widthLeftAt(i) + road.widthRightAt(i);
    double share = (road.widthLeftAt(i) - offsetM) / width;
    if (widths > COUNTED || Math.abs(share - 0.5) < 0.06) {
      return shareWords(share);
    }
    return widthWords(widths) + " off the " + line + " line";
  }

  private static String widthWords(double widths) {
    if (widths < 0.75) {
      return "half a car width";
    }
    long whole = Math.round(2 * widths);
    if (whole == 2) {
      return "one car width";
    }
    return whole % 2 == 0
        ? String.format(Locale.ROOT, "%d car widths", whole / 2)
        : String.format(Locale.ROOT, "%d½ car widths", whole / 2);
  }

  private static String shareWords(double share) {
    int best = 0;
    for (int k = 1; k < SHARES.length; k++) {
      best = Math.abs(SHARES[k] - share) < Math.abs(SHARES[best] - share) ? k : best;
    }
    return SHARES[best] == 0.5
        ? "in the middle of the road"
        : SHARE_WORDS[best] + " across from the left";
  }
}
