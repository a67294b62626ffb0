package marvek.core.line;

import marvek.core.circuit.Road;
import marvek.core.numeric.ElementProgramme;
import marvek.core.numeric.Jet;

/**
 * Offsets and speeds of the line of least time along a road, as one programme: unknown are the
 * offset and the square of the speed at each place of a grid, the sum is the time, and each element
 * between two places has the constraints of {@link LineForces}.
 */
final class LineProgramme implements ElementProgramme {
  /** Offsets and this many square metres a second squared count as alike. */
  static final double SPEED_SQUARED_UNIT = 100;

  /** An element sees four offsets and two speeds. */
  private static final int WIDTH = 6;

  private static final int FIRST_SPEED = 4;

  /**
   * Turning at the most a driver asks for counts as so much more time, so that nothing is done with
   * the wheel that gains next to nothing: of a lap it takes some 0.003 % (own choice).
   */
  private static final double CALM = 0.003;

  private final Road road;
  private final Grid grid;
  private final LineForces forces;
  private final double timeUnit;

  /**
   * @param timeUnitS time over an element that counts as one
   */
  LineProgramme(Road road, Grid grid, LineForces forces, double timeUnitS) {
    this.road = road;
    this.grid = grid;
    this.forces = forces;
    this.timeUnit = timeUnitS;
  }

  @Override
  public int unknowns() {
    return 2 * grid.size();
  }

  @Override
  public int elements() {
    return grid.elements();
  }

  @Override
  public int width() {
    return WIDTH;
  }

  @Override
  public int constraints() {
    return forces.constraints();
  }

  @Override
  public int halfBandwidth() {
    return WIDTH;
  }

  @Override
  public boolean cyclic() {
    return grid.closed();
  }

  @Override
  public int unknown(int element, int place) {
    return place < FIRST_SPEED
        ? 2 * position(element - 1 + place)
        : 2 * position(element + place - FIRST_SPEED) + 1;
  }

  /** At open ends the places that there are not see the end, and count nothing. */
  private int position(int i) {
    int size = grid.size();
    return grid.closed() ? Math.floorMod(i, size) : Math.max(0, Math.min(size - 1, i));
  }

  @Override
  public boolean derive(int element, double[] x, double[] z, Derivatives into) {
    Geometry geometry = new Geometry(element, x);
    double wa = SPEED_SQUARED_UNIT * x[unknown(element, FIRST_SPEED)];
    double wb = SPEED_SQUARED_UNIT * x[unknown(element, FIRST_SPEED + 1)];
    if (!(wa > 0 && wb > 0)) {
      return false;
    }
    LineForces.Spare spare = forces.of(element, z, geometry.variables(wa, wb));
    Jet time = time(geometry.length, wa, wb, spare);
    into.f()[0] = time.value();
    geometry.chain(spare.slopes(time), into.gradient(), 0);
    for (int j = 0; j < spare.spare().length; j++) {
      into.c()[j] = spare.spare()[j];
      geometry.chain(spare.slopes()[j], into.jacobian(), j * WIDTH);
    }
    time.add(-1, spare.weighed());
    geometry.chainSecond(spare.ofVariables(time), into.hessian());
    return Double.isFinite(time.value());
  }

  /** Time over an element, and what turning counts beside. */
  private Jet time(double length, double w, double nextW, LineForces.Spare spare) {
    double v = Math.sqrt(w);
    double nextV = Math.sqrt(nextW);
    double perSpeed = 1 / (v + nextV);
    double alone = 2 * length * perSpeed / timeUnit;
    double turned = spare.turned();
    double calm = CALM / spare.most();
    double time = alone * (1 + CALM * turned * turned);
    double ofTurning = alone * 2 * calm * turned;
    double ofW = -0.5 * perSpeed / v;
    double ofNext = -0.5 * perSpeed / nextV;
    Jet whole = new Jet(LineForces.WITH_FORCES).plus(time);
    whole.slope(LineForces.LENGTH, time / length);
    whole.slope(LineForces.SPEED_SQUARED, time * ofW);
    whole.slope(LineForces.NEXT_SPEED_SQUARED, time * ofNext);
    whole.bend(LineForces.SPEED_SQUARED, LineForces.LENGTH, time / length * ofW);
    whole.bend(LineForces.NEXT_SPEED_SQUARED, LineForces.LENGTH, time / length * ofNext);
    whole.bend(
        LineForces.SPEED_SQUARED, LineForces.SPEED_SQUARED, time * ofW * (2 * ofW - 0.5 / w));
    whole.bend(
        LineForces.NEXT_SPEED_SQUARED,
        LineForces.NEXT_SPEED_SQUARED,
        time * ofNext * (2 * ofNext - 0.5 / nextW));
    whole.bend(LineForces.SPEED_SQUARED, LineForces.NEXT_SPEED_SQUARED, 2 * time * ofW * ofNext);
    whole.slope(LineForces.TURNING, ofTurning);
    whole.bend(LineForces.LENGTH, LineForces.TURNING, ofTurning / length);
    whole.bend(LineForces.SPEED_SQUARED, LineForces.TURNING, ofTurning * ofW);
    whole.bend(LineForces.NEXT_SPEED_SQUARED, LineForces.TURNING, ofTurning * ofNext);
    whole.bend(LineForces.TURNING, LineForces.TURNING, alone * 2 * calm / spare.most());
    return whole;
  }

  /** Curvatures at both ends of an element and its length, with their derivatives by the places. */
  private final class Geometry {
    private final SecondBend bend;
    private final SecondBend nextBend;
    private final double length;

    /** First place that each of the curvatures depends on. */
    private final int bendFrom;

