package marvek.core.beside;

import java.util.ArrayList;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.laps.AlongLap;
import marvek.core.say.Sentence;

/**
 * Two laps beside each other, station by station: how far the first is behind the second. Both are
 * read at the same stations of one road. Where one of them was not recorded, or ran on another road
 * between two stations, nothing is gained and nothing lost: what each lost on the stretches that
 * both drove adds up over the lap.
 */
public final class LapsBeside {
  /**
   * Between two stations a time that misses the one of the speed by this factor is of another way:
   * of another layout, of the pits, or of a hole in the recording.
   */
  private static final double ANOTHER_WAY = 1.6;

  /** A car that is nearly standing has a time of its own [m/s]. */
  private static final double STANDING_MPS = 4;

  private final AlongLap first;
  private final AlongLap second;
  private final double lengthM;
  private final double[] behindS;
  private final boolean[] both;

  /**
   * @param lengthM of the road
   * @throws InvalidValueException if they are not read at the same stations
   */
  public LapsBeside(AlongLap first, AlongLap second, double lengthM) {
    if (first.size() != second.size() || first.stepM() != second.stepM()) {
      throw new InvalidValueException(
          "laps",
          Sentence.of("refused.places-differ", "first", first.size(), "second", second.size()));
    }
    this.first = first;
    this.second = second;
    this.lengthM = lengthM;
    this.behindS = new double[first.size()];
    this.both = new boolean[first.size() - 1];
    for (int k = 0; k < both.length; k++) {
      both[k] = isDriven(first, k) && isDriven(second, k);
      behindS[k + 1] = behindS[k] + (both[k] ? stepS(first, k) - stepS(second, k) : 0);
    }
  }

  /**
   * A stretch of the lap, a corner's or a sector's.
   *
   * @param fromM on the lap, 0 to the road's length
   * @param toM behind it
   * @param behindS what the first lost on it against the second; negative for a gain
   */
  public record Stretch(double fromM, double toM, double behindS) {}

  public int size() {
    return first.size();
  }

  /** What the first has lost to the second up to a station [s]. */
  public double behindAt(int k) {
    return behindS[k];
  }

  /** Whether both drove from this station to the next. */
  public boolean isBothFrom(int k) {
    return k < both.length && both[k];
  }

  /** The same at any station of the lap. */
  public double behindAtM(double stationM) {
    int k = Math.min(size() - 1, first.indexOf(stationM));
    double beyond = Math.min(stationM, lengthM) - first.stationAt(k);
    if (k < both.length) {
      return behindS[k] + beyond / first.stepM() * (behindS[k + 1] - behindS[k]);
    }
    // The rest of the way to the line is shorter than a step.
    boolean known = k > 0 && both[k - 1];
    return behindS[k] + (known ? beyond / first.speedAt(k) - beyond / second.speedAt(k) : 0);
  }

  /** The lap parted at stations that grow; the parts add up to the whole. */
  public List<Stretch> parted(List<Double> atM) {
    List<Stretch> parts = new ArrayList<>();
    double from = 0;
    for (double to : atM) {
      parts.add(between(from, to));
      from = to;
    }
    parts.add(between(from, lengthM));
    return parts;
  }

  /** One stretch; one that ends before it begins runs over the line. */
  public Stretch between(double fromM, double toM) {
    double lost = behindAtM(toM) - behindAtM(fromM);
    return new Stretch(fromM, toM, toM >= fromM ? lost : lost + behindAtM(lengthM));
  }

  /** The stretches that only one of them drove, or none; empty for two whole laps of one road. */
  public List<Stretch> notShared() {
    List<Stretch> apart = new ArrayList<>();
    int begun = -1;
    for (int k = 0; k <= both.length; k++) {
      boolean shared = k == both.length || both[k];
      if (!shared && begun < 0) {
        begun = k;
      } else if (shared && begun >= 0) {
        double to = k == both.length ? lengthM : first.stationAt(k);
        apart.add(new Stretch(first.stationAt(begun), to, 0));
        begun = -1;
      }
    }
    return apart;
  }

  private static double stepS(AlongLap lap, int k) {
    return lap.timeAt(k + 1) - lap.timeAt(k);
  }

  /** Whether a lap went from one station to the next, by its time and by its speed alike. */
  private static boolean isDriven(AlongLap lap, int k) {
    double seconds = stepS(lap, k);
    double speed = (lap.speedAt(k) + lap.speedAt(k + 1)) / 2;
    if (!(seconds > 0)) {
      return false;
    }
    double byTime = lap.stepM() / seconds;
    boolean slow = Math.max(byTime, speed) < STANDING_MPS;
    // A speed that is missing says nothing against the time.
    return slow
        || Double.isNaN(speed)
        || (byTime < ANOTHER_WAY * speed && speed < ANOTHER_WAY * byTime);
  }
}
