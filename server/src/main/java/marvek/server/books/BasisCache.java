package marvek.server.books;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.DoubleConsumer;
import marvek.core.car.SetupSheet;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.SurfacePart;
import marvek.core.line.ChosenLine;
import marvek.core.line.School;
import marvek.core.page.Stakes;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import marvek.server.cars.Cars;
import marvek.server.circuits.CircuitChanged;
import marvek.server.circuits.Circuits;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Roads and lines of the books in use, so that a changed number is answered without searching the
 * line again. Cars and the layout versions that books use do not change; a version that is changed
 * before any book uses it is dropped here.
 */
@Component
class BasisCache {
  /** Samples of all lines that are kept: a dozen laps of 18 km at a metre. */
  private static final long MOST_SAMPLES = 220_000;

  private static final long MOST_STAKES = 24;

  private final Circuits circuits;
  private final Cars cars;
  private final FoundLines found;
  private final OnceCache<Key, Reference.Basis> kept = lines();
  private final OnceCache<SetKey, Reference.Basis> keptSet = lines();
  private final OnceCache<DayKey, ModelReference> keptModels =
      new OnceCache<>(MOST_SAMPLES, (key, model) -> model.lap().size());
  private final OnceCache<DayKey, ModelReference> keptWritten =
      new OnceCache<>(MOST_SAMPLES, (key, model) -> model.lap().size());
  private final OnceCache<DayKey, List<Stakes>> keptStakes =
      new OnceCache<>(MOST_STAKES, (key, stakes) -> 1);

  private static <K> OnceCache<K, Reference.Basis> lines() {
    return new OnceCache<>(MOST_SAMPLES, (key, basis) -> basis.path().size());
  }

  BasisCache(Circuits circuits, Cars cars, FoundLines found) {
    this.circuits = circuits;
    this.cars = cars;
    this.found = found;
  }

  /**
   * What a line depends on. The smooth one is the same for every day with the same room; the
   * fastest one follows grip, air and setup, though not the hour or the driver's feet.
   */
  private record Key(
      UUID circuit, UUID car, Room room, ChosenLine line, Conditions day, SetupSheet setup) {
    static Key of(UUID circuit, UUID car, Draft draft) {
      Conditions c = draft.conditions();
      boolean fastest = draft.line().isFastest();
      return new Key(
          circuit,
          car,
          Room.of(c),
          draft.line(),
          fastest ? lineDay(c) : null,
          fastest ? draft.setup() : null);
    }
  }

  /** What the room for a line depends on: where kerbs are wet, and the margin. */
  private record Room(boolean wet, List<SurfacePart> parts, double marginM) {
    static Room of(Conditions c) {
      return new Room(c.isWet(), c.parts(), c.marginM());
    }
  }

  private static Conditions lineDay(Conditions c) {
    return c.but().pedalChangeS(0).brakeBuildUpS(0).trackTemperatureC(null).at(null).build();
  }

  /** A line with a setup and with corners in ways of their own. */
  private record SetKey(
      Key line, SetupSheet setup, Map<Integer, School> schools, Conditions schoolDay) {}

  Reference.Basis get(UUID circuit, UUID car, Draft draft) {
    return get(circuit, car, draft, share -> {});
  }

  Reference.Basis get(UUID circuit, UUID car, Draft draft, DoubleConsumer progress) {
    Key key = Key.of(circuit, car, draft);
    Map<Integer, School> schools = Reference.schoolsOf(draft.own());
    if (draft.setup() == null && schools.isEmpty()) {
      return line(key, draft, progress);
    }
    SetKey setKey =
        new SetKey(
            key, draft.setup(), schools, schools.isEmpty() ? null : lineDay(draft.conditions()));
    return keptSet.get(setKey, () -> set(line(key, draft, progress), car, draft, schools));
  }

  private Reference.Basis set(
      Reference.Basis line, UUID car, Draft draft, Map<Integer, School> schools) {
    Reference.Basis basis = line;
    if (draft.setup() != null) {
      basis = basis.with(draft.setup().onto(cars.load(car).vehicle()));
    }
    return schools.isEmpty() ? basis : Reference.withSchools(basis, draft.conditions(), schools);
  }

  private Reference.Basis line(Key key, Draft draft, DoubleConsumer progress) {
    return kept.get(key, () -> search(key, draft, progress));
  }

  /** Found before, by any server of this build, or searched for. */
  private Reference.Basis search(Key key, Draft draft, DoubleConsumer progress) {
    Circuits.Loaded circuit = circuits.load(key.circuit());
    Cars.Loaded car = cars.load(key.car());
    Optional<String> digest = found.digest(circuit, car, draft, key.day());
    return digest
        .flatMap(found::find)
        .map(
            line ->
                Reference.basis(
                    circuit.circuit(), car.vehicle(), draft.line(), line.offsetsM(), line.still()))
        .orElseGet(
            () -> {
              Reference.Basis basis = searched(circuit, car.vehicle(), draft, progress);
              digest.ifPresent(known -> found.keep(known, basis));
              return basis;
            });
  }

  private static Reference.Basis searched(
      Circuits.Loaded circuit, Vehicle car, Draft draft, DoubleConsumer progress) {
    return Reference.basis(
            circuit.circuit(),
            draft.setup() == null ? car : draft.setup().onto(car),
            draft.conditions(),
            draft.line(),
            progress)
        .with(car);
  }

  /** What the model makes of a basis on a day, whatever the driver's own values are. */
  ModelReference model(Reference.Basis basis, Conditions conditions) {
    return keptModels.get(
        new DayKey(basis, conditions), () -> ModelReference.on(basis, conditions));
  }

  /** The same with both pedals on its pages, for those that are shown. */
  ModelReference written(Reference.Basis basis, Conditions conditions) {
    return keptWritten.get(
        new DayKey(basis, conditions), () -> model(basis, conditions).withPedals());
  }

  /** What slips cost on a basis in some conditions; worked out once for both. */
  List<Stakes> stakes(Reference.Basis basis, Conditions conditions) {
    return keptStakes.get(new DayKey(basis, conditions), () -> written(basis, conditions).stakes());
  }

  /** A basis is itself only: the same circuit read again is another one. */
  private record DayKey(Reference.Basis basis, Conditions conditions) {
    @Override
    public boolean equals(Object other) {
      return other instanceof DayKey key && key.basis == basis && key.conditions.equals(conditions);
    }

    @Override
    public int hashCode() {
      return 31 * System.identityHashCode(basis) + conditions.hashCode();
    }
  }

  /** Once the change is there for all: before, one could read what was and keep it. */
  @TransactionalEventListener(fallbackExecution = true)
  void forget(CircuitChanged changed) {
    kept.forget(key -> key.circuit().equals(changed.circuitId()));
    keptSet.forget(key -> key.line().circuit().equals(changed.circuitId()));
  }
}
