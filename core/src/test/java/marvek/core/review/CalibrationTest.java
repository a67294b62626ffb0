package marvek.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.LapCutter;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Laps of another grip and another drag than the model's: both are found again. */
class CalibrationTest {
  private static final Road ROAD = Circuit.bare("varied", TestRoads.varied(5)).road();
  private static final Path PATH = Path.centreline(ROAD, List.of());
  private static final Vehicle CAR = TestVehicles.clubCar();
  private static final Conditions DAY = Conditions.DEFAULT.withGripUsed(0.92);

  private static AlongLap along(Lap lap) {
    Recording recording = new ModelRecording(100, 0.2, true, 4).of(List.of(lap, lap));
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap whole =
        LapCutter.cut(recording, stations, ROAD).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    return AlongLap.of(recording, stations, whole, ROAD, Thresholds.DEFAULT, 2);
  }

  private static java.util.Optional<Calibration> calibrated(Vehicle car, Conditions day) {
    AlongLap page = along(SpeedProfile.solve(PATH, CAR, DAY));
    AlongLap lap = along(SpeedProfile.solve(PATH, car, day));
    return Calibration.of(PATH, CAR, DAY, page, List.of(lap, lap, lap));
  }

  @Test
  void whereTheLapsAreTheModelsNothingIsOffered() {
    assertThat(calibrated(CAR, DAY)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.80, 0.86, 0.96})
  void theGripThatWasUsedIsFoundAgain(double used) {
    Calibration found = calibrated(CAR, DAY.withGripUsed(used)).orElseThrow();
    assertThat(found.gripUsed()).isCloseTo(used, within(0.015));
    assertThat(found.gripFactor()).isEqualTo(1);
  }

  /** More grip than the whole of the car's cannot be the driver. */
  @Test
  void moreThanAllOfTheGripIsTheTyres() {
    Calibration found =
        calibrated(CAR.withTyre(CAR.tyre().times(1.15)), DAY.withGripUsed(0.97)).orElseThrow();
    assertThat(found.gripUsed()).isCloseTo(0.97, within(1e-9));
    assertThat(found.gripFactor()).isCloseTo(1.15, within(0.03));
  }

  @Test
  void anotherDragShowsInTheTopSpeed() {
    Aero air = CAR.aero();
    double cdA = air.cdAM2() * 1.4;
    Vehicle draggy = CAR.withAero(new Aero(cdA, air.clAM2(), air.frontShare()));
    Calibration found = calibrated(draggy, DAY).orElseThrow();
    assertThat(found.topMps()).isLessThan(found.topPageMps());
    assertThat(found.cdAM2()).isCloseTo(cdA, within(0.05 * cdA));
  }

  @Test
  void twoLapsSayNothing() {
    AlongLap lap = along(SpeedProfile.solve(PATH, CAR, DAY.withGripUsed(0.8)));
    AlongLap page = along(SpeedProfile.solve(PATH, CAR, DAY));
    assertThat(Calibration.of(PATH, CAR, DAY, page, List.of(lap, lap))).isEmpty();
  }
}
