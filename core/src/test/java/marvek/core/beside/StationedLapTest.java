package marvek.core.beside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestLaps;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.Channel;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.Recording;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import org.junit.jupiter.api.Test;

/** A lap at stations is a recording again that is read as the same lap. */
class StationedLapTest {
  private static final Road ROAD = Circuit.bare("varied", TestRoads.varied(5)).road();
  private static final Lap LAP =
      SpeedProfile.solve(
          Path.centreline(ROAD, List.of()), TestVehicles.clubCar(), Conditions.OF_NEW_BOOKS);

  private static AlongLap read(Recording recording) {
    return TestLaps.along(recording, ROAD, 2);
  }

  @Test
  void itIsReadAsTheSameLap() {
    AlongLap lap = read(new ModelRecording(100, 0, true, 1).of(List.of(LAP, LAP)));
    AlongLap again = read(StationedLap.of(lap, ROAD));
    for (int k = 10; k < lap.size() - 10; k += 25) {
      assertThat(again.timeAt(k)).isCloseTo(lap.timeAt(k), within(0.02));
      assertThat(again.speedAt(k)).isCloseTo(lap.speedAt(k), within(0.3));
      assertThat(again.offsetAt(k)).isCloseTo(lap.offsetAt(k), within(0.1));
    }
  }

  @Test
  void whatItHasNotIsLeftOut() {
    Recording blind = new ModelRecording(10, 0, false, 1).of(List.of(LAP, LAP));
    Recording again = StationedLap.of(read(blind), ROAD);
    assertThat(again.has(Channel.X)).isTrue();
    assertThat(again.has(Channel.BRAKE)).isFalse();
    assertThat(again.has(Channel.RPM)).isFalse();
  }
}
