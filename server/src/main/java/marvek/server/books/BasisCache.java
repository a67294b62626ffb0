package marvek.server.books;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.DoubleConsumer;
import marvek.core.conditions.Conditions;
import marvek.core.page.LineChoice;
import marvek.core.page.Reference;
import marvek.core.page.Stakes;
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

  private record Key(UUID circuit, UUID car, boolean wet, LineChoice line) {}

  Reference.Basis get(UUID circuit, UUID car, Conditions conditions, LineChoice line) {
    return get(circuit, car, conditions, line, share -> {});
  }

  Reference.Basis get(
      UUID circuit, UUID car, Conditions conditions, LineChoice line, DoubleConsumer progress) {
    Key key = new Key(circuit, car, conditions.isWet(), line);
    synchronized (kept) {
      Reference.Basis basis = kept.get(key);
      if (basis != null) {
        return basis;
      }
    }
    Reference.Basis basis =
        Reference.basis(
            circuits.load(circuit).circuit(), cars.load(car).vehicle(), conditions, line, progress);
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
  }
}
