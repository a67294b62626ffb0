package marvek.server.laps;

import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import marvek.core.conditions.Conditions;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.reference.Reference;
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
    return bringIn(
        sessionId, name, IncomingLaps.Whose.OWN, page -> page, new Run(count, seed, habits));
  }

  /**
   * What is driven.
   *
   * @param seed of the errors that are no habit
   */
  record Run(int laps, long seed, Map<Integer, Habit> habits) {}

  /** The pages that somebody drives by. */
  record Driven(Books.Computed computed) {
    /** The model's own with another share of the grip: none of the driver's values. */
    Driven with(double gripUsed) {
      Conditions day = computed.conditions().withGripUsed(gripUsed);
      Reference reference = Reference.on(computed.basis(), day, List.of());
      return new Driven(new Books.Computed(computed.document(), reference, computed.basis(), day));
    }
  }

  /** The same of anybody, who drives by other pages than the session's. */
  UUID bringIn(
      UUID sessionId, String name, IncomingLaps.Whose whose, UnaryOperator<Driven> pages, Run run) {
    Books.Computed computed = debriefs.computed(sessions.get(sessionId));
    byte[] file =
        logger.file(
            pages.apply(new Driven(computed)).computed(),
            SimulatedLogger.Kind.FULL,
            run.laps(),
            run.seed(),
            run.habits());
    IncomingLaps incoming =
        new IncomingLaps(name, () -> new ByteArrayInputStream(file), Map.of(), 0, whose);
    return laps.add(sessionId, computed, incoming).stored().id();
  }
}
