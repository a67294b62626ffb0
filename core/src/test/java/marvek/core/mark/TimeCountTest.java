package marvek.core.mark;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** Counts against times that are added up element by element, ds over the middle of two speeds. */
class TimeCountTest {
  private final Road road =
      Road.through(
          TestRoads.pointSymmetric(5, r -> r.straight(900).corner(40, 180, 20).straight(0)), 1, 1);
  private final Lap lap = drive(TestVehicles.clubCar());

  private Lap drive(Vehicle vehicle) {
    return SpeedProfile.solve(Path.centreline(road, List.of()), vehicle, Conditions.DEFAULT);
  }

  private static double seconds(Lap of, int from, int to) {
    Road on = of.path().road();
    double sum = 0;
    for (int i = on.wrap(from); i != on.wrap(to); i = on.wrap(i + 1)) {
      sum += of.path().elementAt(i) / ((of.speedAt(i) + of.speedAt(on.wrap(i + 1))) / 2);
    }
    return sum;
  }

  /** The sample so long before another. */
  private static int before(Lap of, int at, double seconds) {
    int from = at;
    while (seconds(of, from, at) < seconds) {
      from--;
    }
    return from;
  }

  private static String told(double seconds, String words) {
    return String.format(Locale.ROOT, "%.1f s %s", seconds, words);
  }

  /** First sample in a gear that is higher than the one before it, the last such up to a place. */
  private static int lastChangeUp(Lap of, int at) {
    int i = at;
    while (of.gearAt(of.path().road().wrap(i - 1)) >= of.gearAt(of.path().road().wrap(i))) {
      i--;
    }
    return i;
  }

  private String words(double pointM, TimeCount.Event... events) {
    return TimeCount.before(lap, pointM, List.of(events)).map(MarkReference::text).orElse("none");
  }

  private TimeCount.Event event(int sample, String words) {
    return new TimeCount.Event(road.stationAt(road.wrap(sample)), words);
  }

  /** A place on the straight between two changes that are far apart. */
  private int shortlyAfterAChange(double seconds) {
    int change = lastChangeUp(lap, road.indexOf(700));
    int at = change;
    while (seconds(lap, change, at) < seconds) {
      at++;
    }
    return at;
  }

  @Test
  void theLatestOfWhatIsFeltIsCountedFrom() {
    int point = shortlyAfterAChange(2.5);
    int late = before(lap, point, 1.0);
    int early = before(lap, point, 2.0);
    String expected = told(seconds(lap, late, point), "after the bump");
    double pointM = road.stationAt(point);
    TimeCount.Event bump = event(late, "after the bump");
    TimeCount.Event bridge = event(early, "after the bridge");
    assertThat(words(pointM, bump, bridge)).isEqualTo(expected);
    assertThat(words(pointM, bridge, bump)).isEqualTo(expected);
  }

  @Test
  void whatLiesTooFarBackOrTooNearOrBehindThePointIsNotCounted() {
    int point = shortlyAfterAChange(2.5);
    String change =
        told(
            seconds(lap, lastChangeUp(lap, point), point),
            "after the change into " + lap.gearAt(point));
    assertThat(words(road.stationAt(point))).isEqualTo(change);
    assertThat(
            words(
                road.stationAt(point),
                event(point + 30, "behind it"),
                event(before(lap, point, 0.2), "at once"),
                event(before(lap, point, 4.3), "long ago")))
        .isEqualTo(change);
  }

  /** At the slowest place the car has just changed down, and the last change up is long ago. */
  @Test
  void aChangeDownIsNotCounted() {
    int slowest = road.indexOf(900);
    for (int i = 900; i < 1100; i++) {
      slowest = lap.speedAt(i) < lap.speedAt(slowest) ? i : slowest;
    }
    assertThat(lap.gearAt(before(lap, slowest, 3))).isGreaterThan(lap.gearAt(slowest));
    assertThat(seconds(lap, lastChangeUp(lap, slowest), slowest)).isGreaterThan(4);
    assertThat(words(road.stationAt(slowest))).isEqualTo("none");
  }

  /** Two short gears: the engine is at its limiter all along the straight. */
  @Test
  void onTheLimiterItIsCountedFromWhereThatWasReached() {
    Vehicle geared =
        TestVehicles.bare(
            Vehicle.Drive.REAR,
            0.4,
            0.5,
            1.3,
            new Brakes(20_000, 0.6),
            TestVehicles.engine(),
            new Gearbox(new double[] {2.9, 1.9}, 3.9, 0.92, 0.06, 0.12),
            0.3);
    Lap limited = drive(geared);
    int reached = road.indexOf(500);
    assertThat(limited.onLimiterAt(reached)).isTrue();
    while (limited.onLimiterAt(road.wrap(reached))) {
      reached--;
    }
    int point = reached;
    while (seconds(limited, reached, point) < 1.5) {
      point++;
    }
    Optional<MarkReference> count =
        TimeCount.before(limited, road.stationAt(road.wrap(point)), List.of());
    assertThat(count.orElseThrow().text())
        .isEqualTo(told(seconds(limited, reached, point), "on the limiter"));
    assertThat(count.orElseThrow().weak()).isTrue();
  }
}
