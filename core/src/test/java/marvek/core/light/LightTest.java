package marvek.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import org.junit.jupiter.api.Test;

/** Shadows on a road that runs east along the equator on the day of an equinox. */
class LightTest {
  private static final Survey EASTWARD = TestRoads.every(5).straight(800).survey(false, 6, 0, 0);

  private static Circuit circuit(Survey survey, GeoPoint place, Mark... marks) {
    return new Circuit(
        "road",
        "",
        1,
        null,
        "UTC",
        TrackLimits.FREE,
        place,
        survey,
        1,
        List.of(marks),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  private static Light at(Circuit circuit, String hour) {
    Conditions conditions = Conditions.DEFAULT.at(LocalDateTime.parse(hour));
    return Light.of(circuit, circuit.road(), conditions).orElseThrow();
  }

  private static final GeoPoint EQUATOR = new GeoPoint(0.001, 0);

  private static Mark shadow(double at, double offset, String notedAt) {
    Instant noted = notedAt == null ? null : Instant.parse(notedAt);
    return new Mark(
        "pine shadow", MarkType.SHADOW, Side.ROAD, at, at, offset, null, 12.0, "", noted);
  }

  /**
   * By hand: on 20 March 2026 the sun goes from due east over the zenith to due west, passing it at
   * 12:07 (equation of time 7 min, almanac, from memory). At 09:00 it is 90 − 15·3.12 = 43.2° high
   * and the shadow of 12 m reaches 12·cot 43.2° = 12.8 m west; at 15:00 it is 46.8° high and
   * reaches 11.3 m east. The tip has moved 24.1 m east.
   */
  @Test
  void theTipOfAShadowMovesAsTheSunDoes() {
    Circuit circuit = circuit(EASTWARD, EQUATOR, shadow(400, 0.5, "2026-03-20T09:00:00Z"));
    MovedShadow moved = at(circuit, "2026-03-20T15:00").shadows().get(0);
    assertThat(moved.usable()).isTrue();
    assertThat(moved.movedM()).isCloseTo(24.1, within(0.7));
    assertThat(moved.stationM()).isCloseTo(424.1, within(0.7));
  }

  @Test
  void atTheHourItWasNotedItHasNotMoved() {
    Circuit circuit = circuit(EASTWARD, EQUATOR, shadow(400, 0.5, "2026-03-20T09:00:00Z"));
    MovedShadow moved = at(circuit, "2026-03-20T09:00").shadows().get(0);
    assertThat(moved.movedM()).isCloseTo(0, within(0.3));
  }

  @Test
  void afterSunsetItIsGoneAndSoIsOneThatWasNeverDated() {
    Circuit dated = circuit(EASTWARD, EQUATOR, shadow(400, 0, "2026-03-20T09:00:00Z"));
    assertThat(at(dated, "2026-03-20T19:00").shadows().get(0))
        .satisfies(s -> assertThat(s.usable()).isFalse())
        .satisfies(s -> assertThat(s.why().words()).contains("sun is too low or down"));
    Circuit undated = circuit(EASTWARD, EQUATOR, shadow(400, 0, null));
    assertThat(at(undated, "2026-03-20T15:00").shadows().get(0).why().words())
        .contains("not known");
  }

  /**
   * In the north the noon shadow of a tree south of the road falls on it, the evening's does not.
   */
  @Test
  void aShadowThatDoesNotReachTheRoadIsNotUsable() {
    GeoPoint north = new GeoPoint(50, 0);
    Circuit circuit = circuit(EASTWARD, north, shadow(400, -5, "2026-12-21T12:00:00Z"));
    assertThat(at(circuit, "2026-12-21T12:00").shadows().get(0).usable()).isTrue();
    MovedShadow summer = at(circuit, "2026-06-21T12:00").shadows().get(0);
    assertThat(summer.usable()).isFalse();
    assertThat(summer.why().words()).contains("does not fall on the road");
  }

  @Test
  void aBoardBehindAHouseIsInItsShade() {
    Mark house = new Mark("mill", MarkType.BUILDING, Side.RIGHT, 400, 420, -10, null, 10.0, "");
    Mark board =
        new Mark("100 board", MarkType.DISTANCE_BOARD, Side.RIGHT, 412, 412, -7, 100.0, 1.6, "");
    Mark far =
        new Mark("50 board", MarkType.DISTANCE_BOARD, Side.RIGHT, 500, 500, -7, 50.0, 1.6, "");
    Circuit circuit = circuit(EASTWARD, new GeoPoint(50, 0), house, board, far);
    // A winter noon: the sun 17° high in the south, behind the house; 10 m reach 33 m.
    Light noon = at(circuit, "2026-12-21T12:00");
    assertThat(noon.sun().elevationDeg()).isCloseTo(90 - 50 - 23.44, within(0.6));
    assertThat(noon.inShade(board)).isTrue();
    assertThat(noon.inShade(far)).isFalse();
    assertThat(noon.inShade(house)).isFalse();
  }

  /** The evening sun of an equinox stands in the west: it blinds whoever drives west. */
  @Test
  void cornersTowardsALowSunAreFound() {
    Survey loop = TestRoads.pointSymmetric(5, r -> r.straight(400).corner(60, 180, 20).straight(0));
    Circuit circuit = circuit(loop, EQUATOR);
    List<Corner> corners = CornerFinder.find(circuit, circuit.road());
    assertThat(corners).hasSize(2);
    Light evening = at(circuit, "2026-03-20T17:30");
    assertThat(evening.sun().azimuthDeg()).isCloseTo(270, within(1.0));
    // The first bend turns from east to west at its end, the second one is approached westward.
    assertThat(evening.cornersIntoTheSun(corners)).contains(corners.get(1));
    assertThat(at(circuit, "2026-03-20T13:00").cornersIntoTheSun(corners)).isEmpty();
  }

  @Test
  void withoutAPlaceOrAnHourThereIsNoLight() {
    Circuit nowhere = circuit(EASTWARD, null);
    Conditions noon = Conditions.DEFAULT.at(LocalDateTime.parse("2026-06-21T12:00"));
    assertThat(Light.of(nowhere, nowhere.road(), noon)).isEmpty();
    Circuit placed = circuit(EASTWARD, EQUATOR);
    assertThat(Light.of(placed, placed.road(), Conditions.DEFAULT)).isEmpty();
  }

  /** Whatever the almanac says: in the rain no shadow is a mark, and nobody is dazzled. */
  @Test
  void inTheRainThereIsNoSun() {
    Circuit circuit = circuit(EASTWARD, EQUATOR);
    Conditions noon = Conditions.DEFAULT.at(LocalDateTime.parse("2026-03-20T15:00"));
    assertThat(Light.of(circuit, circuit.road(), noon)).isPresent();
    assertThat(Light.of(circuit, circuit.road(), noon.withSurface(Conditions.Surface.DAMP)))
        .isPresent();
    assertThat(Light.of(circuit, circuit.road(), noon.withSurface(Conditions.Surface.WET)))
        .isEmpty();
  }
}
