package marvek.server.books;

import java.util.UUID;
import marvek.server.circuits.CircuitUse;
import org.springframework.stereotype.Component;

/** A layout version is used once a revision was made for it. */
@Component
class BookUse implements CircuitUse {
  private final RevisionRepository revisions;

  BookUse(RevisionRepository revisions) {
    this.revisions = revisions;
  }

  @Override
  public boolean isUsed(UUID circuitId) {
    return revisions.existsByCircuitId(circuitId);
  }
}
