package marvek.core.line;

import java.util.List;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Vehicle;

/**
 * How far to each side the middle of the car may go: white lines less half the body and a margin,
 * plus what kerbs and track limits allow. Immutable; offsets in metres, positive to the left.
 */
public final class Corridor {
  /** Width of a tyre's contact, used for "one tyre on the kerb" (own assumption). */
  static final double TYRE_M = 0.25;

  /** A line cannot come nearer to the centre of a bend than this share of its radius. */
  private static final double LARGEST_SHARE_OF_RADIUS = 0.9;

  private final double[] right;
  private final double[] left;

  private Corridor(double[] right, double[] left) {
    this.right = right;
    this.left = left;
  }

  /** The corridor for a vehicle on a circuit on a day, with the margin that is kept then. */
  public static Corridor of(Circuit circuit, Road road, Vehicle vehicle, Conditions conditions) {
    return of(circuit, road, vehicle, conditions, conditions.marginM());
  }

  /**
   * The corridor with a margin of its own.
   *
   * @param conditions where it is wet, kerbs are used as in the wet
   * @param marginM distance left to the white lines, 0 to 2 m
   */
  public static Corridor of(
      Circuit circuit, Road road, Vehicle vehicle, Conditions conditions, double marginM) {
    Require.within("margin", marginM, 0, 2);
    double half = vehicle.bodyWidthM() / 2;
    double[] left = new double[road.size()];
    double[] right = new double[road.size()];
    for (int i = 0; i < left.length; i++) {
      left[i] = road.widthLeftAt(i) - half - marginM;
      right[i] = -(road.widthRightAt(i) - half - marginM);
    }
    for (Kerb kerb : circuit.kerbs()) {
      widen(circuit, road, vehicle, kerb, wet(kerb, conditions), marginM, left, right);
    }
    for (LimitStretch stretch : circuit.stretches()) {
      bound(circuit, road, vehicle, stretch, marginM, left, right);
    }
    for (int i = 0; i < left.length; i++) {
      keepInsideRadius(road, i, left, right);
    }
    return new Corridor(right, left);
  }

  /** A kerb is as wet as its wetter end. */
  private static boolean wet(Kerb kerb, Conditions conditions) {
    return conditions.isWetAt(kerb.fromM()) || conditions.isWetAt(kerb.toM());
  }

