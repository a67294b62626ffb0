package marvek.server.sessions;

import java.util.Collection;
import java.util.Set;
import java.util.UUID;

/**
 * Says whether a session was driven. Implemented by the feature that keeps laps, so that sessions
 * need not know it.
 */
public interface SessionUse {
  /** Those of some sessions that laps were brought in of. */
  Set<UUID> driven(Collection<UUID> sessionIds);
}
