package marvek.core.circuit;

import marvek.core.Require;

/**
 * The road as a line sampled at an even step of plan length. Immutable. On a closed road sample
 * {@code size()} would be sample 0 again; on an open one the last sample is the end.
 */
public final class Road {
  /** Above this length the default step is doubled. */
  private static final double LONG_ROAD_M = 10_000;

  private final int size;
  private final double step;
  private final double length;
  private final boolean closed;
  private final double[] x;
  private final double[] y;
  private final double[] z;
  private final double[] normalX;
  private final double[] normalY;
  private final double[] curvature;
  private final double[] grade;
  private final double[] verticalCurvature;
  private final double[] banking;
  private final double[] widthLeft;
  private final double[] widthRight;
  private final double noise;
  private final double largestMove;
  private final double largestMoveStation;

  /** Station of the first sample on the road that was surveyed, and that road's length. */
  private final double surveyedStart;

  private final double surveyedLength;

  private Road(CentrelineFit fit, double wantedStep) {
    Survey survey = fit.survey();
    closed = survey.closed();
    length = fit.arcLength(0, fit.parameterLength());
    int intervals = Math.max(16, (int) Math.round(length / wantedStep));
    step = length / intervals;
    size = closed ? intervals : intervals + 1;
    x = new double[size];
    y = new double[size];
    z = new double[size];
    normalX = new double[size];
    normalY = new double[size];
    curvature = new double[size];
    grade = new double[size];
    verticalCurvature = new double[size];
    banking = new double[size];
    widthLeft = new double[size];
    widthRight = new double[size];
    sampleCurve(fit);
    noise = fit.noiseM();
    largestMove = fit.largestMoveM();
    largestMoveStation = fit.arcLength(0, fit.parameterOf(fit.largestMoveIndex()));
    surveyedStart = 0;
    surveyedLength = length;
  }

  /** A part of another road, as an open road of its own. */
  private Road(Road whole, int first, int count) {
    closed = false;
    step = whole.step;
    size = count;
    length = (count - 1) * step;
    x = taken(whole, whole.x, first);
    y = taken(whole, whole.y, first);
    z = taken(whole, whole.z, first);
    normalX = taken(whole, whole.normalX, first);
    normalY = taken(whole, whole.normalY, first);
    curvature = taken(whole, whole.curvature, first);
    grade = taken(whole, whole.grade, first);
    verticalCurvature = taken(whole, whole.verticalCurvature, first);
    banking = taken(whole, whole.banking, first);
    widthLeft = taken(whole, whole.widthLeft, first);
    widthRight = taken(whole, whole.widthRight, first);
    noise = whole.noise;
    largestMove = whole.largestMove;
    largestMoveStation = 0;
    surveyedStart = whole.surveyedStationAt(first);
    surveyedLength = whole.surveyedLength;
  }

  private double[] taken(Road whole, double[] values, int first) {
    double[] part = new double[size];
    for (int k = 0; k < size; k++) {
      part[k] = values[whole.wrap(first + k)];
    }
    return part;
  }

  /**
   * A part of this road as an open road whose stations begin at 0.
   *
   * @param first sample that becomes the first
   * @param count number of samples, from 3 up to those of this road
   * @throws marvek.core.InvalidValueException if it has fewer or more
   */
  public Road part(int first, int count) {
    Require.within("samples of a part", count, 3, size);
    return new Road(this, first, count);
  }

  /** The road through a survey at the default step: 1 m, or 2 m above 10 km. */
  public static Road through(Survey survey) {
    return through(survey, 1.0);
  }

  /** As {@link #through(Survey)} with a factor on the smoothing, see {@link CentrelineFit#of}. */
  public static Road through(Survey survey, double smoothing) {
    CentrelineFit fit = CentrelineFit.of(survey, smoothing);
    return new Road(fit, fit.parameterLength() > LONG_ROAD_M ? 2.0 : 1.0);
  }

  /**
   * The road at a step of one's own.
   *
   * @param stepM wanted distance of samples [m], 0.1 to 5; adjusted so that it divides the length
   */
  public static Road through(Survey survey, double smoothing, double stepM) {
    Require.within("step", stepM, 0.1, 5);
    return new Road(CentrelineFit.of(survey, smoothing), stepM);
  }

  private void sampleCurve(CentrelineFit fit) {
    double t = 0;
    int point = 0;
    double end = fit.parameterLength();
    for (int i = 0; i < size; i++) {
      if (i > 0) {
        t = Math.min(advance(fit, t), end);
      }
      sampleAt(fit, i, t);
      while (point + 1 < fit.survey().size() && fit.parameterOf(point + 1) <= t) {
        point++;
      }
      sampleSection(fit, i, t, point);
    }
  }

  /** Newton on the arc length: the parameter one step further on. */
  private double advance(CentrelineFit fit, double t) {
    double next = t + step;
    for (int k = 0; k < 3; k++) {
      double speed = Math.hypot(fit.x().first(next), fit.y().first(next));
      next += (step - fit.arcLength(t, next)) / speed;
    }
    return next;
  }

