package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import org.junit.jupiter.api.Test;

/**
 * Whose a braking zone is, on a straight of 1500 m: lines with peaks towards a side where an apex
 * is to be, speeds held down where the car is to be slow, so that it is seen by eye whose it must
 * be.
 */
class ZoneOwnersTest {
  private static final Road STRAIGHT =
      Circuit.bare("straight", TestRoads.every(5).straight(1500).survey(false, 6, 0, 0)).road();
  private static final Road RING = Circuit.bare("ring", TestRoads.circle(200, 5)).road();

  /** A line with the speed held down. */
  private static final class Line {
    private final Road road;
    private final double[] inside;
    private final double[] cap;

    Line(Road road) {
      this.road = road;
      this.inside = new double[road.size()];
      this.cap = new double[road.size()];
      Arrays.fill(cap, road == RING ? 30 : 45);
    }

    int at(double stationM) {
      return road.indexOf(road.wrapStation(stationM));
    }

    /** Bends so little that nobody brakes for it at 45 m/s. */
    void apex(double atM) {
      apex(atM, 0.5, 15);
    }

    void apex(double atM, double height, double halfWidthM) {
      for (int i = 0; i < inside.length; i++) {
        double apart = road.offsetBetween(atM, road.stationAt(i)) / halfWidthM;
        inside[i] += height * Math.exp(-apart * apart);
      }
    }

    void slow(double fromM, double toM, double mps) {
      for (double s = fromM; s <= toM; s += road.stepM()) {
        cap[at(s)] = Math.min(cap[at(s)], mps);
      }
    }

    Lap lap() {
      Path path = Path.at(road, inside, List.of());
      return SpeedProfile.solve(
          path, TestVehicles.clubCar(), Conditions.DEFAULT, ProfileOptions.NONE.withSpeedCap(cap));
    }
  }

  private final Line line = new Line(STRAIGHT);

  private static Corner corner(int number, double fromM, double toM) {
    double apex = (fromM + toM) / 2;
    return new Corner(
        number,
        "",
        Side.LEFT,
        fromM,
        toM,
        toM - fromM,
        60,
        40,
        apex,
        0,
        0,
        0,
        false,
        Corner.Kind.MEDIUM);
  }

  @Test
  void theZoneBeforeItsSlowestPlaceIsACornersOwn() {
    line.apex(450);
    line.slow(450, 450, 25);
    Lap lap = line.lap();
    BrakingZone zone = BrakingZone.of(lap).get(0);
    CornerEvents only = LapEvents.of(lap, List.of(corner(1, 420, 480))).get(0);
    assertThat(BrakingZone.of(lap)).hasSize(1);
    assertThat(only.braking()).isEqualTo(zone);
    assertThat(only.brakesOn()).isFalse();
    assertThat(only.slowest()).isEqualTo(line.at(450));
    assertThat(only.begin()).isEqualTo(Math.min(zone.begin(), only.turnIn()));
    assertThat(only.throttle().first()).isBetween(line.at(449), line.at(453));
  }

  /** Braked from behind the first one's apex on, the first is not braked for at all. */
  @Test
  void aZoneBehindTheApexOfTheFirstIsTheSeconds() {
    line.apex(340);
    line.apex(450);
    line.slow(450, 450, 42);
    Lap lap = line.lap();
    BrakingZone zone = BrakingZone.of(lap).get(0);
    assertThat(zone.begin()).isGreaterThan(line.at(340));
    List<CornerEvents> both = LapEvents.of(lap, List.of(corner(1, 300, 380), corner(2, 420, 480)));
    assertThat(both.get(0).braking()).isNull();
    assertThat(both.get(0).brakesOn()).isFalse();
    assertThat(both.get(1).braking()).isEqualTo(zone);
  }

