package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.line.ChosenLine;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Each place in a corner by what makes it that place, asked of every sample that could be it:
 * nothing is searched for here, all that lies there is looked at.
 */
class EventPlacesTest {
  /** A lap with the events of its corners. */
  record Driven(String name, Lap lap, List<CornerEvents> corners) {
    Road road() {
      return lap.path().road();
    }

    IntToDoubleFunction insideGap(CornerEvents at) {
      Road road = road();
      return at.corner().sign() > 0
          ? i -> road.widthLeftAt(i) - lap.path().offsetAt(i)
          : i -> road.widthRightAt(i) + lap.path().offsetAt(i);
    }

    IntToDoubleFunction outsideGap(CornerEvents at) {
      Road road = road();
      return at.corner().sign() > 0
          ? i -> road.widthRightAt(i) + lap.path().offsetAt(i)
          : i -> road.widthLeftAt(i) - lap.path().offsetAt(i);
    }

    double bend(CornerEvents at, int i) {
      return at.corner().sign() * lap.path().curvatureAt(i);
    }

    double tightest(CornerEvents at) {
      // A line that weaves may bend the other way all through a corner.
      double most = samples(from(at), to(at)).mapToDouble(i -> bend(at, i)).max().orElseThrow();
      return Math.max(1e-9, most);
    }

    int from(CornerEvents at) {
      return road().indexOf(at.corner().fromM());
    }

    int to(CornerEvents at) {
      return road().indexOf(at.corner().toM());
    }

    /** Samples from one to another, both included, in driving order. */
    IntStream samples(int from, int to) {
      int count = road().ahead(road().wrap(from), road().wrap(to));
      return IntStream.rangeClosed(0, count).map(k -> road().wrap(from + k));
    }
  }

  /** A line that is driven in the test itself, so that a fault made on purpose shows in each. */
  record Line(String name, Circuit circuit, Path path, Vehicle vehicle) {
    Driven driven() {
      Lap lap = SpeedProfile.solve(path, vehicle, Conditions.DEFAULT);
      List<Corner> corners = CornerFinder.find(circuit, path.road());
      return new Driven(name, lap, LapEvents.of(lap, corners));
    }

    @Override
    public String toString() {
      return name;
    }
  }

  private static final List<Line> LINES = lines();

  private static List<Line> lines() {
    List<Line> all = new ArrayList<>();
    Vehicle car = TestVehicles.clubCar();
    Vehicle bike = TestVehicles.motorcycle();
    Circuit varied = Circuit.bare("varied", TestRoads.varied(5));
    List<Circuit> circuits =
        List.of(varied, MadeRoads.of(2, 1), MadeRoads.kart(), MadeRoads.open());
    int n = 0;
    for (Circuit circuit : circuits) {
      n++;
      all.add(smooth(n + " car", circuit, car));
      all.add(smooth(n + " bike", circuit, bike));
      Path middle = Path.centreline(circuit.road(), List.of());
      all.add(new Line(n + " middle", circuit, middle, car));
    }
    Road road = varied.road();
    double[] waves = new double[road.size()];
    Arrays.setAll(waves, i -> 3.5 * Math.sin(2 * Math.PI * i * 26 / road.size()));
    all.add(new Line("waves", varied, Path.at(road, waves, List.of()), car));
    return all;
  }

  private static Line smooth(String name, Circuit circuit, Vehicle vehicle) {
    Path path = Reference.basis(circuit, vehicle, Conditions.DEFAULT, ChosenLine.SMOOTH).path();
    return new Line(name, circuit, path, vehicle);
  }

  static Stream<Line> laps() {
    return LINES.stream();
  }

  @ParameterizedTest
  @MethodSource("laps")
  void nowhereInTheCornerIsSlower(Line line) {
    Driven lap = line.driven();
    for (CornerEvents at : lap.corners) {
      double least =
          lap.samples(lap.from(at), lap.to(at)).mapToDouble(lap.lap::speedAt).min().orElseThrow();
      assertThat(lap.lap.speedAt(at.slowest())).isLessThanOrEqualTo(least);
      int behind = lap.road().ahead(lap.from(at), at.slowest());
      int corner = lap.road().ahead(lap.from(at), lap.to(at));
      assertThat(behind).isLessThanOrEqualTo(corner + lap.road().samples(10));
      if (behind > corner) {
        // Behind the corner only where it is the slowest of all up to there.
        lap.samples(lap.from(at), at.slowest())
            .forEach(
                i ->
                    assertThat(lap.lap.speedAt(i))
                        .isGreaterThanOrEqualTo(lap.lap.speedAt(at.slowest())));
      }
    }
  }

