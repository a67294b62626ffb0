package marvek.server.laps;

import java.util.Collection;
import java.util.Set;
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
  public Set<UUID> driven(Collection<UUID> sessionIds) {
    return files.sessionsAmong(sessionIds);
  }
}