  /** From before its apex on the first is braked up to there, and no throttle comes in it. */
  @Test
  void aZoneFromBeforeTheFirstApexIsPartedThere() {
    line.apex(385);
    line.apex(455);
    line.slow(455, 455, 14);
    Lap lap = line.lap();
    BrakingZone zone = BrakingZone.of(lap).get(0);
    assertThat(zone.begin()).isLessThan(line.at(385));
    List<CornerEvents> both = LapEvents.of(lap, List.of(corner(1, 345, 400), corner(2, 425, 480)));
    assertThat(both.get(0).braking()).isEqualTo(zone.upTo(line.at(385), lap));
    assertThat(both.get(0).brakesOn()).isTrue();
    assertThat(both.get(0).throttle().first()).isNegative();
    assertThat(both.get(0).throttle().flat()).isFalse();
    assertThat(both.get(1).braking()).isEqualTo(zone.from(line.at(386), lap));
    assertThat(both.get(1).brakesOn()).isFalse();
  }

  /** Braked for itself already, the first keeps its own zone. */
  @Test
  void aCornerThatBrakedForItselfKeepsItsOwnZone() {
    line.apex(410);
    line.apex(450);
    line.slow(340, 340, 30);
    line.slow(450, 450, 12);
    Lap lap = line.lap();
    List<BrakingZone> zones = BrakingZone.of(lap);
    assertThat(zones).hasSize(2);
    assertThat(zones.get(1).begin()).isLessThan(line.at(410));
    List<CornerEvents> both = LapEvents.of(lap, List.of(corner(1, 320, 420), corner(2, 430, 480)));
    assertThat(both.get(0).braking()).isEqualTo(zones.get(0));
    assertThat(both.get(0).brakesOn()).isFalse();
    assertThat(both.get(1).braking().end()).isEqualTo(zones.get(1).end());
  }

  /** Of two presses for the same place the one that takes more speed is its braking. */
  @Test
  void ofTwoZonesTheHarderIsTheCorners() {
    for (boolean hardFirst : new boolean[] {true, false}) {
      Line line = new Line(STRAIGHT);
      line.apex(450);
      line.slow(380, 380, hardFirst ? 25 : 42);
      line.slow(450, 450, hardFirst ? 24 : 25);
      Lap lap = line.lap();
      List<BrakingZone> zones = BrakingZone.of(lap);
      assertThat(zones).hasSize(2);
      CornerEvents only = LapEvents.of(lap, List.of(corner(1, 420, 480))).get(0);
      assertThat(only.braking()).isEqualTo(zones.get(hardFirst ? 0 : 1));
    }
  }

  /**
   * The slowest place lies up to ten metres behind a corner, and a zone ends up to 15 behind it.
   */
  @Test
  void aZoneThatEndsBehindTheCornerIsItsOwnAsFarAsThat() {
    assertThat(endsBehind(24)).isNotNull();
    assertThat(endsBehind(27)).isNull();
  }

  private static BrakingZone endsBehind(double metres) {
    Line line = new Line(STRAIGHT);
    line.apex(450);
    line.slow(480 + metres, 480 + metres, 25);
    CornerEvents only = LapEvents.of(line.lap(), List.of(corner(1, 420, 480))).get(0);
    assertThat(only.slowest()).isEqualTo(line.at(490));
    return only.braking();
  }

  /** A second press before a further apex of a corner is that one's, not the next corner's. */
  @Test
  void aPressBeforeASecondApexIsNotTheNextCorners() {
    line.apex(330, 0.8, 15);
    line.apex(400, 0.8, 15);
    line.apex(500);
    line.slow(0, 330, 25);
    line.slow(392, 392, 25.5);
    line.slow(500, 500, 22);
    Lap lap = line.lap();
    List<BrakingZone> zones = BrakingZone.of(lap);
    assertThat(zones).hasSize(2);
    List<CornerEvents> both = LapEvents.of(lap, List.of(corner(1, 310, 430), corner(2, 470, 530)));
    assertThat(both.get(0).apexes()).containsExactly(line.at(330), line.at(400));
    assertThat(both.get(0).slowest()).isLessThan(line.at(335));
    assertThat(both.get(0).braking()).isEqualTo(zones.get(0));
    assertThat(both.get(1).braking()).isEqualTo(zones.get(1));
  }

