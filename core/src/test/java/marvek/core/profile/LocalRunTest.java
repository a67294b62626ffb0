package marvek.core.profile;

import static marvek.core.TestVehicles.FULL_GRIP;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A part run again against the whole lap solved again, with one gear so that both use the same. */
class LocalRunTest {
  private static final Vehicle ONE_GEAR =
      TestVehicles.bare(
          Vehicle.Drive.REAR,
          0.4,
          0.48,
          1.2,
          new Brakes(15_000, 0.6),
          TestVehicles.engine(),
          new Gearbox(new double[] {1.4}, 3.9, 0.92, 0, 0),
          0.8);
  private static final Path ROUND = Path.centreline(Road.through(TestRoads.varied(5)), List.of());
  private final Lap lap = SpeedProfile.solve(ROUND, ONE_GEAR, FULL_GRIP);

  private ProfileOptions slowerAt(Lap lap, int sample, double by) {
    double[] cap = new double[lap.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[sample] = lap.speedAt(sample) - by;
    return ProfileOptions.NONE.withSpeedCap(cap);
  }

  private int before(Lap lap, int sample, double metres) {
    return lap.path().road().wrap(sample - lap.path().road().samples(metres));
  }

  /** Wherever a speed is held down: on straights, in bends, across the start line. */
  @ParameterizedTest
  @ValueSource(doubles = {5, 300, 462, 640, 905, 1400, 3090})
  void aPartCostsWhatTheWholeLapDoes(double stationM) {
    int at = ROUND.road().indexOf(stationM);
    ProfileOptions slower = slowerAt(lap, at, 2);
    LocalRun.Result part = LocalRun.of(lap, ROUND, slower, before(lap, at, 150), 160);
    Lap whole = SpeedProfile.solve(ROUND, ONE_GEAR, FULL_GRIP, slower);
    assertThat(part.settled()).isTrue();
    assertThat(part.lostS()).isPositive();
    // The whole lap closes to a millionth of the speed's square, the part to a ten-millionth.
    assertThat(part.lostS()).isCloseTo(whole.timeS() - lap.timeS(), within(2e-5));
  }

  /** Nothing changed costs nothing; drive taken away costs as much as on the whole lap. */
  @Test
  void whatDoesNotChangeCostsNothing() {
    int from = ROUND.road().indexOf(600);
    LocalRun.Result same = LocalRun.of(lap, ROUND, ProfileOptions.NONE, from, 100);
    assertThat(same.settled()).isTrue();
    assertThat(same.lostS()).isCloseTo(0, within(1e-7));
    boolean[] none = new boolean[lap.size()];
    Arrays.fill(none, 560, 590, true);
    ProfileOptions lifted = ProfileOptions.NONE.withNoDrive(none);
    double whole = SpeedProfile.solve(ROUND, ONE_GEAR, FULL_GRIP, lifted).timeS() - lap.timeS();
    assertThat(whole).isGreaterThan(0.01);
    assertThat(LocalRun.of(lap, ROUND, lifted, 540, 60).lostS()).isCloseTo(whole, within(2e-5));
  }

  /** Another line in one corner: shorter or tighter, the part tells the same as the lap. */
  @ParameterizedTest
  @ValueSource(doubles = {-2, 1.5})
  void anotherLineInAPartIsTimedAlike(double asideM) {
    double[] offsets = new double[lap.size()];
    int at = ROUND.road().indexOf(470);
    for (int k = -40; k <= 40; k++) {
      offsets[at + k] = asideM * 0.5 * (1 + Math.cos(Math.PI * k / 40));
    }
    Path other = Path.at(ROUND.road(), offsets, List.of());
    double whole = SpeedProfile.solve(other, ONE_GEAR, FULL_GRIP).timeS() - lap.timeS();
    assertThat(Math.abs(whole)).isGreaterThan(0.02);
    LocalRun.Result part = LocalRun.of(lap, other, ProfileOptions.NONE, before(lap, at, 250), 300);
    assertThat(part.settled()).isTrue();
    assertThat(part.lostS()).isCloseTo(whole, within(2e-5));
  }

  /** To the end of an open road the speed is not met again: said so, and all of it counted. */
  @Test
  void whatIsNotMetAgainIsSaid() {
    Path open =
        Path.centreline(
            Road.through(TestRoads.every(10).straight(260).survey(false, 6, 0, 0)), List.of());
    Lap lap = SpeedProfile.solve(open, ONE_GEAR, FULL_GRIP, slowerThan(open, 0, 15));
    ProfileOptions slower = slowerAt(lap, 200, 3);
    LocalRun.Result part = LocalRun.of(lap, open, slower, 120, 90);
    assertThat(part.settled()).isFalse();
    double[] both = new double[open.size()];
    Arrays.fill(both, Double.POSITIVE_INFINITY);
    both[0] = 15;
    both[200] = lap.speedAt(200) - 3;
    Lap whole =
        SpeedProfile.solve(open, ONE_GEAR, FULL_GRIP, ProfileOptions.NONE.withSpeedCap(both));
    assertThat(part.lostS()).isCloseTo(whole.timeS() - lap.timeS(), within(1e-6));
  }

  private static ProfileOptions slowerThan(Path path, int sample, double speedMps) {
    double[] cap = new double[path.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[sample] = speedMps;
    return ProfileOptions.NONE.withSpeedCap(cap);
  }
}
