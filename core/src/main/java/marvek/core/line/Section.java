package marvek.core.line;

import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadSurface;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;

/**
 * The part of a lap that a change of line on a stretch can touch: from a place before it at which
 * grip decides the speed, whatever came before, to such a place after it. The model runs on it as
 * on a road of its own, at a fraction of a lap's price.
 */
final class Section {
  /**
   * So near to the limit it is the limit that decides the speed; the fastest line, braked into its
   * apex and driven out of it, comes no nearer.
   */
  private static final double AT_LIMIT = 0.998;

  /** The line stays as it is for at least so long at both ends. */
  private static final double LEAST_MARGIN_M = 20;

  private final Lap whole;
  private final int first;
  private final Lap present;
  private final Corridor corridor;

  private Section(Lap whole, int first, Lap present, Corridor corridor) {
    this.whole = whole;
    this.first = first;
    this.present = present;
    this.corridor = corridor;
  }

  /** The section around a stretch of the whole lap's road. */
  static Section around(Lap whole, Corridor corridor, Stretch stretch) {
    Road road = whole.path().road();
    int begin = stretch.at(0);
    int before = decided(whole, begin, -1);
    int after = decided(whole, stretch.at(stretch.size() - 1), 1);
    int count = before + stretch.size() + after;
    if (count >= road.size()) {
      return new Section(whole, 0, whole, corridor);
    }
    int first = road.wrap(begin - before);
    Road part = road.part(first, count);
    RoadSurface surface = whole.path().surface().part(first, count);
    double[] offsets = new double[count];
    for (int k = 0; k < count; k++) {
      offsets[k] = whole.path().offsetAt(road.wrap(first + k));
    }
    Lap present =
        SpeedProfile.solve(Path.at(part, offsets, surface), whole.vehicle(), whole.conditions());
    return new Section(whole, first, present, corridor.part(road, first, count));
  }

  /** Samples from one on to a place where grip decides; all there are at most. */
  private static int decided(Lap whole, int from, int sense) {
    Road road = whole.path().road();
    int most = road.closed() ? road.size() : sense < 0 ? from : road.size() - 1 - from;
    int k = Math.min(most, road.samples(LEAST_MARGIN_M));
    while (k < most) {
      int i = road.wrap(from + sense * k);
      if (whole.speedAt(i) >= AT_LIMIT * whole.limitSpeedAt(i)) {
        return k;
      }
      k++;
    }
    return most;
  }

  /** The lap of the present line on the section alone. */
  Lap present() {
    return present;
  }

  Corridor corridor() {
    return corridor;
  }

  /** A stretch of the whole road as one of the section's. */
  Stretch here(Stretch stretch) {
    if (present == whole) {
      return stretch;
    }
    int from = Math.floorMod(stretch.at(0) - first, whole.path().road().size());
    return Stretch.between(present.path().road(), from, from + stretch.size() - 1);
  }

  /** Station of the whole lap at a sample of the section. */
  double stationAt(int sample) {
    Road road = whole.path().road();
    return road.stationAt(road.wrap(first + sample));
  }

  /** Sample of the whole lap at which the section begins. */
  int first() {
    return first;
  }

  /** Drives other offsets on the section. */
  Lap driven(double[] offsets) {
    Path path = Path.at(present.path().road(), offsets, present.path().surface());
    return SpeedProfile.solve(path, whole.vehicle(), whole.conditions());
  }

  /** The section's part of the whole lap's offsets. */
  double[] part(double[] offsets) {
    double[] part = new double[present.size()];
    for (int k = 0; k < part.length; k++) {
      part[k] = offsets[whole.path().road().wrap(first + k)];
    }
    return part;
  }

  /** The offsets of the whole line with those of a lap on the section in their places. */
  double[] put(Lap onSection) {
    double[] offsets = whole.path().offsets();
    for (int k = 0; k < onSection.size(); k++) {
      offsets[whole.path().road().wrap(first + k)] = onSection.path().offsetAt(k);
    }
    return offsets;
  }
}
