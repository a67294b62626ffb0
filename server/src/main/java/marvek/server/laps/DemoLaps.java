package marvek.server.laps;

import java.util.List;
import java.util.Map;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.laps.SimulatedDriver.Kind;
import marvek.server.books.Books;
import marvek.server.books.DemoFilled;
import marvek.server.sessions.Sessions;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Twelve laps of the demo's practice, with a driver's six habits; a team-mate's of the same day,
 * and some of the year before.
 */
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

  /** The year before: slower, and with two habits that are gone by now. */
  private static final int LAPS_BEFORE = 5;

  private static final long SEED_BEFORE = 31;
  private static final double GRIP_BEFORE = 0.88;

  private static final Map<Integer, Habit> HABITS_BEFORE =
      Map.of(1, new Habit(Kind.BRAKES_EARLY, 22), 6, new Habit(Kind.OVER_SLOWS, 2.4));

  /** A team-mate in the same car: more of the grip, and the model's points for the driver's own. */
  private static final String MATE = "Mira Soldal";

  private static final int LAPS_OF_MATE = 5;
  private static final long SEED_OF_MATE = 7;
  private static final double GRIP_OF_MATE = 0.94;

  private final SimulatedLaps simulated;
  private final Sessions sessions;
  private final Books books;

  DemoLaps(SimulatedLaps simulated, Sessions sessions, Books books) {
    this.simulated = simulated;
    this.sessions = sessions;
    this.books = books;
  }

  /** After the weekend is planned: before it there is the session of last year. */
  @EventListener
  @Order(2)
  void fill(DemoFilled demo) {
    List<Sessions.Kept> planned = sessions.of(books.get(demo.bookId()));
    Sessions.Kept before = planned.get(0);
    Sessions.Kept practice = planned.get(1);
    simulated.bringIn(practice.id(), "practice.laps.csv", LAPS, SEED, HABITS);
    simulated.bringIn(
        before.id(),
        "last-year.laps.csv",
        IncomingLaps.Whose.OWN,
        page -> page.with(GRIP_BEFORE),
        new SimulatedLaps.Run(LAPS_BEFORE, SEED_BEFORE, HABITS_BEFORE));
    simulated.bringIn(
        practice.id(),
        "team-mate.laps.csv",
        new IncomingLaps.Whose(MATE, ""),
        page -> page.with(GRIP_OF_MATE),
        new SimulatedLaps.Run(LAPS_OF_MATE, SEED_OF_MATE, Map.of()));
  }
}
