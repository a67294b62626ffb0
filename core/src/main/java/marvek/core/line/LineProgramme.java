package marvek.core.line;

import marvek.core.circuit.Road;
import marvek.core.numeric.ElementProgramme;
import marvek.core.numeric.Jet;

/**
 * Offsets and speeds of the line of least time along a road, as one programme: unknown are the
 * offset and the square of the speed at each sample, the sum is the time, and each element between
 * two positions has the constraints of {@link LineForces} at its middle.
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
  private final LineForces forces;
  private final double timeUnit;

  /**
   * @param timeUnitS time over an element that counts as one
   */
  LineProgramme(Road road, LineForces forces, double timeUnitS) {
    this.road = road;
    this.forces = forces;
    this.timeUnit = timeUnitS;
  }

  @Override
  public int unknowns() {
    return 2 * road.size();
  }

  @Override
  public int elements() {
    return road.closed() ? road.size() : road.size() - 1;
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
    return road.closed();
  }

  @Override
  public int unknown(int element, int place) {
    return place < FIRST_SPEED
        ? 2 * position(element - 1 + place)
        : 2 * position(element + place - FIRST_SPEED) + 1;
  }

  /** At the ends of an open road the places that there are not see the end, and count nothing. */
  private int position(int i) {
    return road.closed() ? road.wrap(i) : Math.max(0, Math.min(road.size() - 1, i));
  }

  @Override
  public boolean derive(int element, double[] x, double[] z, Derivatives into) {
    Geometry geometry = new Geometry(element, x);
    double[] slope = new double[Jet.VARIABLES];
    double wa = SPEED_SQUARED_UNIT * x[unknown(element, FIRST_SPEED)];
    double wb = SPEED_SQUARED_UNIT * x[unknown(element, FIRST_SPEED + 1)];
    if (!(wa > 0 && wb > 0)) {
      return false;
    }
    Jet w = Jet.variable(LineForces.SPEED_SQUARED, wa);
    Jet nextW = Jet.variable(LineForces.NEXT_SPEED_SQUARED, wb);
    Jet length = Jet.variable(LineForces.LENGTH, geometry.length);
    Jet kappa = Jet.variable(LineForces.CURVATURE, geometry.curvature[0]);
    Jet nextKappa = Jet.variable(LineForces.NEXT_CURVATURE, geometry.curvature[1]);
    LineForces.Spare spare = forces.of(element, z, kappa, nextKappa, w, nextW, length);
    Jet turned = forces.turned(element, kappa, nextKappa, w, nextW, length);
    Jet time =
        length
            .times(2 / timeUnit)
            .over(w.sqrt().plus(nextW.sqrt()))
            .times(turned.square().times(CALM).plus(1));
    into.f()[0] = time.value();
    for (int v = 0; v < Jet.VARIABLES; v++) {
      slope[v] = time.by(v);
    }
    geometry.chain(slope, into.gradient(), 0);
    for (int j = 0; j < spare.spare().length; j++) {
      into.c()[j] = spare.spare()[j];
      geometry.chain(spare.slopes()[j], into.jacobian(), j * WIDTH);
    }
    Jet lagrangian = time.minus(spare.weighed());
    geometry.chainSecond(lagrangian, into.hessian());
    return Double.isFinite(lagrangian.value());
  }

  /** Curvatures at both ends of an element and its length, with their derivatives by the places. */
  private final class Geometry {
    private final double[] curvature = new double[2];
    private double length;

    /** What the jets' variables are by the places: row by row. */
    private final double[][] by = new double[Jet.VARIABLES][WIDTH];

    private final double[][][] second = new double[Jet.VARIABLES][][];

    Geometry(int element, double[] x) {
      double[] px = new double[4];
      double[] py = new double[4];
      double[] nx = new double[4];
      double[] ny = new double[4];
      for (int p = 0; p < 4; p++) {
        int i = position(element - 1 + p);
        nx[p] = road.normalXAt(i);
        ny[p] = road.normalYAt(i);
        px[p] = road.xAt(i) + x[2 * i] * nx[p];
        py[p] = road.yAt(i) + x[2 * i] * ny[p];
      }
      boolean first = !road.closed() && element == 0;
      boolean last = !road.closed() && element == elements() - 1;
      // At its ends an open line bends as it does beside them.
      bend(0, first ? 1 : 0, px, py, nx, ny);
      bend(1, last ? 0 : 1, px, py, nx, ny);
      lengthOf(forces.climbM(element), px, py, nx, ny);
      by[LineForces.SPEED_SQUARED][FIRST_SPEED] = SPEED_SQUARED_UNIT;
      by[LineForces.NEXT_SPEED_SQUARED][FIRST_SPEED + 1] = SPEED_SQUARED_UNIT;
    }

    private void bend(int end, int from, double[] px, double[] py, double[] nx, double[] ny) {
      SecondBend bend =
          new SecondBend(three(px, from), three(py, from), three(nx, from), three(ny, from));
      int variable = end == 0 ? LineForces.CURVATURE : LineForces.NEXT_CURVATURE;
      curvature[end] = bend.curvature;
      second[variable] = new double[WIDTH][WIDTH];
      for (int a = 0; a < 3; a++) {
        by[variable][from + a] = bend.first[a];
        for (int b = 0; b < 3; b++) {
          second[variable][from + a][from + b] = bend.second[a][b];
        }
      }
    }

    private static double[] three(double[] four, int from) {
      return new double[] {four[from], four[from + 1], four[from + 2]};
    }

    private void lengthOf(double climb, double[] px, double[] py, double[] nx, double[] ny) {
      double ex = px[2] - px[1];
      double ey = py[2] - py[1];
      length = Math.sqrt(ex * ex + ey * ey + climb * climb);
      double own = -(ex * nx[1] + ey * ny[1]);
      double next = ex * nx[2] + ey * ny[2];
      double cross = -(nx[1] * nx[2] + ny[1] * ny[2]);
      by[LineForces.LENGTH][1] = own / length;
      by[LineForces.LENGTH][2] = next / length;
      double[][] h = new double[WIDTH][WIDTH];
      double cube = length * length * length;
      h[1][1] = 1 / length - own * own / cube;
      h[2][2] = 1 / length - next * next / cube;
      h[1][2] = cross / length - own * next / cube;
      h[2][1] = h[1][2];
      second[LineForces.LENGTH] = h;
    }

    void chain(double[] slope, double[] into, int at) {
      for (int p = 0; p < WIDTH; p++) {
        double sum = 0;
        for (int v = 0; v < Jet.VARIABLES; v++) {
          sum += slope[v] * by[v][p];
        }
        into[at + p] = sum;
      }
    }

    void chainSecond(Jet jet, double[] into) {
      double[][] half = new double[Jet.VARIABLES][WIDTH];
      for (int v = 0; v < Jet.VARIABLES; v++) {
        for (int p = 0; p < WIDTH; p++) {
          double sum = 0;
          for (int u = 0; u < Jet.VARIABLES; u++) {
            sum += jet.by(v, u) * by[u][p];
          }
          half[v][p] = sum;
        }
      }
      for (int p = 0; p < WIDTH; p++) {
        for (int q = 0; q < WIDTH; q++) {
          double sum = 0;
          for (int v = 0; v < Jet.VARIABLES; v++) {
            sum += by[v][p] * half[v][q];
            if (second[v] != null) {
              sum += jet.by(v) * second[v][p][q];
            }
          }
          into[p * WIDTH + q] = sum;
        }
      }
    }
  }
}
