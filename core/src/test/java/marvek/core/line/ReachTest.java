package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** What a search along a stretch has to look at, and that it need not look at more. */
class ReachTest {
  private static final double BESIDE_M = 60;

  private static Lap driven(Path path, Vehicle vehicle) {
    return SpeedProfile.solve(path, vehicle, Conditions.OF_NEW_BOOKS);
  }

  private static Corridor corridor(Circuit circuit, Vehicle vehicle) {
    return Corridor.of(circuit, circuit.road(), vehicle, Conditions.DEFAULT, 0.15);
  }

  private static Lap fastest(Circuit circuit, Vehicle vehicle) {
    Corridor corridor = corridor(circuit, vehicle);
    Lap smooth = driven(SmoothLine.find(circuit.road(), corridor, List.of()).path(), vehicle);
    return FastestLine.find(smooth, corridor, share -> {}).lap();
  }

  private static Stretch around(Corner corner, Road road) {
    int from = road.indexOf(road.wrapStation(corner.fromM() - BESIDE_M));
    int size = road.samples(road.distance(road.stationAt(from), corner.toM()) + BESIDE_M);
    return Stretch.between(road, from, from + size);
  }

  /** The line drawn inwards in the middle of a stretch, by up to a third. */
  private static Path spoilt(Path line, Stretch stretch) {
    double[] part = stretch.taken(line.offsets());
    for (int k = 0; k < part.length; k++) {
      double bump = Math.sin(Math.PI * k / (part.length - 1));
      part[k] *= 1 - 0.35 * bump * bump * bump * bump;
    }
    return Path.at(line.road(), stretch.put(line.offsets(), part), line.surface());
  }

  /**
   * Who looks too short a way loses at the exit what the whole lap would have told him. Both ended
   * within a tolerance of their own, and what is held was driven from other places: 0.6 ms lay
   * between them at most.
   */
  @Test
  void aSpoiltStretchIsMendedAsWellAsByLookingAtTheWholeLap() {
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Circuit circuit = MadeRoads.of(11, 1);
      Road road = circuit.road();
      Lap fastest = fastest(circuit, vehicle);
      for (Corner corner : CornerFinder.find(circuit, road)) {
        if (corner.number() % 3 == 0) {
          continue;
        }
        Stretch stretch = around(corner, road);
        Lap spoilt = driven(spoilt(fastest.path(), stretch), vehicle);
        Reach reach = Reach.of(spoilt, stretch);
        assertThat(reach.whole()).isFalse();
        double byReach = mended(spoilt, stretch, reach, circuit);
        assertThat(byReach).isLessThan(spoilt.timeS() - 0.1);
        assertThat(byReach)
            .as("corner %d", corner.number())
            .isCloseTo(mended(spoilt, stretch, Reach.whole(road), circuit), within(0.001));
      }
    }
  }

  private static double mended(Lap spoilt, Stretch stretch, Reach reach, Circuit circuit) {
    Bounds bounds =
        Bounds.of(stretch, corridor(circuit, spoilt.vehicle()), spoilt.path().offsets());
    return FastestLine.along(spoilt, stretch, reach, bounds, null, share -> {}).lap().timeS();
  }

  /**
   * From one slowest place to another, well away from the stretch; an open road ends where it does.
   */
  @Test
  void itGoesFromTheCornerBeforeToTheCornerAfter() {
    for (Circuit circuit : List.of(MadeRoads.of(11, 1), MadeRoads.open())) {
      Road road = circuit.road();
      Lap lap = driven(Path.centreline(road, List.of()), TestVehicles.clubCar());
      for (Corner corner : CornerFinder.find(circuit, road)) {
        Stretch stretch = around(corner, road);
        Reach reach = Reach.of(lap, stretch);
        int last = reach.size() - 1;
        int before = road.ahead(reach.at(0), stretch.at(0));
        assertThat(reach.at(before)).isEqualTo(stretch.at(0));
        assertThat(before + stretch.size()).isLessThanOrEqualTo(reach.size());
        assertSlowestOrEnd(lap, reach.at(0), stretch.at(0));
        assertSlowestOrEnd(lap, reach.at(last), stretch.at(stretch.size() - 1));
      }
    }
  }

  private static void assertSlowestOrEnd(Lap lap, int at, int stretchEnds) {
    Road road = lap.path().road();
    if (!road.closed() && (at == 0 || at == road.size() - 1)) {
      return;
    }
    double apart = Math.abs(road.offsetBetween(road.stationAt(at), road.stationAt(stretchEnds)));
    assertThat(apart).isGreaterThanOrEqualTo(100);
    int before = road.wrap(at - road.samples(10));
    int after = road.wrap(at + road.samples(10));
    assertThat(lap.speedAt(at)).isLessThanOrEqualTo(lap.speedAt(before));
    assertThat(lap.speedAt(at)).isLessThanOrEqualTo(lap.speedAt(after));
  }

  @Test
  void aWholeRoadReachesAllOfIt() {
    Road road = MadeRoads.of(11, 1).road();
    Lap lap = driven(Path.centreline(road, List.of()), TestVehicles.clubCar());
    Reach reach = Reach.of(lap, Stretch.whole(road));
    assertThat(reach.whole()).isTrue();
    assertThat(reach.closed()).isTrue();
    assertThat(reach.size()).isEqualTo(road.size());
  }
}
