package marvek.core.drive;

import java.util.List;

/** Metres of a part over which a pedal is at work. */
record Span(double fromM, double toM) {
  /** Nearer to each other than this knots are one. */
  static final double APART_M = 2;

  /** Whether there is room for a knot at a place, between the ends and beside others. */
  boolean isFree(double metres, List<Double> knots) {
    return metres > fromM + APART_M
        && metres < toM - APART_M
        && knots.stream().noneMatch(knot -> Math.abs(knot - metres) < APART_M);
  }
}
