package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.TestRoads;
import org.junit.jupiter.api.Test;

class RoadSurfaceTest {
  private static final Road ROAD = Road.through(TestRoads.varied(5));

  private static Zone zone(Zone.Type type, Side side, double from, double to, double factor) {
    return new Zone(type, side, from, to, factor, "");
  }

  @Test
  void aZoneLiesOnItsSideAndOnItsStretchAlone() {
    RoadSurface surface =
        RoadSurface.of(ROAD, List.of(zone(Zone.Type.PATCH, Side.LEFT, 100, 120, 0.8)));
    int in = ROAD.indexOf(110);
    assertThat(surface.gripAt(in, 0.1)).isEqualTo(0.8);
    assertThat(surface.gripAt(in, -0.1)).isEqualTo(1);
    assertThat(surface.gripAt(in, 0)).isEqualTo(1);
    assertThat(surface.gripAt(ROAD.indexOf(98), 0.1)).isEqualTo(1);
    assertThat(surface.gripAt(ROAD.indexOf(122), 0.1)).isEqualTo(1);
    assertThat(surface.dampAt(in, 0.1)).isEqualTo(1);
  }

  @Test
  void theWorstOfSeveralCountsAndDampShadeIsTheRoadsWater() {
    RoadSurface surface =
        RoadSurface.of(
            ROAD,
            List.of(
                zone(Zone.Type.PATCH, Side.ROAD, 100, 140, 0.9),
                zone(Zone.Type.SLIPPERY_PAINT, Side.RIGHT, 120, 160, 0.7),
                zone(Zone.Type.DAMP_SHADE, Side.ROAD, 130, 150, 0.6)));
    int all = ROAD.indexOf(135);
    assertThat(surface.gripAt(all, -1)).isEqualTo(0.7);
    assertThat(surface.gripAt(all, 1)).isEqualTo(0.9);
    assertThat(surface.dampAt(all, 1)).isEqualTo(0.6);
  }

  /** Stations on a part of the road begin at 0; what lies on it does not move. */
  @Test
  void aPartAcrossTheLineHasWhatLiesThere() {
    double lap = ROAD.lengthM();
    List<Zone> across = List.of(zone(Zone.Type.BUMP, Side.ROAD, lap - 15, 10, 0.85));
    RoadSurface whole = RoadSurface.of(ROAD, across);
    int first = ROAD.indexOf(lap - 40);
    Road part = ROAD.part(first, 90);
    RoadSurface there = whole.part(first, 90);
    for (int k = 0; k < 90; k++) {
      assertThat(there.gripAt(k, 0)).isEqualTo(whole.gripAt(ROAD.wrap(first + k), 0));
      assertThat(
              ROAD.offsetBetween(part.surveyedStationAt(k), ROAD.stationAt(ROAD.wrap(first + k))))
          .isBetween(-1e-6, 1e-6);
      assertThat(part.surveyedStationAt(k)).isBetween(0.0, lap + ROAD.stepM());
    }
    assertThat(there.gripAt(30, 0)).isEqualTo(0.85);
    assertThat(there.gripAt(5, 0)).isEqualTo(1);
  }
}
