package marvek.server.laps;

import java.util.UUID;
import marvek.server.sessions.SessionUse;
import org.springframework.stereotype.Component;

/** A session is driven once a file of laps was brought in for it. */
@Component
class LapUse implements SessionUse {
  private final LapFileRepository files;

  LapUse(LapFileRepository files) {
    this.files = files;
  }

  @Override
  public boolean isDriven(UUID sessionId) {
    return files.existsBySessionId(sessionId);
  }
}
