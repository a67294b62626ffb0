package marvek.core.brief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;

/**
 * Where a tenth of a second buys most of the tyres' life. The work into the tyres is taken as force
 * times slip, and slip, which no model on a path knows, as the share of the grip that is asked for:
 * {@code ∫ F·(F / F_max) dσ}. That is a proxy: it ranks corners, it is no wear in millimetres.
 *
 * @param workShare share of the lap's work that this corner and the straight after it do
 * @param cuts what leaving grip unused saves and costs, the smallest first
 */
public record TyreSaving(int corner, double workShare, List<Cut> cuts) {
  public TyreSaving {
    cuts = List.copyOf(cuts);
  }

  /**
   * Some grip left unused.
   *
   * @param lessGrip share of the grip that is left, 0.02 to 0.08
   * @param savedShare of the lap's work
   * @param lostS over the corner and the straight after it
   */
  public record Cut(double lessGrip, double savedShare, double lostS) {
    /** Share of the lap's work that a tenth of a second buys; huge where it costs nothing. */
    public double savedPerTenth() {
      return 0.1 * savedShare / Math.max(lostS, 1e-3);
    }
  }

  /** 2 to 8 %: a car two to eight per cent off its limit (own assumption). */
  private static final double[] CUTS = {0.02, 0.04, 0.06, 0.08};

  /** The cut that corners are ranked by, see {@link Purpose#SAVING_LESS_GRIP}. */
  private static final int RANKED_BY = 1;

  /** The corners, those first where a tenth buys most. All are driven with less grip at once. */
  public static List<TyreSaving> of(Reference.Basis basis, Conditions conditions, Reference base) {
    List<CornerPage> pages = base.modelPages();
    double[][] work = new double[CUTS.length + 1][];
    double[][] time = new double[CUTS.length + 1][];
    double wholeMu = basis.vehicle().tyre().muLateral() * conditions.gripFactor();
    for (int c = 0; c <= CUTS.length; c++) {
      double used = conditions.gripUsed() * (c == 0 ? 1 : 1 - CUTS[c - 1]);
      Lap lap =
          SpeedProfile.solve(
              basis.path(), basis.vehicle(), conditions.withGripUsed(Math.max(0.3, used)));
      work[c] = workByCorner(lap, pages, wholeMu);
      time[c] = timeByCorner(lap, pages);
    }
    double whole = 0;
    for (double part : work[0]) {
      whole += part;
    }
    List<TyreSaving> savings = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      List<Cut> cuts = new ArrayList<>();
      for (int c = 1; c <= CUTS.length; c++) {
        double saved = (work[0][p] - work[c][p]) / whole;
        cuts.add(new Cut(CUTS[c - 1], saved, time[c][p] - time[0][p]));
      }
      savings.add(new TyreSaving(pages.get(p).corner(), work[0][p] / whole, cuts));
    }
    savings.sort(
        Comparator.comparingDouble((TyreSaving s) -> -s.cuts.get(RANKED_BY).savedPerTenth()));
    return savings;
  }

  private interface PerSample {
    double at(int i);
  }

  private static double[] workByCorner(Lap lap, List<CornerPage> pages, double wholeMu) {
    return sumByCorner(lap, pages, i -> workAt(lap, i, wholeMu));
  }

  private static double[] timeByCorner(Lap lap, List<CornerPage> pages) {
    return sumByCorner(lap, pages, i -> lap.path().elementAt(i) / lap.speedAt(i));
  }

  /** Force times the share of the whole grip that it asks for, over one element. */
  private static double workAt(Lap lap, int i, double wholeMu) {
    double w = lap.speedAt(i) * lap.speedAt(i);
    double side = lap.forces().massKg() * lap.lateralAccelerationAt(i);
    double force = Math.hypot(side, lap.tyreForceAt(i));
    double most = wholeMu * Math.max(1, lap.forces().normalN(i, w));
    return force * force / most * lap.path().elementAt(i);
  }

  /** Sums from each corner's beginning to the next one's. */
  private static double[] sumByCorner(Lap lap, List<CornerPage> pages, PerSample value) {
    Road road = lap.path().road();
    double[] sums = new double[pages.size()];
    for (int p = 0; p < pages.size(); p++) {
      int from = road.indexOf(CornerTime.beginsAtM(pages.get(p), road));
      int to =
          p + 1 < pages.size() || road.closed()
              ? road.indexOf(CornerTime.beginsAtM(pages.get((p + 1) % pages.size()), road))
              : road.size() - 1;
      for (int i = from; i != to; i = road.wrap(i + 1)) {
        sums[p] += value.at(i);
      }
    }
    return sums;
  }
}
