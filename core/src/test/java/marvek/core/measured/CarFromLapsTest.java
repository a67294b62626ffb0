package marvek.core.measured;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.GearRatios;
import marvek.core.laps.LapCutter;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.line.ChosenLine;
import marvek.core.measured.CarValue.Kind;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/**
 * Laps of cars that are another than the book's in one value or in several, by the model with the
 * page's line, written down by a logger and read again: what was changed comes back, and what was
 * not stays the book's. A driver of another hand is in {@code WeakerCarTest} and {@code
 * RolledThrottleTest}.
 */
class CarFromLapsTest {
  private static final Vehicle WINGED = TestVehicles.clubCar().withAero(new Aero(0.8, 1.6, 0.45));
  private static final Reference BOOK = book();
  private static final AlongLap PAGE = laps(recorded(BOOK.lap())).get(0);

  private static Reference book() {
    Reference.Basis basis =
        Reference.basis(
            Circuit.bare("varied", TestRoads.varied(5)),
            WINGED,
            Conditions.DEFAULT,
            ChosenLine.SMOOTH);
    return Reference.on(basis, Conditions.DEFAULT, List.of());
  }

  private static Lap driven(Vehicle car) {
    return SpeedProfile.solve(BOOK.path(), car, BOOK.lap().conditions());
  }

  private static Recording recorded(Lap lap) {
    return new ModelRecording(100, 0.02, true, 1).of(List.of(lap, lap, lap));
  }

  private static List<AlongLap> laps(Recording recording) {
    Stations stations = Stations.of(recording, BOOK.path().road());
    return LapCutter.cut(recording, stations, BOOK.path().road()).stream()
        .filter(RecordedLap::isWhole)
        .map(
            lap -> AlongLap.of(recording, stations, lap, BOOK.path().road(), Thresholds.DEFAULT, 2))
        .toList();
  }

  private static CarFromLaps measured(Vehicle car) {
    Recording recording = recorded(driven(car));
    return CarFromLaps.of(BOOK.lap(), PAGE, laps(recording), GearRatios.of(recording));
  }

  private static CarValue value(CarFromLaps of, Kind kind, int gear) {
    return of.values().stream()
        .filter(v -> v.kind() == kind && v.gear() == gear)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void theBooksOwnCarComesBackAsItIs() {
    CarFromLaps same = measured(WINGED);
    assertThat(same.values())
        .extracting(CarValue::kind)
        .contains(
            Kind.POWER,
            Kind.DRAG_AREA,
            Kind.GEAR_RATIO,
            Kind.UPSHIFT,
            Kind.GRIP_ACROSS,
            Kind.GRIP_ALONG,
            Kind.DOWNFORCE_AREA);
    assertThat(same.differing()).isEmpty();
    assertThat(same.massKg()).isEqualTo(BOOK.lap().forces().massKg());
  }

  @Test
  void moreGripAndMoreDownforceAreToldApart() {
    CarFromLaps grippy = measured(WINGED.withTyre(WINGED.tyre().times(1.05)));
    double mu = WINGED.tyre().muLateral();
    assertThat(value(grippy, Kind.GRIP_ACROSS, 0).after()).isCloseTo(1.05 * mu, within(0.01 * mu));
    double along = WINGED.tyre().muLongitudinal();
    assertThat(value(grippy, Kind.GRIP_ALONG, 0).after())
        .isCloseTo(1.05 * along, within(0.02 * along));
    assertThat(value(grippy, Kind.DOWNFORCE_AREA, 0).differs()).isFalse();

    CarFromLaps pressed = measured(WINGED.withAero(new Aero(0.8, 2.0, 0.45)));
    assertThat(value(pressed, Kind.DOWNFORCE_AREA, 0).after()).isCloseTo(2.0, within(0.08));
    assertThat(value(pressed, Kind.GRIP_ACROSS, 0).after()).isCloseTo(mu, within(0.012 * mu));
  }

  @Test
  void gearsAndTheirChangesComeBack() {
    Gearbox box = WINGED.gearbox();
    CarFromLaps slow = measured(WINGED.withGearbox(box.withUpshiftS(0.3)));
    assertThat(value(slow, Kind.UPSHIFT, 0).after()).isCloseTo(0.3, within(0.03));

    CarFromLaps fourth = measured(WINGED.withGearbox(box.withRatio(4, 0.97 * box.ratio(4))));
    assertThat(value(fourth, Kind.GEAR_RATIO, 4).after())
        .isCloseTo(0.97 * box.ratio(4), within(0.003 * box.ratio(4)));
    assertThat(value(fourth, Kind.GEAR_RATIO, 4).differs()).isTrue();
    assertThat(value(fourth, Kind.GEAR_RATIO, 3).differs()).isFalse();
  }

  /** Forces show over the mass: a scale settles it, and a share of the grip likewise. */
  @Test
  void oneNumberEachSettlesWhatLapsCannotTell() {
    CarFromLaps found = measured(WINGED);
    CarFromLaps heavier = found.weighing(1.1 * found.massKg());
    assertThat(value(heavier, Kind.POWER, 0).after())
        .isCloseTo(1.1 * value(found, Kind.POWER, 0).after(), within(1e-9));
    assertThat(value(heavier, Kind.GRIP_ACROSS, 0)).isEqualTo(value(found, Kind.GRIP_ACROSS, 0));
    assertThat(value(heavier, Kind.GEAR_RATIO, 3)).isEqualTo(value(found, Kind.GEAR_RATIO, 3));
    CarFromLaps calm = found.using(found.gripUsed() / 1.05);
    assertThat(value(calm, Kind.GRIP_ACROSS, 0).after())
        .isCloseTo(1.05 * value(found, Kind.GRIP_ACROSS, 0).after(), within(1e-9));
    assertThatThrownBy(() -> found.weighing(20)).isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> found.using(1.3)).isInstanceOf(InvalidValueException.class);
  }

  /** Several values at once, put into the book's car: its lap is the driven one within 0.3 %. */
  @Test
  void theLapOfTheMeasuredCarIsTheOneThatWasDriven() {
    Vehicle other =
        WINGED
            .withEngine(WINGED.engine().scaled(0.93))
            .withAero(new Aero(0.88, 1.6, 0.45))
            .withTyre(WINGED.tyre().times(1.03))
            .withGearbox(WINGED.gearbox().withUpshiftS(0.25));
    CarFromLaps found = measured(other);
    Vehicle measured = WINGED;
    for (CarValue value : found.values()) {
      measured = value.onto(measured);
    }
    assertThat(value(found, Kind.POWER, 0).after()).isCloseTo(0.93, within(0.0186));
    assertThat(value(found, Kind.DRAG_AREA, 0).after()).isCloseTo(0.88, within(0.0176));
    double lapS = driven(other).timeS();
    assertThat(driven(measured).timeS()).isCloseTo(lapS, within(0.003 * lapS));
    assertThat(Math.abs(BOOK.lap().timeS() - lapS)).as("the cars differ").isGreaterThan(0.3);
  }

  @Test
  void ofTooFewLapsNothingIsSaid() {
    Recording recording = recorded(BOOK.lap());
    List<AlongLap> two = laps(recording).subList(0, 2);
    assertThat(CarFromLaps.of(BOOK.lap(), PAGE, two, GearRatios.of(recording)).values()).isEmpty();
  }
}