  private static void widen(
      Circuit circuit,
      Road road,
      Vehicle vehicle,
      Kerb kerb,
      boolean wet,
      double marginM,
      double[] left,
      double[] right) {
    double wanted = reachM(wet ? kerb.useWet() : kerb.use(), vehicle.bodyWidthM(), kerb.widthM());
    if (!(wanted > 0)) {
      return;
    }
    int from = road.indexOf(kerb.fromM());
    int count = road.samples(road.distance(kerb.fromM(), kerb.toM()));
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(from + k);
      double allowed = allowedM(circuit, road, road.stationAt(i), kerb.side(), vehicle, kerb);
      double reach = Math.min(wanted, allowed);
      // On a kerb there is no white line to keep a margin from.
      double extra = reach > 0 ? reach + marginM : 0;
      if (kerb.side() == Side.LEFT) {
        left[i] =
            Math.max(left[i], road.widthLeftAt(i) - vehicle.bodyWidthM() / 2 - marginM + extra);
      } else {
        right[i] =
            Math.min(
                right[i], -(road.widthRightAt(i) - vehicle.bodyWidthM() / 2 - marginM + extra));
      }
    }
  }

  /** Keeps the car within the line of an organiser's notice, where that lies inside the rest. */
  private static void bound(
      Circuit circuit,
      Road road,
      Vehicle vehicle,
      LimitStretch stretch,
      double marginM,
      double[] left,
      double[] right) {
    int from = road.indexOf(stretch.fromM());
    int count = road.samples(road.distance(stretch.fromM(), stretch.toM()));
    double half = vehicle.bodyWidthM() / 2;
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(from + k);
      double stationM = road.stationAt(i);
      if (!stretch.boundsAt(road, stationM)) {
        continue;
      }
      Kerb kerb = circuit.kerbAt(road, stationM, stretch.side());
      double allowed = allowedM(stretch, vehicle.bodyWidthM(), kerb == null ? 0 : kerb.widthM());
      if (stretch.side() == Side.LEFT) {
        left[i] = Math.min(left[i], road.widthLeftAt(i) + allowed - half - marginM);
      } else {
        right[i] = Math.max(right[i], -(road.widthRightAt(i) + allowed - half - marginM));
      }
    }
  }

  /**
   * How far the body's edge may go beyond the white line on a side of a place [m]: by the strictest
   * notice, without a bound where they only ask to be back later, or else by the rule.
   *
   * @param kerb that lies there, or null
   */
  public static double allowedM(
      Circuit circuit, Road road, double stationM, Side side, Vehicle vehicle, Kerb kerb) {
    double bodyM = vehicle.bodyWidthM();
    double kerbM = kerb == null ? 0 : kerb.widthM();
    List<LimitStretch> notices = circuit.stretchesAt(road, stationM, side);
    if (notices.isEmpty()) {
      return allowedM(circuit.ruleAt(road, stationM), bodyM, kerbM);
    }
    return notices.stream()
        .filter(notice -> notice.boundsAt(road, stationM))
        .mapToDouble(notice -> allowedM(notice, bodyM, kerbM))
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** The same by the notice of a stretch. */
  static double allowedM(LimitStretch stretch, double bodyWidthM, double kerbWidthM) {
    double lineM =
        switch (stretch.line()) {
          case WHITE_LINE -> 0;
          case KERB_OUTER_EDGE -> kerbWidthM;
          case BEYOND -> stretch.beyondM();
        };
    return lineM
        + switch (stretch.wheels()) {
          case 1 -> bodyWidthM - TYRE_M;
          case 2 -> bodyWidthM / 2;
          default -> 0;
        };
  }

  /** How far the body's edge goes beyond the white line for a use of the kerb [m]. */
  public static double reachM(Kerb.Use use, double bodyWidthM, double kerbWidthM) {
    return switch (use) {
      case NONE -> 0;
      case TOUCH -> Math.min(0.10, kerbWidthM);
      case TYRE -> Math.min(TYRE_M, kerbWidthM);
      case HALF_CAR -> Math.min(bodyWidthM / 2, kerbWidthM);
      case FULL -> kerbWidthM;
    };
  }

  /** How far the body's edge may go beyond the white line under a rule [m]. */
  public static double allowedM(TrackLimits rule, double bodyWidthM, double kerbWidthM) {
    return switch (rule) {
      case ONE_WHEEL_INSIDE_LINE -> bodyWidthM - TYRE_M;
      case TWO_WHEELS_INSIDE_LINE -> bodyWidthM / 2;
      case KERB_COUNTS_AS_TRACK -> kerbWidthM + bodyWidthM - TYRE_M;
      case FREE -> Double.POSITIVE_INFINITY;
    };
  }

  private static void keepInsideRadius(Road road, int i, double[] left, double[] right) {
    double kappa = road.curvatureAt(i);
    if (kappa > 0) {
      left[i] = Math.min(left[i], LARGEST_SHARE_OF_RADIUS / kappa);
    } else if (kappa < 0) {
      right[i] = Math.max(right[i], LARGEST_SHARE_OF_RADIUS / kappa);
    }
    if (left[i] < right[i]) {
      // The car is wider than the road less its margins: the middle is all there is.
      double middle = (left[i] + right[i]) / 2;
      left[i] = middle;
      right[i] = middle;
    }
  }

  /** The corridor of a part of its road, see {@link Road#part}. */
  Corridor part(Road whole, int first, int count) {
    double[] partRight = new double[count];
    double[] partLeft = new double[count];
    for (int k = 0; k < count; k++) {
      partRight[k] = right[whole.wrap(first + k)];
      partLeft[k] = left[whole.wrap(first + k)];
    }
    return new Corridor(partRight, partLeft);
  }

  /** Largest offset to the left [m]. */
  public double leftAt(int i) {
    return left[i];
  }

  /** Largest offset to the right [m], a negative number as a rule. */
  public double rightAt(int i) {
    return right[i];
  }

  public int size() {
    return left.length;
  }
}
