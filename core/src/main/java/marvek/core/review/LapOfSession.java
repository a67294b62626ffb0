package marvek.core.review;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.cause.Cause;
import marvek.core.cause.CornerAccount;
import marvek.core.laps.CornerReading;

/**
 * A lap that counts, with what it did.
 *
 * @param session by whose name it is told
 * @param number counted from 1 in its recording
 * @param corners in the order of the pages
 * @param accounts what it lost there, in the same order
 */
public record LapOfSession(
    String session, int number, List<CornerReading> corners, List<CornerAccount> accounts) {
  /** Farther from the inside edge than the page by so much the apex was not made [m]. */
  private static final double MISSED_M = 1.0;

  /** Nearer to the outside edge than the page by so much the car ran wide [m]. */
  private static final double WIDE_M = 0.9;

  /** Several laps in words: {@code Practice of 2026-05-02, laps 2 to 5, 8}. */
  static List<String> named(List<LapOfSession> laps) {
    Map<String, List<Integer>> numbers = new LinkedHashMap<>();
    laps.forEach(
        lap -> numbers.computeIfAbsent(lap.session(), s -> new ArrayList<>()).add(lap.number()));
    List<String> words = new ArrayList<>();
    numbers.forEach((session, of) -> words.add(session + ", lap" + numbered(of)));
    return words;
  }

  private static String numbered(List<Integer> numbers) {
    List<String> runs = new ArrayList<>();
    for (int k = 0; k < numbers.size(); k++) {
      int from = numbers.get(k);
      while (k + 1 < numbers.size() && numbers.get(k + 1) == numbers.get(k) + 1) {
        k++;
      }
      int to = numbers.get(k);
      runs.add(to > from + 1 ? from + " to " + to : to > from ? from + ", " + to : "" + from);
    }
    return (numbers.size() > 1 ? "s " : " ") + String.join(", ", runs);
  }

  public LapOfSession {
    corners = List.copyOf(corners);
    accounts = List.copyOf(accounts);
  }

  /** What shows that a corner was entered with too much, where it costs so much [s]. */
  private static final Set<Cause> TOO_MUCH =
      EnumSet.of(Cause.SLID_IN, Cause.EARLY_APEX, Cause.HELD_TOO_LONG);

  private static final double TOO_MUCH_S = 0.05;

  /**
   * Whether a corner was made: at the apex, on the road, no wheel locked, and nothing in its
   * account that says it was entered with too much. What was not recorded does not speak against
   * it.
   *
   * @param page the page's own lap in the corner, read the same way
   */
  public boolean made(int p, CornerReading page) {
    CornerReading lap = corners.get(p);
    boolean locked = Boolean.TRUE.equals(lap.braking().locked());
    return !locked
        && !(minus(lap.way().insideM(), page.way().insideM()) > MISSED_M)
        && !(minus(page.way().outsideM(), lap.way().outsideM()) > WIDE_M)
        && accounts.get(p).parts().stream()
            .noneMatch(part -> TOO_MUCH.contains(part.cause()) && part.seconds() >= TOO_MUCH_S);
  }

  private static double minus(Double a, Double b) {
    return a == null || b == null ? Double.NaN : a - b;
  }
}
