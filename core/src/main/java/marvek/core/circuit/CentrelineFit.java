package marvek.core.circuit;

import marvek.core.Require;

/**
 * The smooth curve through a survey. A cubic spline is fitted so that the squared distances to the
 * points, weighed by the survey's noise, and the squared change of curvature, weighed by what roads
 * are built like, together are least. The points' parameters are moved to the foot of their
 * perpendicular between fits, so that noise along the road neither lengthens nor bends it.
 *
 * <p>With noise σ and a road whose change of curvature has the intensity q² (the integral of its
 * square per metre), the most likely curve has the penalty λ = σ²/q² (Wahba, <i>Spline Models for
 * Observational Data</i>, SIAM 1990, ch. 1, from memory). Choosing λ by cross-validation alone
 * leaves ripple in the curvature.
 */
public final class CentrelineFit {
  /** Cubic pieces no longer than this follow a hairpin of 8 m radius to a millimetre. */
  private static final double KNOT_M = 2.0;

  /**
   * Typical intensity of the change of plan curvature of a circuit, (1/m²)²·m: a corner of 40 m
   * radius wound on over 30 m. Own assumption, tuned on roads of known curvature with noise added.
   */
  private static final double PLAN_ROUGHNESS_PER_M3 = 2.0e-6;

  /** The same for the profile in height: a crest of 400 m radius wound on over 50 m. */
  private static final double HEIGHT_ROUGHNESS_PER_M3 = 1.0e-7;

  /**
   * No survey is better than this; it also takes the ringing out of a change from straight to arc.
   */
  private static final double SIGMA_FLOOR_M = 0.012;

  /** Below this a survey counts as clean, and is not moved by more than {@link #CLEAN_MOVE_M}. */
  private static final double CLEAN_SIGMA_M = 0.03;

  /** A clean survey may be moved by 5 cm at most: this and what resampling adds. */
  private static final double CLEAN_MOVE_M = 0.045;

  /** Bounds of iterations (own choices); how far points were moved is told with the result. */
  private static final int REWEIGHTINGS = 3;

  private static final int FOOT_POINT_PASSES = 3;

  private static final int MAX_RELAXATIONS = 12;

  private final Survey survey;
  private final double strength;
  private double[] u;
  private double length;
  private PenalisedSpline x;
  private PenalisedSpline y;
  private PenalisedSpline z;
  private double noise;
  private double largestMove;
  private int largestMoveIndex;

  private CentrelineFit(Survey survey, double strength) {
    this.survey = survey;
    this.strength = strength;
  }

  /**
   * Fits a survey.
   *
   * @param strength factor on the penalty that the noise asks for; 1 is the estimate, 100 much
   *     smoother, 0.01 much closer to the points; between 1e-6 and 1e6
   */
  public static CentrelineFit of(Survey survey, double strength) {
    Require.within("smoothing", strength, 1e-6, 1e6);
    CentrelineFit fit = new CentrelineFit(survey, strength);
    fit.chordParameters();
    fit.noise = SurveyNoise.across(fit.u, survey.closed(), fit.column(0), fit.column(1));
    fit.fitPlan();
    fit.fitHeight();
    return fit;
  }

  private void chordParameters() {
    int n = survey.size();
    u = new double[n + 1];
    for (int i = 0; i < n; i++) {
      u[i + 1] = u[i] + (i < n - 1 || survey.closed() ? survey.chord(i) : 0);
    }
    length = u[n];
  }

  private double[] column(int which) {
    double[] values = new double[survey.size()];
    for (int i = 0; i < values.length; i++) {
      values[i] =
          switch (which) {
            case 0 -> survey.xAt(i);
            case 1 -> survey.yAt(i);
            default -> survey.zAt(i);
          };
    }
    return values;
  }

  private void fitPlan() {
    double sigma = Math.max(noise, SIGMA_FLOOR_M);
    double lambda = strength * sigma * sigma / PLAN_ROUGHNESS_PER_M3;
    boolean mayRelax = noise < CLEAN_SIGMA_M && strength <= 1;
    double[] chordU = u;
    double chordLength = length;
    for (int relaxation = 0; relaxation < MAX_RELAXATIONS; relaxation++) {
      u = chordU;
      length = chordLength;
      for (int pass = 0; pass < FOOT_POINT_PASSES; pass++) {
        fitColumns(lambda);
        moveToFootPoints();
      }
      fitColumns(lambda);
      measureMoves();
      if (!mayRelax || largestMove <= CLEAN_MOVE_M) {
        return;
      }
      lambda /= 4;
    }
  }

