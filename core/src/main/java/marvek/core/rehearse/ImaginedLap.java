package marvek.core.rehearse;

import java.util.ArrayList;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;

/**
 * A lap that is driven in the head against the clock: a tap at the start line, at each brake point,
 * and at the line again. An action that is well known takes as long in the head as in the car;
 * where it runs fast something is left out, where it runs slow something has to be searched (mental
 * chronometry: A. Guillot, C. Collet, <i>Duration of mentally simulated movement: a review</i>,
 * Journal of Motor Behavior 37, 2005; from memory).
 *
 * @param parts from tap to tap
 */
public record ImaginedLap(List<Part> parts) {
  /** A lap in the head is no longer than this many times the real one. */
  private static final double LONGEST = 5;

  public ImaginedLap {
    parts = List.copyOf(parts);
  }

  /**
   * What one taps at.
   *
   * @param corner whose brake point it is; 0 for the line
   * @param atS of the reference lap
   */
  public record Beat(int corner, double atS) {}

  /**
   * From one tap to the next.
   *
   * @param corner whose brake point it ends at; 0 for the line
   * @param referenceS as the pages are driven
   * @param imaginedS as it was tapped
   */
  public record Part(int corner, double referenceS, double imaginedS) {
    /** Imagined over reference: above 1 it ran slow. */
    public double pace() {
      return imaginedS / referenceS;
    }
  }

  /**
   * The beats of a book's lap: its brake points in the order of the lap, and the line at its end.
   */
  public static List<Beat> beats(Lap lap, List<CornerPage> pages) {
    Road road = lap.path().road();
    List<Beat> beats = new ArrayList<>();
    for (CornerPage page : pages) {
      Double at = page.brake().atM();
      if (at != null) {
        beats.add(new Beat(page.corner(), lap.timeAt(road.indexOf(at))));
      }
    }
    // The first corner's brake point may lie before the line: then it is the lap's last one.
    beats.sort(java.util.Comparator.comparingDouble(Beat::atS));
    beats.add(new Beat(0, lap.timeS()));
    return beats;
  }

  /**
   * Lays taps beside the beats.
   *
   * @param tapsS seconds since the tap at the start line, one for each beat, growing
   * @throws InvalidValueException if one is missing or too many, or they do not grow
   */
  public static ImaginedLap of(List<Beat> beats, List<Double> tapsS) {
    if (tapsS.size() != beats.size()) {
      throw new InvalidValueException(
          "taps_s",
          Sentence.of("refused.taps-count", "given", tapsS.size(), "wanted", beats.size()));
    }
    List<Part> parts = new ArrayList<>();
    double before = 0;
    double beat = 0;
    for (int k = 0; k < beats.size(); k++) {
      double tap = tapsS.get(k);
      if (!(tap > before) || tap > LONGEST * beats.get(beats.size() - 1).atS()) {
        throw new InvalidValueException(
            "taps_s", k, Sentence.of("refused.tap-order", "given", tap, "before", before));
      }
      parts.add(new Part(beats.get(k).corner(), beats.get(k).atS() - beat, tap - before));
      before = tap;
      beat = beats.get(k).atS();
    }
    return new ImaginedLap(parts);
  }

  /** How long it took in the head [s]. */
  public double imaginedS() {
    return parts.stream().mapToDouble(Part::imaginedS).sum();
  }

  /** How long it takes [s]. */
  public double referenceS() {
    return parts.stream().mapToDouble(Part::referenceS).sum();
  }

  /** Scatter of the totals of several laps: their standard deviation [s]; 0 of one. */
  public static double scatterS(List<Double> totalsS) {
    if (totalsS.size() < 2) {
      return 0;
    }
    double mean = totalsS.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    double squares = totalsS.stream().mapToDouble(t -> (t - mean) * (t - mean)).sum();
    return Math.sqrt(squares / (totalsS.size() - 1));
  }
}