  /** Nearest to the inside, in the middle of where it is; a line that keeps its place, slowest. */
  @ParameterizedTest
  @MethodSource("laps")
  void anApexIsAsFarInsideAsTheCarGets(Line line) {
    Driven lap = line.driven();
    Road road = lap.road();
    int margin = Math.min(road.samples(25), road.size() / 8);
    for (CornerEvents at : lap.corners) {
      IntToDoubleFunction gap = lap.insideGap(at);
      int begin = lap.from(at) - margin;
      double[] gaps = lap.samples(begin, lap.to(at) + margin).mapToDouble(gap).toArray();
      double[] offsets =
          lap.samples(begin, lap.to(at) + margin)
              .mapToDouble(lap.lap.path()::offsetAt)
              .sorted()
              .toArray();
      if (offsets[offsets.length - 1] - offsets[0] < 0.3) {
        assertThat(at.apexes()).hasSize(1);
        double least =
            lap.samples(lap.from(at), lap.to(at)).mapToDouble(lap.lap::speedAt).min().orElseThrow();
        assertThat(lap.lap.speedAt(at.firstApex())).isEqualTo(least);
        continue;
      }
      double least = Arrays.stream(gaps).min().orElseThrow();
      int best = gap.applyAsDouble(at.firstApex()) <= least + 0.03 ? at.firstApex() : at.lastApex();
      assertThat(gap.applyAsDouble(best)).isLessThanOrEqualTo(least + 0.03);
      // As far to its begin as to its end, to a sample.
      int before = 0;
      while (before < gaps.length
          && road.ahead(road.wrap(begin), best) - before > 0
          && gap.applyAsDouble(road.wrap(best - before - 1)) <= least + 0.03) {
        before++;
      }
      int after = 0;
      while (after < gaps.length
          && road.ahead(road.wrap(begin), best) + after < gaps.length - 1
          && gap.applyAsDouble(road.wrap(best + after + 1)) <= least + 0.03) {
        after++;
      }
      assertThat(Math.abs(before - after)).isLessThanOrEqualTo(1);
    }
  }

  /** A second apex is one that drivers would call so; and where there is one it is found. */
  @ParameterizedTest
  @MethodSource("laps")
  void aSecondApexIsApartAndInsideWithAWayOutBetween(Line line) {
    Driven lap = line.driven();
    for (CornerEvents at : lap.corners) {
      IntToDoubleFunction gap = lap.insideGap(at);
      boolean moves =
          lap.samples(lap.from(at), lap.to(at)).mapToDouble(gap).max().orElseThrow()
                  - lap.samples(lap.from(at), lap.to(at)).mapToDouble(gap).min().orElseThrow()
              >= 0.3;
      if (at.apexes().size() == 2) {
        assertThat(lap.road().ahead(at.firstApex(), at.lastApex()))
            .isLessThan(lap.road().size() / 2);
        boolean behind = isSecond(lap, at, at.firstApex(), at.lastApex());
        assertThat(behind || isSecond(lap, at, at.lastApex(), at.firstApex())).isTrue();
        int best = behind ? at.firstApex() : at.lastApex();
        int other = behind ? at.lastApex() : at.firstApex();
        lap.samples(lap.from(at), lap.to(at))
            .filter(i -> isSecond(lap, at, best, i))
            .forEach(
                i ->
                    assertThat(gap.applyAsDouble(other))
                        .isLessThanOrEqualTo(
                            Math.max(gap.applyAsDouble(i), gap.applyAsDouble(best))));
      } else if (moves) {
        lap.samples(lap.from(at), lap.to(at))
            .forEach(i -> assertThat(isSecond(lap, at, at.firstApex(), i)).isFalse());
      }
    }
  }

  private static boolean isSecond(Driven lap, CornerEvents at, int first, int i) {
    IntToDoubleFunction gap = lap.insideGap(at);
    Road road = lap.road();
    double here = gap.applyAsDouble(i);
    double best = gap.applyAsDouble(first);
    boolean lowest =
        here <= gap.applyAsDouble(road.wrap(i - 1)) && here <= gap.applyAsDouble(road.wrap(i + 1));
    int apart = Math.min(road.ahead(first, i), road.ahead(i, first));
    boolean behind = road.ahead(first, i) == apart;
    double rise =
        (behind ? lap.samples(first, i) : lap.samples(i, first)).mapToDouble(gap).max().orElse(0);
    return lowest
        && apart >= road.samples(45)
        && here <= best + 2.5
        && rise - Math.max(here, best) >= 0.6;
  }

