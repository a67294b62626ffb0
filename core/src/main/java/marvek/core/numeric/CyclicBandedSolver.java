package marvek.core.numeric;

/**
 * Direct solver for symmetric positive definite banded systems whose band may wrap round the
 * corners of the matrix, as it does for anything sampled along a closed road.
 *
 * <p>The last {@code w} unknowns (w the half bandwidth) are taken as a border: the rest is an
 * ordinary banded matrix, factored as L·D·Lᵀ; the border is eliminated through its Schur
 * complement. Cost is O(n·w²), without fill-in. (Golub & Van Loan, <i>Matrix Computations</i>, 4th
 * ed., 4.3 and 4.4, from memory.)
 *
 * <p>Single use per matrix: set the entries, {@link #factor()}, then {@link #solve(double[])} as
 * often as wanted; {@link #keep()} before it for another try.
 */
public final class CyclicBandedSolver {
  private final int n;
  private final int halfWidth;
  private final boolean cyclic;
  private final int core;
  private final double[] band;
  private final double[] border;
  private final double[] corner;

  /** As it was when it was kept: band, border and corner one behind the other. */
  private double[] kept = {};

  /**
   * @param n number of unknowns; where the band wraps round, more than twice the half bandwidth
   * @param halfWidth number of diagonals above the main one
   * @param cyclic whether entry (i, j) wraps round modulo n
   */
  public CyclicBandedSolver(int n, int halfWidth, boolean cyclic) {
    if (n < 1 || cyclic && n <= 2 * halfWidth + 1) {
      throw new IllegalArgumentException(
          "n (" + n + ") must exceed twice the half bandwidth (" + halfWidth + ") plus one");
    }
    this.n = n;
    this.halfWidth = halfWidth;
    this.cyclic = cyclic;
    this.core = cyclic ? n - halfWidth : n;
    this.band = new double[core * (halfWidth + 1)];
    this.border = cyclic ? new double[halfWidth * core] : new double[0];
    this.corner = cyclic ? new double[halfWidth * halfWidth] : new double[0];
  }

  /** Sets all entries to zero so that the storage can be used again. */
  public void clear() {
    java.util.Arrays.fill(band, 0);
    java.util.Arrays.fill(border, 0);
    java.util.Arrays.fill(corner, 0);
  }

  /**
   * Adds to entry (i, j) and, by symmetry, (j, i). Call it once per unordered pair; indices must be
   * within the band (cyclically, if the system is cyclic).
   */
  public void add(int i, int j, double value) {
    int high = Math.max(i, j);
    int low = Math.min(i, j);
    if (high < core) {
      band[high * (halfWidth + 1) + (high - low)] += value;
    } else if (low < core) {
      border[(high - core) * core + low] += value;
    } else {
      corner[(high - core) * halfWidth + (low - core)] += value;
      if (high != low) {
        corner[(low - core) * halfWidth + (high - core)] += value;
      }
    }
  }

  /** Keeps the entries as they are, as factoring overwrites them. */
  public void keep() {
    if (kept.length == 0) {
      kept = new double[band.length + border.length + corner.length];
    }
    System.arraycopy(band, 0, kept, 0, band.length);
    System.arraycopy(border, 0, kept, band.length, border.length);
    System.arraycopy(corner, 0, kept, band.length + border.length, corner.length);
  }

  /** Sets the entries to those kept, with a number added all along the diagonal. */
  public void restore(double shift) {
    System.arraycopy(kept, 0, band, 0, band.length);
    System.arraycopy(kept, band.length, border, 0, border.length);
    System.arraycopy(kept, band.length + border.length, corner, 0, corner.length);
    for (int i = 0; i < n; i++) {
      add(i, i, shift);
    }
  }

  /**
   * Factors the matrix in place.
   *
   * @throws ArithmeticException if it is not positive definite to working precision
   */
  public void factor() {
    factorBand();
    if (cyclic) {
      for (int b = 0; b < halfWidth; b++) {
        forwardSubstitute(border, b * core);
      }
      schurComplement();
      factorCorner();
    }
  }

