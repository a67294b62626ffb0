package marvek.core.line;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * A lap cut where braking begins: what is done to the line in one part costs or gains its time
 * there, but for the speed that it hands on.
 */
final class LapParts {
  /** Parts begin at least so far from each other. */
  private static final double APART_M = 60;

  /** Tyre braking above this begins a part [g]. */
  private static final double BRAKING_G = 0.02;

  private final int[] begins;
  private final int[] part;

  private LapParts(int[] begins, int size) {
    this.begins = begins;
    this.part = new int[size];
    int own = begins.length - 1;
    for (int i = 0; i < size; i++) {
      int next = (own + 1) % begins.length;
      if (i == begins[next]) {
        own = next;
      }
      part[i] = own;
    }
  }

  static LapParts of(Lap lap) {
    Road road = lap.path().road();
    List<Integer> begins = new ArrayList<>();
    if (!road.closed()) {
      begins.add(0);
    }
    int apart = road.samples(APART_M);
    for (int i = 0; i < lap.size(); i++) {
      boolean brakes = lap.brakeGAt(i) <= BRAKING_G && lap.brakeGAt(road.wrap(i + 1)) > BRAKING_G;
      if (brakes && (begins.isEmpty() || i - begins.get(begins.size() - 1) > apart)) {
        begins.add(i);
      }
    }
    if (begins.isEmpty()) {
      begins.add(0);
    }
    return new LapParts(begins.stream().mapToInt(i -> i).toArray(), lap.size());
  }

  int count() {
    return begins.length;
  }

  /** Number of the part in which a sample lies. */
  int partAt(int sample) {
    return part[sample];
  }

  /** Time that a lap takes in a part [s]. */
  double timeOf(Lap lap, int number) {
    int from = begins[number];
    boolean last = number + 1 == begins.length;
    if (last && !lap.path().road().closed()) {
      return lap.timeS() - lap.timeAt(from);
    }
    int to = begins[(number + 1) % begins.length];
    return from == to ? lap.timeS() : lap.timeBetween(from, to);
  }
}
