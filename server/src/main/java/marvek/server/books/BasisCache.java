package marvek.server.books;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.DoubleConsumer;
import marvek.core.conditions.Conditions;
import marvek.core.page.LineChoice;
import marvek.core.page.Reference;
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
  private final Map<Key, Reference.Basis> kept =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Reference.Basis> eldest) {
          return size() > KEPT;
        }
      };

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

  @EventListener
  void forget(CircuitChanged changed) {
    synchronized (kept) {
      kept.keySet().removeIf(key -> key.circuit().equals(changed.circuitId()));
    }
  }
}
