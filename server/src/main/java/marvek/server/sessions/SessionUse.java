package marvek.server.sessions;

import java.util.UUID;

/**
 * Says whether a session was driven. Implemented by the feature that keeps laps, so that sessions
 * need not know it.
 */
public interface SessionUse {
  /** Whether laps of this session were brought in. */
  boolean isDriven(UUID sessionId);
}
