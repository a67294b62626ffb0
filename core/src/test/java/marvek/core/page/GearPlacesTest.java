package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import marvek.core.TestRoads;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage.Throttle;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Where gears are asked for, on a straight by its stations: the slowest place is at 200 m. */
class GearPlacesTest {
  private static final Road ROAD =
      Road.through(TestRoads.every(5).straight(1000).survey(false, 6, 0, 0));
  private static final int NEXT = ROAD.indexOf(600);

  private static GearPlaces places(
      double turnInM, @Nullable Double firstM, @Nullable Double fullM, double outM, int next) {
    return GearPlaces.of(ROAD, turnInM, 200, new Throttle(firstM, 50.0, fullM), outM, next);
  }

  private static void assertAt(int sample, double stationM) {
    assertThat(sample).isEqualTo(ROAD.indexOf(stationM));
  }

  @Test
  void theApexIsHeldFromEightMetresBeforeTheSlowestPlaceToSixteenBehind() {
    GearPlaces of = places(170, 210.0, 260.0, 250, NEXT);
    assertAt(of.inFrom(), 170);
    assertAt(of.apexFrom(), 192);
    assertAt(of.apexTo(), 216);
  }

  /** From the throttle or the end of the apex, whichever is later, to flat or the edge. */
  @Test
  void theWayOutEndsWhereTheCarIsFlatOrOutAtTheEdge() {
    int afterApex = ROAD.indexOf(216) + 1;
    GearPlaces early = places(170, 210.0, 260.0, 250, NEXT);
    assertThat(early.outFrom()).isEqualTo(afterApex);
    assertAt(early.outTo(), 250);
    GearPlaces late = places(170, 230.0, 240.0, 250, NEXT);
    assertAt(late.outFrom(), 230);
    assertAt(late.outTo(), 240);
    GearPlaces neither = places(170, null, null, 270, NEXT);
    assertThat(neither.outFrom()).isEqualTo(afterApex);
    assertAt(neither.outTo(), 270);
  }

  @Test
  void theGearOutIsHeldForEightMetresAtLeast() {
    assertAt(places(170, 230.0, 231.0, 250, NEXT).outTo(), 238);
  }

  @Test
  void thereIsNoWayInWhereOneTurnsAtTheApex() {
    GearPlaces of = places(195, 210.0, 260.0, 250, NEXT);
    assertThat(of.inFrom()).isEqualTo(of.apexFrom());
  }

  @Test
  void theWayOutEndsBeforeTheNextCorner() {
    GearPlaces of = places(170, 230.0, 260.0, 250, ROAD.indexOf(220));
    assertThat(of.outFrom()).isEqualTo(ROAD.indexOf(220) - 1);
    assertThat(of.outTo()).isEqualTo(ROAD.indexOf(220) - 1);
  }
}