  private void sampleAt(CentrelineFit fit, int i, double t) {
    double dx = fit.x().first(t);
    double dy = fit.y().first(t);
    double ddx = fit.x().second(t);
    double ddy = fit.y().second(t);
    double speed = Math.hypot(dx, dy);
    x[i] = fit.x().value(t);
    y[i] = fit.y().value(t);
    z[i] = fit.z().value(t);
    normalX[i] = -dy / speed;
    normalY[i] = dx / speed;
    curvature[i] = (dx * ddy - dy * ddx) / (speed * speed * speed);
    double slope = fit.z().first(t) / speed;
    double speedChange = (dx * ddx + dy * ddy) / speed;
    double bend = (fit.z().second(t) - slope * speedChange) / (speed * speed);
    grade[i] = Math.atan(slope);
    verticalCurvature[i] = bend / Math.pow(1 + slope * slope, 1.5);
  }

  private void sampleSection(CentrelineFit fit, int i, double t, int point) {
    Survey survey = fit.survey();
    int n = survey.size();
    int next = closed ? (point + 1) % n : Math.min(point + 1, n - 1);
    double from = fit.parameterOf(point);
    double to = point + 1 < n ? fit.parameterOf(point + 1) : fit.parameterLength();
    double f = to > from ? Math.max(0, Math.min(1, (t - from) / (to - from))) : 0;
    widthLeft[i] = mix(survey.widthLeftAt(point), survey.widthLeftAt(next), f);
    widthRight[i] = mix(survey.widthRightAt(point), survey.widthRightAt(next), f);
    banking[i] = mix(survey.bankingAt(point), survey.bankingAt(next), f);
  }

  private static double mix(double a, double b, double f) {
    return a + (b - a) * f;
  }

  /** Number of samples. */
  public int size() {
    return size;
  }

  /** Distance of samples [m]. */
  public double stepM() {
    return step;
  }

  /** Plan length [m]; of the whole lap on a closed road. */
  public double lengthM() {
    return length;
  }

  public boolean closed() {
    return closed;
  }

  /** Station of sample i [m]. */
  public double stationAt(int i) {
    return i * step;
  }

  /** Station of sample i on the road that was surveyed, also where this is a part of it [m]. */
  public double surveyedStationAt(int i) {
    double station = surveyedStart + i * step;
    // The last sample of an open road lies on its end, which is no other lap's beginning.
    return station > surveyedLength + step / 2 ? station - surveyedLength : station;
  }

  /** Nearest sample to a station; wraps or clamps. */
  public int indexOf(double stationM) {
    int i = (int) Math.round(stationM / step);
    return closed ? Math.floorMod(i, size) : Math.max(0, Math.min(size - 1, i));
  }

  /** A sample index brought into range: wrapped on a closed road, clamped on an open one. */
  public int wrap(int i) {
    if (i >= 0 && i < size) {
      return i;
    }
    return closed ? Math.floorMod(i, size) : Math.max(0, Math.min(size - 1, i));
  }

  /** A station brought into [0, length) on a closed road, clamped to [0, length] on an open one. */
  public double wrapStation(double stationM) {
    if (closed) {
      double s = stationM % length;
      return s < 0 ? s + length : s;
    }
    return Math.max(0, Math.min(length, stationM));
  }

  /**
   * Samples from one to another in the direction of travel: round a closed road, none where the
   * other lies behind on an open one.
   */
  public int ahead(int from, int to) {
    return closed ? Math.floorMod(to - from, size) : Math.max(0, to - from);
  }

  /** Whether a sample lies on the way from one to another, the two included. */
  public boolean isOnWay(int sample, int from, int to) {
    return closed ? ahead(from, sample) <= ahead(from, to) : from <= sample && sample <= to;
  }

  /** Steps in a way, to the nearest. */
  public int samples(double metres) {
    return (int) Math.round(metres / step);
  }

  /** Least number of steps that covers a way; none for one that lies behind. */
  public int covering(double metres) {
    return (int) Math.ceil(Math.max(0, metres) / step);
  }

  /** Way to go from one station to another in the direction of travel [m]. */
  public double distance(double fromM, double toM) {
    double d = toM - fromM;
    return closed && d < 0 ? d + length : d;
  }

  /** Signed short way from one station to another [m]: positive if the second lies ahead. */
  public double offsetBetween(double fromM, double toM) {
    double d = toM - fromM;
    return closed ? d - length * Math.rint(d / length) : d;
  }

  public double xAt(int i) {
    return x[i];
  }

  public double yAt(int i) {
    return y[i];
  }

  public double zAt(int i) {
    return z[i];
  }

  /** East part of the unit normal that points to the left. */
  public double normalXAt(int i) {
    return normalX[i];
  }

  /** North part of the unit normal that points to the left. */
  public double normalYAt(int i) {
    return normalY[i];
  }

  /** Plan curvature [1/m], positive in a left-hander. */
  public double curvatureAt(int i) {
    return curvature[i];
  }

  /** Angle of the grade [rad], uphill positive. */
  public double gradeAt(int i) {
    return grade[i];
  }

  /** Curvature of the profile in height [1/m], crest negative. */
  public double verticalCurvatureAt(int i) {
    return verticalCurvature[i];
  }

  /** Banking [rad], positive where the right edge is the higher one. */
  public double bankingAt(int i) {
    return banking[i];
  }

  public double widthLeftAt(int i) {
    return widthLeft[i];
  }

  public double widthRightAt(int i) {
    return widthRight[i];
  }

  /** Standard deviation of the surveyed points, estimated from them [m]. */
  public double surveyNoiseM() {
    return noise;
  }

  /** Largest distance by which smoothing moved a surveyed point [m]. */
  public double largestMoveM() {
    return largestMove;
  }

  /** Station of the point that was moved most [m]. */
  public double largestMoveStationM() {
    return largestMoveStation;
  }
}