  /** Also where that apex lies in the next corner, behind the slowest place of it. */
  @Test
  void aPressBeforeTheApexOfTheFirstIsTheFirstsAlsoInTheSecond() {
    line.apex(404);
    line.apex(445, 0.8, 15);
    line.slow(0, 320, 25);
    line.slow(381, 381, 26);
    Lap lap = line.lap();
    List<CornerEvents> both = LapEvents.of(lap, List.of(corner(1, 300, 380), corner(2, 380, 470)));
    assertThat(both.get(0).lastApex()).isGreaterThan(line.at(398));
    assertThat(both.get(1).slowest()).isEqualTo(line.at(381));
    assertThat(both.get(0).braking()).isEqualTo(BrakingZone.of(lap).get(0));
    assertThat(both.get(1).braking()).isNull();
  }

  /** Round the start line the last corner comes before the first; an open road has neither. */
  @Test
  void onARingTheNeighboursGoRound() {
    Line line = new Line(RING);
    line.apex(1230);
    line.apex(20);
    line.slow(20, 20, 16);
    Lap lap = line.lap();
    BrakingZone zone = BrakingZone.of(lap).get(0);
    assertThat(RING.offsetBetween(RING.stationAt(zone.begin()), 1230)).isNegative();
    List<Corner> corners = List.of(corner(1, 5, 40), corner(2, 1200, 1250));
    List<CornerEvents> both = LapEvents.of(lap, corners);
    assertThat(both.get(0).span().previousEnd()).isEqualTo(line.at(1230));
    assertThat(both.get(0).span().nextApex()).isEqualTo(line.at(1230));
    assertThat(both.get(0).braking()).isEqualTo(zone);
    assertThat(both.get(1).braking()).isNull();
    // From there it is a long way to the next one's begin, more than half the lap.
    assertThat(both.get(0).throttle().first()).isBetween(line.at(19), line.at(23));
    assertThat(both.get(0).span().nextBegin()).isGreaterThan(line.at(1100));
    CornerEvents alone = LapEvents.of(lap, corners.subList(0, 1)).get(0);
    assertThat(alone.span().previousEnd()).isNegative();
    assertThat(alone.span().nextApex()).isNegative();
    assertThat(alone.braking()).isEqualTo(zone);
  }

  /**
   * A zone just behind the line's other side is the last corner's, also where the first is near.
   */
  @Test
  void onARingTheLastCornersZoneIsNotTheFirsts() {
    Line line = new Line(RING);
    line.apex(1230);
    line.apex(20);
    line.slow(1226, 1226, 16);
    Lap lap = line.lap();
    List<CornerEvents> both = LapEvents.of(lap, List.of(corner(1, 5, 40), corner(2, 1200, 1250)));
    assertThat(both.get(0).braking()).isNull();
    assertThat(both.get(1).braking()).isEqualTo(BrakingZone.of(lap).get(0));
    assertThat(both.get(1).brakesOn()).isFalse();
  }

  @Test
  void anOpenRoadHasAFirstAndALastCorner() {
    Arrays.fill(line.cap, 100);
    line.apex(300, 0.35, 25);
    line.apex(600, 0.35, 25);
    line.apex(900, 0.35, 25);
    List<CornerEvents> three =
        LapEvents.of(
            line.lap(), List.of(corner(1, 270, 330), corner(2, 570, 630), corner(3, 870, 930)));
    assertThat(three)
        .extracting(c -> c.span().previousEnd())
        .containsExactly(-1, line.at(300), line.at(600));
    assertThat(three)
        .extracting(c -> c.span().nextApex())
        .containsExactly(line.at(600), line.at(900), -1);
    assertThat(three.get(2).span().nextBegin()).isNegative();
    assertThat(three.get(0).span().nextBegin()).isEqualTo(three.get(1).begin());
    assertThat(three).allMatch(c -> c.braking() == null && c.throttle().flat());
  }
}