  /** Solves in place: on return {@code rhs} holds the solution. */
  public void solve(double[] rhs) {
    forwardSubstitute(rhs, 0);
    if (cyclic) {
      solveBorder(rhs);
    }
    backSubstitute(rhs);
  }

  private void factorBand() {
    int width = halfWidth + 1;
    for (int i = 0; i < core; i++) {
      int first = Math.max(0, i - halfWidth);
      for (int j = first; j <= i; j++) {
        double sum = band[i * width + (i - j)];
        for (int k = Math.max(first, j - halfWidth); k < j; k++) {
          sum -= band[i * width + (i - k)] * band[j * width + (j - k)] * band[k * width];
        }
        if (j < i) {
          band[i * width + (i - j)] = sum / band[j * width];
        } else {
          if (!(sum > 0)) {
            throw new ArithmeticException("matrix is not positive definite at row " + i);
          }
          band[i * width] = sum;
        }
      }
    }
  }

  private void forwardSubstitute(double[] x, int offset) {
    int width = halfWidth + 1;
    for (int i = 0; i < core; i++) {
      double sum = x[offset + i];
      for (int k = Math.max(0, i - halfWidth); k < i; k++) {
        sum -= band[i * width + (i - k)] * x[offset + k];
      }
      x[offset + i] = sum;
    }
  }

  private void schurComplement() {
    int width = halfWidth + 1;
    for (int b = 0; b < halfWidth; b++) {
      for (int c = 0; c < halfWidth; c++) {
        double sum = corner[b * halfWidth + c];
        for (int i = 0; i < core; i++) {
          sum -= border[b * core + i] * border[c * core + i] / band[i * width];
        }
        corner[b * halfWidth + c] = sum;
      }
    }
  }

  private void factorCorner() {
    for (int i = 0; i < halfWidth; i++) {
      for (int j = 0; j <= i; j++) {
        double sum = corner[i * halfWidth + j];
        for (int k = 0; k < j; k++) {
          sum -= corner[i * halfWidth + k] * corner[j * halfWidth + k];
        }
        if (i == j) {
          if (!(sum > 0)) {
            throw new ArithmeticException("matrix is not positive definite in its border");
          }
          corner[i * halfWidth + i] = Math.sqrt(sum);
        } else {
          corner[i * halfWidth + j] = sum / corner[j * halfWidth + j];
        }
      }
    }
  }

  private void solveBorder(double[] x) {
    int width = halfWidth + 1;
    for (int b = 0; b < halfWidth; b++) {
      double sum = x[core + b];
      for (int i = 0; i < core; i++) {
        sum -= border[b * core + i] * x[i] / band[i * width];
      }
      for (int k = 0; k < b; k++) {
        sum -= corner[b * halfWidth + k] * x[core + k];
      }
      x[core + b] = sum / corner[b * halfWidth + b];
    }
    for (int b = halfWidth - 1; b >= 0; b--) {
      double sum = x[core + b];
      for (int k = b + 1; k < halfWidth; k++) {
        sum -= corner[k * halfWidth + b] * x[core + k];
      }
      x[core + b] = sum / corner[b * halfWidth + b];
    }
  }

  private void backSubstitute(double[] x) {
    int width = halfWidth + 1;
    for (int i = 0; i < core; i++) {
      double sum = x[i];
      for (int b = 0; cyclic && b < halfWidth; b++) {
        sum -= border[b * core + i] * x[core + b];
      }
      x[i] = sum / band[i * width];
    }
    for (int i = core - 1; i >= 0; i--) {
      double sum = x[i];
      for (int k = i + 1; k <= Math.min(core - 1, i + halfWidth); k++) {
        sum -= band[k * width + (k - i)] * x[k];
      }
      x[i] = sum;
    }
  }

  /** Number of unknowns. */
  public int size() {
    return n;
  }
}
