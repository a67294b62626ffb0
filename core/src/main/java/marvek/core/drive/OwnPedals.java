package marvek.core.drive;

import java.util.ArrayList;
import java.util.List;

/**
 * The feet of a driver with points and pressures of his own: what the lap's feet do between its
 * points is stretched between his.
 */
final class OwnPedals implements Feet {
  /** Points nearer than this are the same. */
  static final double SAME_M = 0.5;

  /** Two points of a stretched trace lie at least so far apart. */
  private static final double APART_M = 2;

  /** The last of the braking is this share of it, from the turn-in or the brake point on. */
  private static final double TAIL_SHARE = 0.2;

  /** From the first pressure to that at turn-in a foot goes over this last share of the way. */
  private static final double BLEEDS_SHARE = 0.4;

  private final PedalTrace trace;
  private final CornerPoints of;
  private final CornerPoints wanted;
  private final Shape shape;
  private final double[][] brakeAnchors;
  private final double[][] throttleAnchors;

  /**
   * Pressures against those of the lap.
   *
   * @param initial factor at the brake point
   * @param turnIn factor from the turn-in on
   */
  record Shape(double initial, double turnIn) {
    static final Shape SAME = new Shape(1, 1);

    Shape times(double factor) {
      return new Shape(factor * initial, factor * turnIn);
    }
  }

  OwnPedals(PedalTrace trace, CornerPoints of, CornerPoints wanted, Shape shape) {
    this.trace = trace;
    this.of = of;
    this.wanted = wanted;
    this.shape = shape;
    this.brakeAnchors = brakeAnchors();
    this.throttleAnchors = throttleAnchors();
  }

  @Override
  public OwnPedals pressed(double factor) {
    return new OwnPedals(trace, of, wanted, shape.times(factor));
  }

  @Override
  public OwnPedals brakingLater(double metres) {
    double most = wanted.releaseM() - APART_M - wanted.brakeM();
    double later = Math.min(metres, most);
    CornerPoints moved =
        new CornerPoints(
            wanted.actM() + later,
            wanted.brakeM() + later,
            wanted.turnInM(),
            wanted.releaseM(),
            wanted.firstM(),
            wanted.fullM(),
            wanted.approachMps());
    return new OwnPedals(trace, of, moved, shape);
  }

  /** Places of the lap's brakes and those that the driver has in their stead, in order. */
  private double[][] brakeAnchors() {
    List<double[]> anchors = new ArrayList<>();
    anchors.add(new double[] {of.actM(), wanted.actM()});
    anchors.add(new double[] {of.brakeM(), wanted.brakeM()});
    boolean between =
        of.turnInM() > of.brakeM() + APART_M
            && of.turnInM() < of.releaseM() - APART_M
            && wanted.turnInM() > wanted.brakeM() + APART_M
            && wanted.turnInM() < wanted.releaseM() - APART_M;
    if (between) {
      anchors.add(new double[] {of.turnInM(), wanted.turnInM()});
    }
    double tailM = anchors.get(anchors.size() - 1)[0];
    tailM += (1 - TAIL_SHARE) * (of.releaseM() - tailM);
    if (wanted.releaseM() > of.releaseM() && tailM > anchors.get(anchors.size() - 1)[1]) {
      // Who is late off the brake keeps the last of it on: what came before stays as it was.
      anchors.add(new double[] {tailM, tailM});
    }
    anchors.add(new double[] {of.releaseM(), wanted.releaseM()});
    return anchors.toArray(new double[0][]);
  }

  private double[][] throttleAnchors() {
    List<double[]> anchors = new ArrayList<>();
    if (of.brakes()) {
      anchors.add(new double[] {of.releaseM(), wanted.releaseM()});
    }
    boolean apart = anchors.isEmpty() || wanted.firstM() > wanted.releaseM() + SAME_M;
    if (apart) {
      anchors.add(new double[] {of.firstM(), wanted.firstM()});
    } else {
      anchors.set(0, new double[] {of.firstM(), wanted.firstM()});
    }
    anchors.add(new double[] {of.fullM(), wanted.fullM()});
    return anchors.toArray(new double[0][]);
  }

  /** The place of the lap's own trace that belongs to one of the driver's. */
  private static double mapped(double[][] anchors, double metres) {
    int last = anchors.length - 1;
    if (metres <= anchors[0][1]) {
      return anchors[0][0] + metres - anchors[0][1];
    }
    for (int a = 1; a <= last; a++) {
      if (metres <= anchors[a][1]) {
        double share = (metres - anchors[a - 1][1]) / (anchors[a][1] - anchors[a - 1][1]);
        return anchors[a - 1][0] + share * (anchors[a][0] - anchors[a - 1][0]);
      }
    }
    return Math.max(metres, anchors[last][0]);
  }

  @Override
  public double brakeShare(double metres) {
    boolean outside = !of.brakes() || metres < wanted.actM() || metres >= wanted.releaseM();
    if (outside) {
      boolean elsewhere =
          metres < Math.min(of.actM(), wanted.actM())
              || metres >= Math.max(of.releaseM(), wanted.releaseM());
      return elsewhere || !of.brakes() ? trace.brakeShare(metres) : 0;
    }
    return Math.min(1, factor(metres) * trace.brakeShare(mapped(brakeAnchors, metres)));
  }

  /** From the own first pressure to the own pressure at turn-in, which then stays in proportion. */
  private double factor(double metres) {
    double way = wanted.turnInM() - wanted.brakeM();
    if (way <= APART_M) {
      return shape.initial();
    }
    double left = (wanted.turnInM() - metres) / (BLEEDS_SHARE * way);
    double share = 1 - Math.max(0, Math.min(1, left));
    return shape.initial() + share * (shape.turnIn() - shape.initial());
  }

  @Override
  public double throttleShare(double metres) {
    if (of.brakes() && metres < wanted.actM()) {
      return trace.throttleShare(Math.min(metres, of.actM() - SAME_M));
    }
    if (of.brakes()
        && metres < Math.max(wanted.releaseM(), Math.min(of.firstM(), wanted.firstM()))) {
      return 0;
    }
    return trace.throttleShare(mapped(throttleAnchors, metres));
  }
}
