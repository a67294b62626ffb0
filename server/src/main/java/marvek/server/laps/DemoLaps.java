package marvek.server.laps;

import java.util.Map;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.laps.SimulatedDriver.Kind;
import marvek.server.books.Books;
import marvek.server.books.DemoFilled;
import marvek.server.sessions.Sessions;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Twelve laps of the demo's practice, with a driver's six habits. */
@Component
class DemoLaps {
  private static final int LAPS = 12;
  private static final long SEED = 12;

  /** By corner: each another slip. */
  static final Map<Integer, Habit> HABITS =
      Map.of(
          1, new Habit(Kind.BRAKES_EARLY, 12),
          2, new Habit(Kind.OVER_SLOWS, 1.9),
          4, new Habit(Kind.THROTTLE_LATE, 14),
          8, new Habit(Kind.LIFTS, 22),
          9, new Habit(Kind.WIDE_AT_APEX, 1.4),
          13, new Habit(Kind.GEAR_HIGHER, 1));

  private final SimulatedLaps simulated;
  private final Sessions sessions;
  private final Books books;

  DemoLaps(SimulatedLaps simulated, Sessions sessions, Books books) {
    this.simulated = simulated;
    this.sessions = sessions;
    this.books = books;
  }

  /** After the weekend is planned: its first session is the practice. */
  @EventListener
  @Order(2)
  void fill(DemoFilled demo) {
    Sessions.Kept practice = sessions.of(books.get(demo.bookId())).get(0);
    simulated.bringIn(practice.id(), "practice.laps.csv", LAPS, SEED, HABITS);
  }
}
