package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import org.junit.jupiter.api.Test;

/** At which samples a line is sought. */
class GridTest {
  /** The first and the last third of a road are held. */
  private static boolean[] held(Road road) {
    boolean[] held = new boolean[road.size()];
    Arrays.fill(held, true);
    Arrays.fill(held, road.size() / 3, 2 * road.size() / 3, false);
    return held;
  }

  private static Grid grid(Lap lap, boolean[] held) {
    return Grid.of(Reach.whole(lap.path().road()), lap, held);
  }

  private static Lap centre(Circuit circuit) {
    return SpeedProfile.solve(
        Path.centreline(circuit.road(), List.of()), TestVehicles.clubCar(), Conditions.DEFAULT);
  }

  @Test
  void everySampleWhereTheLineIsFreeOrJoinsWhatIsHeld() {
    for (Circuit circuit : List.of(MadeRoads.of(11, 1), MadeRoads.open())) {
      Lap lap = centre(circuit);
      Road road = lap.path().road();
      Grid grid = grid(lap, held(road));
      Set<Integer> places = new HashSet<>();
      for (int p = 0; p < grid.size(); p++) {
        places.add(grid.at(p));
      }
      for (int i = road.size() / 3 - 4; i < 2 * road.size() / 3 + 4; i++) {
        assertThat(places).contains(i);
      }
      assertThat(grid.at(0)).isZero();
      assertThat(grid.at(grid.size() - 1)).isEqualTo(road.size() - 1);
    }
  }

  /** A free part that begins behind the line joins what is held before the line. */
  @Test
  void joinsAreSeenAcrossTheSeam() {
    Lap lap = centre(MadeRoads.of(11, 1));
    int n = lap.size();
    for (int from : new int[] {1, n - 31}) {
      boolean[] held = new boolean[n];
      Arrays.fill(held, true);
      Arrays.fill(held, from, from + 30, false);
      Grid grid = grid(lap, held);
      Set<Integer> places = new HashSet<>();
      for (int p = 0; p < grid.size(); p++) {
        places.add(grid.at(p));
      }
      for (int k = -4; k < 34; k++) {
        assertThat(places).contains(Math.floorMod(from + k, n));
      }
    }
  }

  @Test
  void asFarApartAsTheCarGoesInAMomentWhereItIsHeld() {
    for (Circuit circuit : List.of(MadeRoads.of(11, 1), MadeRoads.open())) {
      Lap lap = centre(circuit);
      Road road = lap.path().road();
      Grid grid = grid(lap, held(road));
      int all = 0;
      for (int p = 0; p < grid.elements(); p++) {
        int gap = grid.gap(p);
        int i = grid.at(p);
        int most = (int) Math.min(6, Math.max(1, lap.speedAt(i) * 0.08 / road.stepM()));
        boolean away = i < road.size() / 3 - 10 || i > 2 * road.size() / 3 + 4;
        boolean ends = i + most >= road.size() - 1;
        assertThat(gap).as("at %d", i).isBetween(away && !ends ? most : 1, most);
        assertThat(road.wrap(i + gap)).isEqualTo(grid.at(p + 1));
        all += gap;
      }
      assertThat(all).isEqualTo(road.closed() ? road.size() : road.size() - 1);
    }
  }

  @Test
  void aFreeRoadIsSoughtAtEverySample() {
    Lap lap = centre(MadeRoads.of(11, 1));
    assertThat(grid(lap, new boolean[lap.size()]).size()).isEqualTo(lap.size());
  }
}
