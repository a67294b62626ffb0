package marvek.core.rehearse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;

/**
 * A lap that comes towards the driver while keys are pressed: each press laid against the page in
 * seconds and metres. What the driver never pressed in the run is not asked of him; what he pressed
 * without reason is counted.
 *
 * @param untilS time in the lap at which the run ended [s]; acts behind it are not scored
 * @param hits every act that is scored, in the order of the lap
 * @param extra presses that belong to no act
 */
public record RunThrough(double untilS, List<Hit> hits, int extra) {
  /** A press farther away than this belongs to no act of its kind (own assumption) [s]. */
  public static final double FARTHEST_S = 2.5;

  /** A press a second for the longest lap. */
  private static final int MOST_PRESSES = 3000;

  public RunThrough {
    hits = List.copyOf(hits);
  }

  /**
   * A key that was pressed.
   *
   * @param atS time in the lap at full speed [s]
   */
  public record Press(Act.Kind kind, double atS) {}

  /**
   * An act and when it was pressed.
   *
   * @param offS later than the page; null if it was missed
   * @param offM farther on than the page; null if it was missed
   */
  public record Hit(Act act, Double offS, Double offM) {
    public boolean missed() {
      return offS == null;
    }
  }

  /**
   * What a corner came to.
   *
   * @param meanM mean distance of the presses that belong to it, whichever way; null without one
   */
  public record CornerScore(int corner, int acts, int missed, Double meanM) {}

  /**
   * Scores a run.
   *
   * @param acts of the lap
   * @param untilS where the run ended; the lap's time if it was whole
   * @throws InvalidValueException if there are no acts, or a press is not of this lap
   */
  public static RunThrough of(Lap lap, List<Act> acts, List<Press> presses, double untilS) {
    check(lap, acts, presses, untilS);
    Set<Act.Kind> used = EnumSet.noneOf(Act.Kind.class);
    presses.forEach(press -> used.add(press.kind()));
    List<Act> asked =
        acts.stream().filter(a -> a.atS() <= untilS && used.contains(a.kind())).toList();
    int[] pressOf = nearest(asked, presses);
    List<Hit> hits = new ArrayList<>();
    int belonging = 0;
    for (int a = 0; a < asked.size(); a++) {
      if (pressOf[a] < 0) {
        hits.add(new Hit(asked.get(a), null, null));
      } else {
        hits.add(hit(lap, asked.get(a), presses.get(pressOf[a])));
        belonging++;
      }
    }
    return new RunThrough(untilS, hits, presses.size() - belonging);
  }

  private static void check(Lap lap, List<Act> acts, List<Press> presses, double untilS) {
    if (acts.isEmpty()) {
      throw new InvalidValueException("acts", Sentence.of("refused.nothing-to-do"));
    }
    if (!(untilS > 0) || untilS > lap.timeS() + FARTHEST_S) {
      throw new InvalidValueException(
          "until_s", Sentence.of("refused.run-until", "given", untilS, "lap", lap.timeS()));
    }
    if (presses.size() > MOST_PRESSES) {
      throw new InvalidValueException(
          "presses",
          Sentence.of("refused.presses-count", "given", presses.size(), "most", MOST_PRESSES));
    }
    for (int k = 0; k < presses.size(); k++) {
      double at = presses.get(k).atS();
      if (!(at >= 0) || at > untilS + FARTHEST_S) {
        throw new InvalidValueException(
            "presses", k, Sentence.of("refused.press-outside", "given", at, "until", untilS));
      }
    }
  }

  private record Pair(int act, int press, double apartS) {}

  /** Pairs the nearest first, so that the order of the presses in the list does not matter. */
  private static int[] nearest(List<Act> acts, List<Press> presses) {
    List<Pair> pairs = new ArrayList<>();
    for (int a = 0; a < acts.size(); a++) {
      for (int p = 0; p < presses.size(); p++) {
        double apart = Math.abs(presses.get(p).atS() - acts.get(a).atS());
        if (acts.get(a).kind() == presses.get(p).kind() && apart <= FARTHEST_S) {
          pairs.add(new Pair(a, p, apart));
        }
      }
    }
    pairs.sort(Comparator.comparingDouble(Pair::apartS));
    int[] pressOf = new int[acts.size()];
    Arrays.fill(pressOf, -1);
    boolean[] taken = new boolean[presses.size()];
    for (Pair pair : pairs) {
      if (pressOf[pair.act()] < 0 && !taken[pair.press()]) {
        pressOf[pair.act()] = pair.press();
        taken[pair.press()] = true;
      }
    }
    return pressOf;
  }

  private static Hit hit(Lap lap, Act act, Press press) {
    double metres = Act.stationAt(lap, press.atS()) - Act.stationAt(lap, act.atS());
    return new Hit(act, press.atS() - act.atS(), metres);
  }

  /** What each corner came to, in the order of their numbers. */
  public List<CornerScore> corners() {
    TreeMap<Integer, List<Hit>> byCorner = new TreeMap<>();
    hits.forEach(
        hit -> byCorner.computeIfAbsent(hit.act().corner(), c -> new ArrayList<>()).add(hit));
    return byCorner.entrySet().stream()
        .map(
            e -> {
              List<Hit> there = e.getValue();
              var pressed = there.stream().filter(hit -> !hit.missed()).toList();
              double mean =
                  pressed.stream().mapToDouble(hit -> Math.abs(hit.offM())).average().orElse(-1);
              return new CornerScore(
                  e.getKey(),
                  there.size(),
                  there.size() - pressed.size(),
                  mean < 0 ? null : Double.valueOf(mean));
            })
        .toList();
  }
}
