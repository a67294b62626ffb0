package marvek.server.books;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.car.BrakeBalance;
import marvek.core.car.Figures;
import marvek.core.car.GearPicture;
import marvek.core.car.GripPicture;
import marvek.core.car.Sensitivities;
import marvek.core.car.SetupSheet;
import marvek.core.car.SheetComparison;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.reference.TwoBooks;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;
import marvek.formats.CarJson;
import marvek.server.cars.CarChanges;
import marvek.server.cars.Cars;
import marvek.server.contract.InFormat;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a book's car is worth on its circuit, and one book beside another. */
@Service
class CarAnswers {
  private final Books books;
  private final Cars cars;

  CarAnswers(Books books, Cars cars) {
    this.books = books;
    this.cars = cars;
  }

  /**
   * The car on the circuit.
   *
   * @param wet the balance with the same car and driver on a wet road
   */
  record CarOnCircuit(
      String name,
      Vehicle.Kind kind,
      double lap_s,
      GearPicture.Result gears,
      Figures figures,
      List<GripPicture.AtSpeed> grip,
      BrakeBalance.Result dry,
      BrakeBalance.Result wet,
      List<Sensitivities.Effect> effects) {}

  CarOnCircuit car(UUID bookId, Draft draft) {
    Reference.Basis basis = books.basis(bookId, draft);
    Conditions day = draft.conditions();
    Lap lap = SpeedProfile.solve(basis.path(), basis.vehicle(), day);
    double top = lap.topSpeedMps();
    return new CarOnCircuit(
        basis.vehicle().name(),
        basis.vehicle().kind(),
        lap.timeS(),
        GearPicture.of(lap),
        Figures.of(lap),
        GripPicture.of(lap, top / 3, 2 * top / 3, top),
        BrakeBalance.of(on(basis, day.withSurface(Conditions.Surface.DRY))),
        BrakeBalance.of(on(basis, day.withSurface(Conditions.Surface.WET))),
        Sensitivities.of(lap));
  }

  /**
   * A car with some of its numbers changed, on the book's line.
   *
   * @param car every value, with the changed ones
   * @param was_s the lap of the car as it is
   */
  record ChangedCar(
      @InFormat("car") JsonNode car,
      double lap_s,
      double was_s,
      double topSpeed_mps,
      double wasTopSpeed_mps) {}

  ChangedCar changed(UUID bookId, Draft draft, Map<String, Double> changes) {
    Reference.Basis basis = books.basis(bookId, draft);
    Vehicle car = cars.load(books.get(bookId).carId()).vehicle();
    ObjectNode document = CarChanges.on(car, changes);
    Vehicle changed = CarJson.read(document).value();
    Vehicle driven = draft.setup() == null ? changed : draft.setup().onto(changed);
    Lap was = on(basis, draft.conditions());
    Lap now = changes.isEmpty() ? was : on(basis.with(driven), draft.conditions());
    return new ChangedCar(document, now.timeS(), was.timeS(), now.topSpeedMps(), was.topSpeedMps());
  }

  private static Lap on(Reference.Basis basis, Conditions day) {
    return SpeedProfile.solve(basis.path(), basis.vehicle(), day);
  }

  /** Two sheets of the book's car on its line. */
  SheetComparison.Result compare(UUID bookId, Draft draft, SetupSheet first, SetupSheet second) {
    Reference.Basis basis = books.basis(bookId, draft);
    Lap lap = on(basis, draft.conditions());
    Vehicle car = cars.load(books.get(bookId).carId()).vehicle();
    return SheetComparison.of(car, lap, first, second);
  }

  /** A corner of both books. */
  record Beside(
      String first,
      String second,
      double firstLap_s,
      double secondLap_s,
      List<TwoBooks.Row> rows) {}

  /**
   * The newest revisions of two books of one place side by side.
   *
   * @throws marvek.core.InvalidValueException if they are of different circuits
   */
  Beside beside(UUID firstId, UUID secondId) {
    Books.BookView first = books.get(firstId);
    Books.BookView second = books.get(secondId);
    if (!first.newestCircuitId().equals(second.newestCircuitId())) {
      throw new marvek.core.InvalidValueException(
          "other",
          Sentence.of(
              "refused.book-elsewhere", "second", second.circuit(), "first", first.circuit()));
    }
    Reference a = books.recompute(firstId, books.newestNumber(firstId)).reference();
    Reference b = books.recompute(secondId, books.newestNumber(secondId)).reference();
    return new Beside(
        first.name(), second.name(), a.lap().timeS(), b.lap().timeS(), TwoBooks.of(a, b));
  }
}
