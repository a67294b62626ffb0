package marvek.server.books;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.DoubleConsumer;
import marvek.core.car.SetupSheet;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.SurfacePart;
import marvek.core.line.School;
import marvek.core.page.LineChoice;
import marvek.core.page.Stakes;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import marvek.server.cars.Cars;
import marvek.server.circuits.CircuitChanged;
import marvek.server.circuits.Circuits;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Roads and lines of the books in use, so that a changed number is answered without searching the
 * line again. Cars and the layout versions that books use do not change; a version that is changed
 * before any book uses it is dropped here.
 */
@Component
class BasisCache {
  private static final int KEPT = 12;

  private final Circuits circuits;
  private final Cars cars;
  private final Map<Key, Reference.Basis> kept = recent();

  private final Map<SetKey, Reference.Basis> keptSet = recent();

  private final Map<StakesKey, List<Stakes>> keptStakes = recent();

  private static <K, V> Map<K, V> recent() {
    return new LinkedHashMap<>(16, 0.75f, true) {
      private static final long serialVersionUID = 1L;

      @Override
      protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > KEPT;
      }
    };
  }

  BasisCache(Circuits circuits, Cars cars) {
    this.circuits = circuits;
    this.cars = cars;
  }

  /**
   * What a line depends on. The smooth one is the same for every day with the same room; the
   * fastest one follows grip, air and setup, though not the hour or the driver's feet.
   */
  private record Key(
      UUID circuit, UUID car, Room room, LineChoice line, Conditions day, SetupSheet setup) {
    static Key of(UUID circuit, UUID car, Draft draft) {
      Conditions c = draft.conditions();
      boolean fastest = draft.line() == LineChoice.FASTEST;
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
    synchronized (keptSet) {
      Reference.Basis known = keptSet.get(setKey);
      if (known != null) {
        return known;
      }
    }
    Reference.Basis basis = line(key, draft, progress);
    if (draft.setup() != null) {
      basis = basis.with(draft.setup().onto(cars.load(car).vehicle()));
    }
    if (!schools.isEmpty()) {
      basis = Reference.withSchools(basis, draft.conditions(), schools);
    }
    synchronized (keptSet) {
      keptSet.put(setKey, basis);
    }
    return basis;
  }

  private Reference.Basis line(Key key, Draft draft, DoubleConsumer progress) {
    synchronized (kept) {
      Reference.Basis basis = kept.get(key);
      if (basis != null) {
        return basis;
      }
    }
    Vehicle car = cars.load(key.car()).vehicle();
    Reference.Basis basis =
        Reference.basis(
            circuits.load(key.circuit()).circuit(),
            draft.setup() == null ? car : draft.setup().onto(car),
            draft.conditions(),
            draft.line(),
            progress);
    basis = basis.with(car);
    synchronized (kept) {
      kept.put(key, basis);
    }
    return basis;
  }

  /** What slips cost on a basis in some conditions; worked out once for both. */
  List<Stakes> stakes(Reference.Basis basis, Conditions conditions) {
    StakesKey key = new StakesKey(basis, conditions);
    synchronized (keptStakes) {
      List<Stakes> known = keptStakes.get(key);
      if (known != null) {
        return known;
      }
    }
    List<Stakes> stakes = Reference.stakes(basis, conditions);
    synchronized (keptStakes) {
      keptStakes.put(key, stakes);
    }
    return stakes;
  }

  /** A basis is itself only: the same circuit read again is another one. */
  private record StakesKey(Reference.Basis basis, Conditions conditions) {
    @Override
    public boolean equals(Object other) {
      return other instanceof StakesKey key
          && key.basis == basis
          && key.conditions.equals(conditions);
    }

    @Override
    public int hashCode() {
      return 31 * System.identityHashCode(basis) + conditions.hashCode();
    }
  }

  @EventListener
  void forget(CircuitChanged changed) {
    synchronized (kept) {
      kept.keySet().removeIf(key -> key.circuit().equals(changed.circuitId()));
    }
    synchronized (keptSet) {
      keptSet.keySet().removeIf(key -> key.line().circuit().equals(changed.circuitId()));
    }
  }
}