  private void fitColumns(double lambda) {
    double[] weights = null;
    for (int pass = 0; pass <= REWEIGHTINGS; pass++) {
      PenalisedSpline.Fitter fitter =
          new PenalisedSpline.Fitter(
              parameters(), length, KNOT_M, lambda, weights, survey.closed());
      x = fitter.fit(column(0));
      y = fitter.fit(column(1));
      weights = changeWeights();
    }
  }

  /** Less penalty where the curvature does change: a corner begins there, it is not noise. */
  private double[] changeWeights() {
    int n = x.intervals();
    double[] change = new double[n];
    double mean = 0;
    for (int i = 0; i < n; i++) {
      change[i] = Math.hypot(x.third(i), y.third(i));
      mean += change[i] * change[i] / n;
    }
    double[] weights = new double[n];
    for (int i = 0; i < n; i++) {
      weights[i] = 1 / Math.sqrt(1e-2 + change[i] * change[i] / mean);
    }
    return weights;
  }

  private void fitHeight() {
    double sigmaZ = SurveyNoise.of(u, survey.closed(), column(2));
    double sigma = Math.max(sigmaZ, SIGMA_FLOOR_M);
    double lambda = strength * sigma * sigma / HEIGHT_ROUGHNESS_PER_M3;
    z =
        new PenalisedSpline.Fitter(parameters(), length, KNOT_M, lambda, null, survey.closed())
            .fit(column(2));
  }

  private double[] parameters() {
    return java.util.Arrays.copyOf(u, survey.size());
  }

  /** Parameters become arc lengths of the feet, counted from the first point's own foot. */
  private void moveToFootPoints() {
    int n = survey.size();
    double[] foot = new double[n + 1];
    for (int i = 0; i < n; i++) {
      foot[i] = footPoint(i);
    }
    foot[n] = survey.closed() ? foot[0] + length : length;
    double[] arc = new double[n + 1];
    for (int i = 0; i < n; i++) {
      // Feet that noise put in the wrong order keep a small distance.
      arc[i + 1] = arc[i] + Math.max(arcLength(foot[i], foot[i + 1]), 1e-3);
    }
    if (!survey.closed()) {
      arc[n] = arc[n - 1];
    }
    u = arc;
    length = arc[n];
  }

  private double footPoint(int i) {
    double t = u[i];
    double low = t - KNOT_M * 2;
    double high = t + KNOT_M * 2;
    for (int step = 0; step < 4; step++) {
      double dx = x.value(t) - survey.xAt(i);
      double dy = y.value(t) - survey.yAt(i);
      double tx = x.first(t);
      double ty = y.first(t);
      double slope = tx * tx + ty * ty + dx * x.second(t) + dy * y.second(t);
      if (!(slope > 0)) {
        break;
      }
      t = Math.max(low, Math.min(high, t - (dx * tx + dy * ty) / slope));
    }
    return survey.closed() ? t : Math.max(0, Math.min(length, t));
  }

  private void measureMoves() {
    largestMove = 0;
    for (int i = 0; i < survey.size(); i++) {
      double t = footPoint(i);
      double move = Math.hypot(x.value(t) - survey.xAt(i), y.value(t) - survey.yAt(i));
      if (move > largestMove) {
        largestMove = move;
        largestMoveIndex = i;
      }
    }
  }

  /** Plan length between two parameters [m]: three-point Gauss-Legendre on pieces below a knot. */
  double arcLength(double from, double to) {
    int pieces = Math.max(1, (int) Math.ceil((to - from) / (KNOT_M / 2)));
    double h = (to - from) / pieces;
    double sum = 0;
    for (int k = 0; k < pieces; k++) {
      double middle = from + (k + 0.5) * h;
      double d = 0.5 * h * Math.sqrt(0.6);
      sum += h * (5 * speed(middle - d) + 8 * speed(middle) + 5 * speed(middle + d)) / 18;
    }
    return sum;
  }

  private double speed(double t) {
    return Math.hypot(x.first(t), y.first(t));
  }

  /** Standard deviation of the survey's points as estimated from them [m]. */
  public double noiseM() {
    return noise;
  }

  /** Largest distance from a surveyed point to the curve [m]. */
  public double largestMoveM() {
    return largestMove;
  }

  /** Index of the surveyed point that was moved most. */
  public int largestMoveIndex() {
    return largestMoveIndex;
  }

  double parameterLength() {
    return length;
  }

  double parameterOf(int point) {
    return u[point];
  }

  Survey survey() {
    return survey;
  }

  PenalisedSpline x() {
    return x;
  }

  PenalisedSpline y() {
    return y;
  }

  PenalisedSpline z() {
    return z;
  }
}
