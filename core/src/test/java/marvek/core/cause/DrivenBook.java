package marvek.core.cause;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.LapCutter;
import marvek.core.laps.LapReader;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.ReadLap;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.line.ChosenLine;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;

/** A book with all that is needed to keep accounts of laps against it. */
final class DrivenBook {
  private static final double STEP_M = 2;
  private static final double G0 = 9.80665;

  private final Vehicle car;
  private final Reference book;
  private final LapReader reader;
  private final ReadLap withPedals;
  private final ReadLap withoutPedals;
  private final List<Stakes> stakes;
  private final Accounts full;
  private final Accounts blind;

  private DrivenBook(Circuit circuit, Vehicle car, ChosenLine line) {
    this.car = car;
    Conditions day = Conditions.OF_NEW_BOOKS;
    Reference.Basis basis = Reference.basis(circuit, car, day, line);
    this.book = Reference.on(basis, day, List.of());
    double weight = G0 * (car.massKg() + car.driverKg());
    double halfRhoCdA = 0.5 * day.airDensityKgM3() * car.aero().cdAM2();
    this.reader =
        new LapReader(
            road(),
            book.pages(),
            Thresholds.DEFAULT,
            v -> halfRhoCdA * v * v / weight + car.rollingResistance());
    this.withPedals = pageItself(true);
    this.withoutPedals = pageItself(false);
    this.stakes = ModelReference.on(basis, day).stakes();
    this.full = new Accounts(book.pages(), stakes, book.lap(), withPedals, Thresholds.DEFAULT);
    this.blind = new Accounts(book.pages(), stakes, book.lap(), withoutPedals, Thresholds.DEFAULT);
  }

  static DrivenBook smooth(Circuit circuit, Vehicle car) {
    return new DrivenBook(circuit, car, ChosenLine.SMOOTH);
  }

  static DrivenBook fastest(Circuit circuit, Vehicle car) {
    return new DrivenBook(circuit, car, ChosenLine.FASTEST);
  }

  private ReadLap pageItself(boolean pedals) {
    ModelRecording logger = new ModelRecording(pedals ? 100 : 10, 0, pedals, 1);
    Lap lap = book.lap();
    return read(logger.of(road().closed() ? List.of(lap, lap) : List.of(lap))).get(0);
  }

  Reference book() {
    return book;
  }

  /** What its points are worth, in the order of the pages. */
  List<Stakes> stakes() {
    return stakes;
  }

  Road road() {
    return book.path().road();
  }

  ReadLap page(boolean pedals) {
    return pedals ? withPedals : withoutPedals;
  }

  Accounts accounts(boolean pedals) {
    return pedals ? full : blind;
  }

  /** A driver in the book's car. */
  SlipDriver driver() {
    return new SlipDriver(book, car);
  }

  /** A driver in a car that is heavier and weaker by a share. */
  SlipDriver inWorseCar(double share) {
    double kg = share * (car.massKg() + car.driverKg());
    return new SlipDriver(book, car.heavierBy(kg).withEngine(car.engine().scaled(1 - share)));
  }

  List<ReadLap> read(SlipDriver.Drive drive, double hz, double noiseM) {
    return read(drive.recorded(hz, noiseM, true, 7));
  }

  /** The whole laps of a recording. */
  List<ReadLap> read(Recording recording) {
    Stations stations = Stations.of(recording, road());
    List<ReadLap> laps = new ArrayList<>();
    for (RecordedLap lap : LapCutter.cut(recording, stations, road())) {
      if (lap.isWhole()) {
        AlongLap along = AlongLap.of(recording, stations, lap, road(), Thresholds.DEFAULT, STEP_M);
        laps.add(
            new ReadLap(along, reader.read(recording, stations, lap), stations.offsetErrorM()));
      }
    }
    return laps;
  }

  /** What these laps have in common. */
  List<Finding> findings(List<ReadLap> laps, boolean pedals) {
    return SessionCauses.of(
        road(),
        page(pedals).corners(),
        laps.stream().map(ReadLap::corners).toList(),
        laps.stream().map(accounts(pedals)::of).toList());
  }
}
