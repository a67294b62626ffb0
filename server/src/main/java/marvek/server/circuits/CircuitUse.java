package marvek.server.circuits;

import java.util.UUID;

/**
 * Says whether a layout version is used. Implemented by the feature that uses circuits, so that
 * circuits need not know it.
 */
public interface CircuitUse {
  /**
   * Whether a revision of a book was made for this version, so that it must not change any more.
   */
  boolean isUsed(UUID circuitId);
}
