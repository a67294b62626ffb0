package marvek.server.laps;

import java.util.Map;
import java.util.UUID;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.server.books.Books;
import marvek.server.sessions.Sessions;
import org.springframework.stereotype.Service;

/** Brings laps of the simulated logger into a session, for the demo. */
@Service
public class SimulatedLaps {
  private final SimulatedLogger logger;
  private final Laps laps;
  private final Debriefs debriefs;
  private final Sessions sessions;

  SimulatedLaps(SimulatedLogger logger, Laps laps, Debriefs debriefs, Sessions sessions) {
    this.logger = logger;
    this.laps = laps;
    this.debriefs = debriefs;
    this.sessions = sessions;
  }

  /**
   * Drives the session's book with some habits by corner; answers the file.
   *
   * @param seed of the errors that are no habit
   */
  public UUID bringIn(
      UUID sessionId, String name, int count, long seed, Map<Integer, Habit> habits) {
    Books.Computed computed = debriefs.computed(sessions.get(sessionId));
    byte[] file = logger.file(computed, SimulatedLogger.Kind.FULL, count, seed, habits);
    return laps.add(sessionId, computed, IncomingLaps.of(name, file)).stored().id();
  }
}