    private final int nextFrom;

    /** Both curvatures and the length by the four offsets. */
    private final double[] byBend = new double[FIRST_SPEED];

    private final double[] byNext = new double[FIRST_SPEED];
    private final double[] byLength = new double[FIRST_SPEED];

    /** Length by the offsets at both ends: own twice, own and next, next twice. */
    private final double ownTwice;

    private final double ownAndNext;
    private final double nextTwice;

    Geometry(int element, double[] x) {
      double[] px = new double[FIRST_SPEED];
      double[] py = new double[FIRST_SPEED];
      double[] nx = new double[FIRST_SPEED];
      double[] ny = new double[FIRST_SPEED];
      for (int p = 0; p < FIRST_SPEED; p++) {
        int position = position(element - 1 + p);
        int i = grid.at(position);
        nx[p] = road.normalXAt(i);
        ny[p] = road.normalYAt(i);
        px[p] = road.xAt(i) + x[2 * position] * nx[p];
        py[p] = road.yAt(i) + x[2 * position] * ny[p];
      }
      // At its ends an open line bends as it does beside them.
      bendFrom = !grid.closed() && element == 0 ? 1 : 0;
      nextFrom = !grid.closed() && element == elements() - 1 ? 0 : 1;
      bend = new SecondBend(px, py, nx, ny, bendFrom);
      nextBend = new SecondBend(px, py, nx, ny, nextFrom);
      for (int a = 0; a < 3; a++) {
        byBend[bendFrom + a] = bend.first[a];
        byNext[nextFrom + a] = nextBend.first[a];
      }
      double ex = px[2] - px[1];
      double ey = py[2] - py[1];
      double climb = forces.climbM(element);
      length = Math.sqrt(ex * ex + ey * ey + climb * climb);
      byLength[1] = -(ex * nx[1] + ey * ny[1]) / length;
      byLength[2] = (ex * nx[2] + ey * ny[2]) / length;
      ownTwice = (1 - byLength[1] * byLength[1]) / length;
      nextTwice = (1 - byLength[2] * byLength[2]) / length;
      ownAndNext = -(nx[1] * nx[2] + ny[1] * ny[2] + byLength[1] * byLength[2]) / length;
    }

    /** The variables of the jets. */
    double[] variables(double w, double nextW) {
      return new double[] {bend.curvature, nextBend.curvature, w, nextW, length};
    }

    /** Derivatives by the jets' variables turned into those by the places. */
    void chain(double[] slope, double[] into, int at) {
      chain(
          slope[LineForces.CURVATURE],
          slope[LineForces.NEXT_CURVATURE],
          slope[LineForces.SPEED_SQUARED],
          slope[LineForces.NEXT_SPEED_SQUARED],
          slope[LineForces.LENGTH],
          into,
          at);
    }

    private void chain(
        double ofBend,
        double ofNext,
        double ofSpeed,
        double ofNextSpeed,
        double ofLength,
        double[] into,
        int at) {
      for (int p = 0; p < FIRST_SPEED; p++) {
        into[at + p] = ofBend * byBend[p] + ofNext * byNext[p] + ofLength * byLength[p];
      }
      into[at + FIRST_SPEED] = SPEED_SQUARED_UNIT * ofSpeed;
      into[at + FIRST_SPEED + 1] = SPEED_SQUARED_UNIT * ofNextSpeed;
    }

    /** The same of the second derivatives. */
    void chainSecond(Jet jet, double[] into) {
      double[] half = new double[LineForces.VARIABLES * WIDTH];
      for (int v = 0; v < LineForces.VARIABLES; v++) {
        chain(
            jet.by(v, LineForces.CURVATURE),
            jet.by(v, LineForces.NEXT_CURVATURE),
            jet.by(v, LineForces.SPEED_SQUARED),
            jet.by(v, LineForces.NEXT_SPEED_SQUARED),
            jet.by(v, LineForces.LENGTH),
            half,
            v * WIDTH);
      }
      for (int q = 0; q < WIDTH; q++) {
        double ofBend = half[LineForces.CURVATURE * WIDTH + q];
        double ofNext = half[LineForces.NEXT_CURVATURE * WIDTH + q];
        double ofLength = half[LineForces.LENGTH * WIDTH + q];
        for (int p = 0; p < FIRST_SPEED; p++) {
          into[p * WIDTH + q] = ofBend * byBend[p] + ofNext * byNext[p] + ofLength * byLength[p];
        }
        into[FIRST_SPEED * WIDTH + q] =
            SPEED_SQUARED_UNIT * half[LineForces.SPEED_SQUARED * WIDTH + q];
        into[(FIRST_SPEED + 1) * WIDTH + q] =
            SPEED_SQUARED_UNIT * half[LineForces.NEXT_SPEED_SQUARED * WIDTH + q];
      }
      addBend(jet.by(LineForces.CURVATURE), bend, bendFrom, into);
      addBend(jet.by(LineForces.NEXT_CURVATURE), nextBend, nextFrom, into);
      double slope = jet.by(LineForces.LENGTH);
      into[WIDTH + 1] += slope * ownTwice;
      into[WIDTH + 2] += slope * ownAndNext;
      into[2 * WIDTH + 1] += slope * ownAndNext;
      into[2 * WIDTH + 2] += slope * nextTwice;
    }

    private static void addBend(double slope, SecondBend of, int from, double[] into) {
      for (int a = 0; a < 3; a++) {
        for (int b = 0; b < 3; b++) {
          into[(from + a) * WIDTH + from + b] += slope * of.second[a][b];
        }
      }
    }
  }
}