  /** The path bends from behind the turn-in on, and not at it; no bend of its own lies before. */
  @ParameterizedTest
  @MethodSource("laps")
  void theTurnInIsWhereThePathBeginsToBend(Line line) {
    Driven lap = line.driven();
    Road road = lap.road();
    int bounded = 0;
    for (CornerEvents at : lap.corners) {
      double threshold = 0.3 * lap.tightest(at);
      int way = road.ahead(at.turnIn(), at.firstApex());
      assertThat(way).isPositive();
      int end = at.span().previousEnd();
      int most = road.samples(180);
      most = end < 0 ? most : Math.min(most, road.ahead(end, at.firstApex()) - 1);
      most = end < 0 && !road.closed() ? Math.min(most, at.firstApex()) : most;
      assertThat(way).isLessThanOrEqualTo(Math.max(1, most));
      boolean begins =
          lap.bend(at, at.turnIn()) < threshold
              && lap.bend(at, lap.road().wrap(at.turnIn() + 1)) >= threshold;
      if (!begins || way == most) {
        // It never comes out of the bend before: nowhere else it bends less.
        bounded++;
        double least = lap.bend(at, at.turnIn());
        for (int k = 1; k < most; k++) {
          assertThat(lap.bend(at, road.wrap(at.firstApex() - k)))
              .as("%s way %d of %d, threshold %s", at, way, most, threshold)
              .isGreaterThanOrEqualTo(least);
        }
        continue;
      }
      int runs = 0;
      for (int k = 1; k < way; k++) {
        boolean in = lap.bend(at, road.wrap(at.turnIn() + k)) >= threshold;
        boolean before = lap.bend(at, road.wrap(at.turnIn() + k - 1)) >= threshold;
        runs += in && !before ? 1 : 0;
      }
      assertThat(runs).as("bends between turn-in and apex").isEqualTo(1);
    }
    assertThat(bounded).isLessThan(lap.corners.size());
  }

  /**
   * From the last apex to the track-out no place is as far out and as straight; where none is
   * straight it is the one that is farthest out.
   */
  @ParameterizedTest
  @MethodSource("laps")
  void theTrackOutIsTheFirstPlaceAsFarOutAsItGets(Line line) {
    Driven lap = line.driven();
    Road road = lap.road();
    for (CornerEvents at : lap.corners) {
      IntToDoubleFunction gap = lap.outsideGap(at);
      int next = at.span().nextBegin();
      int reach = Math.max(1, road.samples(140 + at.corner().lengthM() / 3));
      int left =
          next >= 0
              ? road.ahead(at.lastApex(), next) - 1
              : road.closed() ? reach : road.size() - 1 - at.lastApex();
      reach = Math.max(1, Math.min(reach, left));
      int way = road.ahead(at.lastApex(), at.trackOut());
      assertThat(way).isBetween(1, reach);
      double least = Double.POSITIVE_INFINITY;
      for (int k = 1; k <= reach; k++) {
        least = Math.min(least, gap.applyAsDouble(road.wrap(at.lastApex() + k)));
      }
      double near = least + 0.3;
      int straight = 1;
      while (straight < reach && !isOutAndStraight(lap, at, straight, near)) {
        straight++;
      }
      if (straight < reach) {
        assertThat(way).as("of %d", reach).isEqualTo(straight);
      } else {
        assertThat(gap.applyAsDouble(at.trackOut())).isEqualTo(least);
      }
    }
  }

  private static boolean isOutAndStraight(Driven lap, CornerEvents at, int k, double nearM) {
    int i = lap.road().wrap(at.lastApex() + k);
    return lap.outsideGap(at).applyAsDouble(i) <= nearM
        && lap.bend(at, i) <= 0.5 * lap.tightest(at);
  }

