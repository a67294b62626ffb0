package marvek.core.brief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import marvek.core.page.CornerPage;
import marvek.core.page.Stakes;

/**
 * A corner to work on: without laps, what is at stake there times how little it is known.
 *
 * @param stakesS what the usual slips cost there together
 * @param doubt 0 (proven) to 1 (never driven)
 * @param why the largest slip
 */
public record Focus(int corner, double stakesS, double doubt, Slip why, double slipS) {
  /** The slips that stakes are run for. */
  public enum Slip {
    BRAKE_EARLY,
    SLOW_APEX,
    LATE_THROTTLE,
    OFF_THE_APEX,
    SLOW_EXIT
  }

  /** Corners that one can think of in a session (common practice: two or three). */
  public static final int CORNERS = 3;

  /** Confidence is given from 1 to 5. */
  private static final double MOST_CONFIDENCE = 5;

  /** Even a proven corner is worth a little thought, so that stakes decide between such. */
  private static final double LEAST_DOUBT = 0.05;

  /**
   * What to work on, most worth first.
   *
   * @param stakes in the order of the pages
   * @param toCheck corners that are to be checked on track
   */
  public static List<Focus> of(List<CornerPage> pages, List<Stakes> stakes, Set<Integer> toCheck) {
    List<Focus> all = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      CornerPage page = pages.get(p);
      all.add(of(page, stakes.get(p), toCheck.contains(page.corner())));
    }
    all.sort(Comparator.comparingDouble(f -> -f.weight()));
    return List.copyOf(all.subList(0, Math.min(CORNERS, all.size())));
  }

  /** What decides the order. */
  public double weight() {
    return stakesS * doubt;
  }

  private static Focus of(CornerPage page, Stakes stakes, boolean toCheck) {
    Double[] slips = {
      stakes.brake5mEarlyS(),
      stakes.apex2kmhSlowerS(),
      stakes.throttle10mLateS(),
      stakes.apexHalfMetreOffS(),
      stakes.exit1kmhSlowerS()
    };
    int largest = 0;
    for (int s = 1; s < slips.length; s++) {
      largest = seconds(slips[s]) > seconds(slips[largest]) ? s : largest;
    }
    return new Focus(
        page.corner(),
        stakes.weightS(),
        doubt(page.confidence(), toCheck),
        Slip.values()[largest],
        seconds(slips[largest]));
  }

  private static double seconds(Double slip) {
    return slip == null ? 0 : slip;
  }

  /** A page that is to be checked, or that nobody has said anything of, is all doubt. */
  static double doubt(Integer confidence, boolean toCheck) {
    if (toCheck || confidence == null) {
      return 1;
    }
    return Math.max(LEAST_DOUBT, 1 - confidence / MOST_CONFIDENCE);
  }
}
