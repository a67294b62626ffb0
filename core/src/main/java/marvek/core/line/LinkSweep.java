package marvek.core.line;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import marvek.core.Require;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;

/**
 * Two linked corners driven through every position across the road at the link between them: what
 * giving up the first apex buys in the second.
 */
public final class LinkSweep {
  private final Section section;
  private final Stretch stretch;
  private final Bounds road;
  private final Turn first;
  private final Turn second;
  private final int secondBegins;
  private final int link;
  private final boolean leastTime;

  private LinkSweep(
      Lap present, Corridor corridor, List<Corner> corners, int i, boolean leastTime) {
    this.leastTime = leastTime;
    Turn a = Turn.of(corners, i, present);
    Turn b = Turn.of(corners, (i + 1) % corners.size(), present);
    Road on = present.path().road();
    int begin = a.stretch().at(0);
    int length = on.ahead(begin, b.stretch().at(b.stretch().size() - 1));
    Stretch both = Stretch.between(on, begin, begin + length);
    section = Section.around(present, corridor, both);
    stretch = section.here(both);
    road = Bounds.of(stretch, section.corridor(), section.present().path().offsets());
    first = a;
    second = b;
    secondBegins = on.ahead(begin, b.stretch().at(0));
    int middle = (a.to() + secondBegins + b.from()) / 2;
    link = Math.max(3, Math.min(stretch.size() - 4, middle));
  }

  /**
   * One way through.
   *
   * @param offsetM across the road at the link, positive to the left
   * @param lostS against the present line, over both corners and what follows
   * @param firstApexOffM how far the line stays off the innermost that it can reach at the first
   *     apex
   * @param lineM its offsets, one every step from the sweep's first station
   */
  public record Way(
      double offsetM,
      double lostS,
      double firstApexOffM,
      double secondApexOffM,
      double firstLowestMps,
      double secondLowestMps,
      double[] lineM) {
    public Way {
      lineM = lineM.clone();
    }

    @Override
    public double[] lineM() {
      return lineM.clone();
    }
  }

  /**
   * All ways, from the right edge to the left.
   *
   * @param linkM station of the link
   * @param presentOffsetM where the present line passes it
   * @param fromM station of each line's first offset
   */
  public record Result(
      double linkM, double presentOffsetM, double fromM, double stepM, List<Way> ways) {
    public Result {
      ways = List.copyOf(ways);
    }

    /** The quickest way. */
    public Way best() {
      return ways.stream().min(java.util.Comparator.comparingDouble(Way::lostS)).orElseThrow();
    }
  }

  /**
   * Sweeps the link after a corner.
   *
   * @param index of the first of the two corners
   * @param positions number of positions across the road, 3 to 201
   * @param leastTime whether each way is the line of least time through its position, as the
   *     present one is; else the smooth one
   */
  public static Result of(
      Lap present,
      Corridor corridor,
      List<Corner> corners,
      int index,
      int positions,
      boolean leastTime) {
    Require.within("positions", positions, 3, 201);
    return new LinkSweep(present, corridor, corners, index, leastTime).sweep(positions);
  }

  private Result sweep(int positions) {
    // Two halves, each from where the smooth line passes outward, so that a way begins from its
    // neighbour's line and none from a kink.
    double[] free =
        SmoothLine.along(stretch, road, null, stretch.taken(section.present().path().offsets()));
    double share = (free[link] - road.lowAt(link)) / (road.highAt(link) - road.lowAt(link));
    int middle = (int) Math.round(Math.max(0, Math.min(1, share)) * (positions - 1));
    Sought first = sought(positions, middle, free);
    List<List<Way>> halves =
        IntStream.of(-1, 1)
            .parallel()
            .mapToObj(side -> half(positions, middle, side, first.smoothM))
            .toList();
    List<Way> ways = new ArrayList<>(halves.get(0));
    Collections.reverse(ways);
    ways.add(first.way);
    ways.addAll(halves.get(1));
    int at = stretch.at(link);
    double presentOffset = section.present().path().offsetAt(at);
    return new Result(
        section.stationAt(at),
        presentOffset,
        section.stationAt(stretch.at(0)),
        stretch.road().stepM(),
        ways);
  }

  /**
   * A way, and the smooth line through its position.
   *
   * @param smoothM offsets along the stretch
   */
  private record Sought(Way way, double[] smoothM) {}

  /** The ways from the middle outward to one side, without that of the middle. */
  private List<Way> half(int positions, int middle, int side, double[] smoothM) {
    double[] beside = smoothM;
    List<Way> ways = new ArrayList<>();
    for (int p = middle + side; p >= 0 && p < positions; p += side) {
      Sought sought = sought(positions, p, beside);
      beside = sought.smoothM;
      ways.add(sought.way);
    }
    return ways;
  }

  private Sought sought(int positions, int position, double[] besideM) {
    double share = position / (positions - 1.0);
    double offset = road.lowAt(link) + share * (road.highAt(link) - road.lowAt(link));
    Bounds through = road.through(link, offset);
    double[] smoothM = SmoothLine.along(stretch, through, null, besideM);
    Lap smooth = section.driven(stretch.put(section.present().path().offsets(), smoothM));
    return new Sought(way(offset, leastTime ? quickest(through, smooth) : smooth), smoothM);
  }

  private Lap quickest(Bounds through, Lap begun) {
    return FastestLine.along(begun, stretch, through, null, share -> {}).lap();
  }

  private Way way(double offset, Lap lap) {
    double[] along = stretch.taken(lap.path().offsets());
    return new Way(
        offset,
        lap.timeS() - section.present().timeS(),
        apexOff(first, 0, along),
        apexOff(second, secondBegins, along),
        lowest(first, 0, lap),
        lowest(second, secondBegins, lap),
        along);
  }

  private double apexOff(Turn turn, int begins, double[] along) {
    double least = Double.POSITIVE_INFINITY;
    for (int k = begins + turn.from(); k <= begins + turn.to() && k < along.length; k++) {
      double gap = turn.inside() > 0 ? road.highAt(k) - along[k] : along[k] - road.lowAt(k);
      least = Math.min(least, gap);
    }
    return Math.max(0, least);
  }

  private double lowest(Turn turn, int begins, Lap lap) {
    double least = Double.POSITIVE_INFINITY;
    for (int k = begins + turn.from(); k <= begins + turn.to() && k < stretch.size(); k++) {
      least = Math.min(least, lap.speedAt(stretch.at(k)));
    }
    return least;
  }
}
