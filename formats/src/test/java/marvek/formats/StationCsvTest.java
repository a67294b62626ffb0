package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import marvek.core.TestLaps;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.beside.LapsBeside;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.Recording;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** Two laps with their difference, one row a station. */
class StationCsvTest {
  private static final Road ROAD = Circuit.bare("varied", TestRoads.varied(5)).road();

  /** A lap along the middle of the road as a logger writes it. */
  private static AlongLap lap(double power, boolean pedals) {
    Vehicle car = TestVehicles.clubCar();
    Vehicle driven = car.withEngine(car.engine().scaled(power));
    Lap lap = SpeedProfile.solve(Path.centreline(ROAD, List.of()), driven, Conditions.OF_NEW_BOOKS);
    Recording recording = new ModelRecording(50, 0, pedals, 1).of(List.of(lap, lap));
    return TestLaps.along(recording, ROAD, 2);
  }

  @Test
  void eachRowHasBothLapsAndWhatLiesBetween() {
    AlongLap first = lap(1, true);
    AlongLap second = lap(1.04, false);
    LapsBeside beside = new LapsBeside(first, second, ROAD.lengthM());
    byte[] file = StationCsv.difference(first, second, beside);
    String[] rows = new String(file, StandardCharsets.UTF_8).split("\r\n");
    List<String> header = Arrays.asList(rows[0].split(","));
    assertThat(rows).hasSize(beside.size() + 1);
    int k = beside.size() / 2;
    String[] row = rows[k + 1].split(",", -1);
    assertThat(row).hasSize(header.size());
    assertThat(figure(row, header, "distance_m")).isEqualTo(first.stationAt(k));
    assertThat(figure(row, header, "behind_s")).isCloseTo(beside.behindAt(k), within(1e-4));
    assertThat(figure(row, header, "time_s") - figure(row, header, "other_time_s"))
        .isCloseTo(beside.behindAt(k), within(2e-4));
    assertThat(figure(row, header, "speed_mps")).isCloseTo(first.speedAt(k), within(1e-3));
    assertThat(figure(row, header, "other_speed_mps")).isCloseTo(second.speedAt(k), within(1e-3));
    assertThat(row[header.indexOf("brake_pct")]).isNotEmpty();
    assertThat(row[header.indexOf("other_brake_pct")]).as("it has no brake sensor").isEmpty();
  }

  private static double figure(String[] row, List<String> header, String column) {
    return Double.parseDouble(row[header.indexOf(column)]);
  }
}
