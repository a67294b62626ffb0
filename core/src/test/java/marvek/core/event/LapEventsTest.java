package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
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
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.Pedals;
import marvek.core.profile.SpeedProfile;
import marvek.core.profile.UsedGrip;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must not happen to the events of a lap, over roads that nobody laid out. */
class LapEventsTest {
  /** The lift's way is reckoned in constant accelerations, and driven to whole samples. */
  private static final double SAME_SPEED_MPS = 0.3;

  /** What the lap gains is that on the way of the round before: 0.17 m/s at most on these. */
  private static final double BACK_AT_SPEED_MPS = 0.18;

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

  /** A foot that takes longer lifts where a quick one still brakes. */
  private static Lap rightFooted(Circuit circuit) {
    Lap lap = lapOn(circuit);
    Conditions slow = Conditions.DEFAULT.but().pedalChangeS(0.4).build();
    return SpeedProfile.solve(lap.path(), lap.vehicle(), slow);
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

  /** Every stretch of three metres on the brakes is one zone's, or one that a lift does. */
  @ParameterizedTest
  @MethodSource("roads")
  void whereTheLapBrakesThereIsOneZone(Circuit circuit) {
    Lap lap = lapOn(circuit);
    Road road = lap.path().road();
    int[] zones = new int[lap.size()];
    List<BrakingZone> all = new ArrayList<>(BrakingZone.of(lap));
    all.addAll(BrakingZone.lifts(lap));
    for (BrakingZone zone : all) {
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

  /**
   * The throttle shut up to the end of what is no zone slows a car to the lap's speed there: driven
   * forward, without the brakes. Beside it, a foot would not have been on the pedal sooner than
   * that lift begins.
   */
  @ParameterizedTest
  @MethodSource("roads")
  void whatIsNoZoneIsDoneByALift(Circuit circuit) {
    for (Lap lap : List.of(lapOn(circuit), rightFooted(circuit))) {
      Road road = lap.path().road();
      for (BrakingZone brief : BrakingZone.lifts(lap)) {
        double v = lap.speedAt(brief.begin());
        double footM = v * (lap.conditions().pedalChangeS() + lap.conditions().brakeBuildUpS() / 2);
        assertThat(brief.liftingWayM(lap)).isBetween(0.0, footM);
        int start = road.wrap(brief.begin() - road.samples(footM) - 2);
        int count = road.ahead(start, brief.end());
        double shutM = road.stepM() * road.ahead(start, brief.begin()) - brief.liftingWayM(lap);
        Drive.Result lifted =
            Drive.of(
                lap,
                UsedGrip.of(lap),
                lift(lap, start, shutM),
                new Drive.Part(start, count, 0, 1e9));
        assertThat(lifted.speedsMps()[count])
            .as("%.0f m, %.2f m/s", road.stationAt(brief.begin()), brief.speedLossMps())
            .isCloseTo(lap.speedAt(brief.end()), within(SAME_SPEED_MPS));
      }
    }
  }

  /**
   * Who shuts the throttle where he is told to act, coasts while his foot moves and the pressure
   * comes, and then brakes as the lap does, is back at the lap's speed: reckoned from there in
   * small steps of time, without the step of the road by which he is told to be early.
   */
  @ParameterizedTest
  @MethodSource("roads")
  void whoActsForAZoneComesBackToTheLapsSpeed(Circuit circuit) {
    for (Lap lap : List.of(lapOn(circuit), rightFooted(circuit))) {
      Road road = lap.path().road();
      for (BrakingZone zone : BrakingZone.of(lap)) {
        double v = lap.speedAt(zone.begin());
        int soon = road.wrap(zone.begin() + road.samples(0.5 * v));
        boolean lasts = road.ahead(zone.begin(), soon) < road.ahead(zone.begin(), zone.end());
        int in = lasts ? soon : zone.end();
        double brakes = (v - lap.speedAt(in)) / lap.timeBetween(zone.begin(), in);
        double coasts =
            (lap.forces().resistanceN(zone.begin(), v * v) + lap.closedThrottleNAt(zone.begin()))
                / lap.forces().massKg();
        double wayM = zone.actingWayM(lap) - road.stepM();
        if (brakes <= coasts) {
          assertThat(wayM).isCloseTo(0, within(1e-9));
          continue;
        }
        int before = Math.max(1, road.samples(wayM));
        double at = lap.speedAt(road.wrap(zone.begin() - before));
        double gains = (v * v - at * at) / (2 * before * road.stepM());
        double entry = Math.sqrt(v * v - 2 * Math.max(gains, -coasts) * wayM);
        double foot = lap.conditions().pedalChangeS() + lap.conditions().brakeBuildUpS() / 2;
        // He is still coasting where the lap brakes already: both braking, further on.
        double onM = v * foot;
        double laps = Math.sqrt(v * v - 2 * brakes * onM);
        // The way is reckoned at the speed of the zone's begin, and he coasts below that.
        double tooLongM = wayM * (1 - (entry - coasts * foot / 2) / v);
        assertThat(behind(entry, wayM + onM, foot, coasts, brakes))
            .as("%.0f m, %.1f m before", road.stationAt(zone.begin()), wayM)
            .isCloseTo(laps - brakes * tooLongM / laps, within(BACK_AT_SPEED_MPS));
        assertThat(zone.actingM(lap))
            .isCloseTo(
                road.wrapStation(road.stationAt(zone.begin()) - wayM - road.stepM()), within(1e-9));
      }
    }
  }

  /** Speed after a way on which is coasted for a time and braked from there [m/s]. */
  private static double behind(
      double entryMps, double wayM, double coastingS, double coasts, double brakes) {
    double step = 1e-4;
    double v = entryMps;
    double x = 0;
    for (double t = 0; x < wayM; t += step) {
      double slows = t < coastingS ? coasts : brakes;
      x += step * (v - step * slows / 2);
      v -= step * slows;
    }
    return v;
  }

  private static Pedals lift(Lap lap, int start, double shutM) {
    Road road = lap.path().road();
    return new Pedals() {
      @Override
      public double brakeShare(double metres) {
        return 0;
      }

      @Override
      public double throttleShare(double metres) {
        int i = road.wrap(start + (int) (metres / road.stepM()));
        return metres < shutM ? lap.elementThrottleShareAt(i) : 0;
      }
    };
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
