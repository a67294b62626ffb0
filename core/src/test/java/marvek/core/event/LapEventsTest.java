package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.CornerFinder;
import marvek.core.line.ChosenLine;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must not happen to the events of a lap, over roads that nobody laid out. */
class LapEventsTest {
  static Stream<Circuit> roads() {
    return Stream.of(
        MadeRoads.of(1, 1),
        MadeRoads.of(2, 1),
        MadeRoads.of(3, 0.35),
        MadeRoads.of(4, 3),
        MadeRoads.kart(),
        MadeRoads.open());
  }

  private static Lap lapOn(Circuit circuit) {
    return SpeedProfile.solve(
        Reference.basis(circuit, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH)
            .path(),
        TestVehicles.clubCar(),
        Conditions.DEFAULT);
  }

  private static List<CornerEvents> events(Circuit circuit, Lap lap) {
    return LapEvents.of(lap, CornerFinder.find(circuit, lap.path().road()));
  }

  /** Right and left are the driver's names: what he does is the same on the road in the mirror. */
  @ParameterizedTest
  @MethodSource("roads")
  void aMirroredRoadIsDrivenAtTheSamePlaces(Circuit circuit) {
    Lap lap = lapOn(circuit);
    Circuit mirrored =
        Circuit.bare(
            "mirrored",
            TestRoads.changed(circuit.survey(), (p, i) -> new double[] {p[0], -p[1], p[2]}));
    double[] offsets = Arrays.stream(lap.path().offsets()).map(n -> -n).toArray();
    Lap other =
        SpeedProfile.solve(
            Path.at(mirrored.road(), offsets, List.of()), lap.vehicle(), lap.conditions());
    List<CornerEvents> here = events(circuit, lap);
    List<CornerEvents> there = events(mirrored, other);
    assertThat(there).hasSameSizeAs(here);
    for (int c = 0; c < here.size(); c++) {
      assertThat(there.get(c))
          .usingRecursiveComparison()
          .ignoringFields("corner", "braking.speedLossMps")
          .isEqualTo(here.get(c));
      assertThat(there.get(c).corner().sign()).isEqualTo(-here.get(c).corner().sign());
    }
  }

  /** Order of a corner's points, and none of them in another corner's part of the lap. */
  @ParameterizedTest
  @MethodSource("roads")
  void aCornersPointsFollowEachOtherWithinItsOwnPart(Circuit circuit) {
    Lap lap = lapOn(circuit);
    Road road = lap.path().road();
    List<CornerEvents> all = events(circuit, lap);
    assertThat(all).isNotEmpty();
    for (CornerEvents at : all) {
      int begin = at.begin();
      int ends = road.ahead(begin, at.trackOut());
      assertThat(road.ahead(begin, at.turnIn())).isLessThanOrEqualTo(ends);
      assertThat(road.ahead(at.turnIn(), at.firstApex())).isPositive().isLessThan(ends);
      assertThat(road.ahead(at.firstApex(), at.lastApex())).isLessThan(ends);
      assertThat(road.ahead(at.lastApex(), at.trackOut())).isPositive();
      if (at.braking() != null) {
        int braked = road.ahead(at.braking().begin(), at.braking().end());
        assertThat(braked * road.stepM()).isBetween(3.0, road.lengthM() / 2);
        assertThat(at.braking().speedLossMps())
            .isCloseTo(
                lap.speedAt(at.braking().begin()) - lap.speedAt(at.braking().end()), within(1e-9));
      }
      if (at.span().previousEnd() >= 0) {
        assertThat(road.ahead(at.span().previousEnd(), begin)).isPositive();
      }
      ThrottlePhase throttle = at.throttle();
      assertThat(throttle.flat())
          .isEqualTo(throttle.first() < 0 && !at.brakesOn() && at.braking() == null);
      if (throttle.full() >= 0) {
        int next = at.span().nextBegin();
        assertThat(road.ahead(begin, throttle.full()))
            .isGreaterThanOrEqualTo(road.ahead(begin, throttle.first()));
        assertThat(lap.throttleShareAt(throttle.full()) >= 0.985 || lap.shiftingAt(throttle.full()))
            .isTrue();
        if (next >= 0) {
          assertThat(road.ahead(begin, throttle.full())).isLessThan(road.ahead(begin, next));
        }
      }
    }
  }

  /** Every stretch of three metres on the brakes is a zone's, and a zone is no second one's. */
  @ParameterizedTest
  @MethodSource("roads")
  void whereTheLapBrakesThereIsOneZone(Circuit circuit) {
    Lap lap = lapOn(circuit);
    Road road = lap.path().road();
    int[] zones = new int[lap.size()];
    for (BrakingZone zone : BrakingZone.of(lap)) {
      assertThat(lap.brakeGAt(zone.begin())).isGreaterThan(BrakingZone.LEAST_G);
      assertThat(lap.brakeGAt(zone.end())).isLessThanOrEqualTo(BrakingZone.LEAST_G);
      for (int k = 0; k < road.ahead(zone.begin(), zone.end()); k++) {
        zones[road.wrap(zone.begin() + k)]++;
      }
    }
    int run = 0;
    for (int i = 0; i < lap.size(); i++) {
      assertThat(zones[i]).isLessThanOrEqualTo(1);
      run = lap.brakeGAt(i) > BrakingZone.LEAST_G ? run + 1 : 0;
      if (run * road.stepM() > 4) {
        assertThat(zones[i]).as("braking at " + road.stationAt(i) + " m").isEqualTo(1);
      }
    }
  }

  /** Samples on the brakes by their number, two metres each. */
  private static List<List<Integer>> zonesOf(String samples) {
    return BrakingZone.runs(i -> samples.charAt(i) == 'b', samples.length(), 2).stream()
        .map(run -> List.of(run[0], run[1]))
        .toList();
  }

  @Test
  void aDabIsNoZoneAndAShortLiftEndsNone() {
    assertThat(zonesOf("..b..")).isEmpty();
    assertThat(zonesOf("..bb..")).containsExactly(List.of(2, 4));
    assertThat(zonesOf(".bbb...bbb.")).containsExactly(List.of(1, 10));
    assertThat(zonesOf(".bbb....bbb.")).containsExactly(List.of(1, 4), List.of(8, 11));
    assertThat(zonesOf(".bbb...b...")).containsExactly(List.of(1, 8));
    assertThat(zonesOf("bbb")).containsExactly(List.of(0, 3));
  }
}