  /** The zone that ends nearest to the slowest place, begun after the apex before. */
  @ParameterizedTest
  @MethodSource("laps")
  void theBrakingOfACornerIsTheOneBeforeItsSlowestPlace(Line line) {
    Driven lap = line.driven();
    Road road = lap.road();
    List<BrakingZone> zones = BrakingZone.of(lap.lap);
    for (CornerEvents at : lap.corners) {
      BrakingZone own = at.braking();
      if (own == null) {
        // Nothing that belongs to nobody else ends at its slowest place.
        for (BrakingZone zone : zones) {
          boolean othersToo =
              lap.corners.stream()
                  .anyMatch(
                      c ->
                          c != at
                              && (c.braking() != null
                                  && (c.braking().end() == zone.end()
                                      || c.braking().begin() == zone.begin())));
          double way = road.offsetBetween(road.stationAt(zone.end()), road.stationAt(at.slowest()));
          assertThat(othersToo || Math.abs(way) > 15).as("%s at %s", zone, at).isTrue();
        }
        continue;
      }
      assertThat(zones).anyMatch(zone -> zone.end() == own.end() || zone.begin() == own.begin());
      if (at.span().previousEnd() >= 0) {
        assertThat(
                road.offsetBetween(
                    road.stationAt(at.span().previousEnd()), road.stationAt(own.begin())))
            .isPositive();
      }
      int first =
          road.offsetBetween(road.stationAt(own.begin()), road.stationAt(at.turnIn())) >= 0
              ? own.begin()
              : at.turnIn();
      assertThat(at.begin()).isEqualTo(first);
    }
  }

  /** First throttle: no drive from the brakes to it; full: ten metres from there, none before. */
  @ParameterizedTest
  @MethodSource("laps")
  void throttleIsFirstAndFullWhereNoPlaceBeforeItIs(Line line) {
    Driven lap = line.driven();
    for (CornerEvents at : lap.corners) {
      ThrottlePhase throttle = at.throttle();
      if (throttle.first() >= 0 && at.braking() != null) {
        assertThat(lap.lap.throttleShareAt(throttle.first())).isGreaterThan(0.02);
        lap.samples(at.braking().end(), throttle.first())
            .filter(i -> i != throttle.first())
            .forEach(i -> assertThat(lap.lap.throttleShareAt(i)).isLessThanOrEqualTo(0.02));
      } else if (throttle.first() >= 0) {
        theDeepestOfALift(lap, at);
      }
      if (throttle.full() >= 0) {
        assertThat(isFull(lap, throttle.full())).isTrue();
        lap.samples(throttle.first(), throttle.full())
            .filter(i -> i != throttle.full())
            .forEach(i -> assertThat(isFull(lap, i)).as("full at %d", i).isFalse());
      }
      if (throttle.flat()) {
        lap.samples(at.turnIn(), at.trackOut())
            .limit(lap.road().samples(20))
            .filter(i -> lap.lap.brakeGAt(i) == 0)
            .filter(i -> !lap.lap.shiftingAt(i) && !lap.lap.onLimiterAt(i))
            .forEach(i -> assertThat(lap.lap.throttleShareAt(i)).isGreaterThanOrEqualTo(0.97));
      }
    }
  }

  private static void theDeepestOfALift(Driven lap, CornerEvents at) {
    double least = lap.lap.throttleShareAt(at.throttle().first());
    List<BrakingZone> zones = BrakingZone.of(lap.lap);
    boolean[] ended = {false};
    lap.samples(at.turnIn(), at.trackOut())
        .filter(
            i -> {
              ended[0] |= isIn(zones, lap.road(), i);
              boolean soon =
                  isIn(zones, lap.road(), lap.road().wrap(i + 1))
                      || isIn(zones, lap.road(), lap.road().wrap(i + 2));
              return !ended[0] && !soon && !lap.lap.shiftingAt(i);
            })
        .forEach(i -> assertThat(lap.lap.throttleShareAt(i)).isGreaterThanOrEqualTo(least));
    assertThat(least).isLessThan(0.97);
  }

  private static boolean isIn(List<BrakingZone> zones, Road road, int i) {
    return zones.stream().anyMatch(z -> road.ahead(z.begin(), i) < road.ahead(z.begin(), z.end()));
  }

  private static boolean isFull(Driven lap, int i) {
    int count = (int) Math.ceil(10 / lap.road().stepM() - 1e-9);
    return IntStream.range(0, count)
        .map(k -> lap.road().wrap(i + k))
        .allMatch(k -> lap.lap.throttleShareAt(k) >= 0.985 || lap.lap.shiftingAt(k));
  }
}
