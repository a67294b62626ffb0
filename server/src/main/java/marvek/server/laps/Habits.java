package marvek.server.laps;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.laps.SimulatedDriver.Kind;
import marvek.core.page.CornerPage;

/** Habits of a simulated driver, each in a corner of its own that is braked for. */
final class Habits {
  private static final List<Habit> PLANTED =
      List.of(
          new Habit(Kind.BRAKES_EARLY, 11),
          new Habit(Kind.OVER_SLOWS, 1.8),
          new Habit(Kind.THROTTLE_LATE, 16));

  private Habits() {}

  static Map<Integer, Habit> of(List<CornerPage> pages, long seed) {
    List<Integer> braked =
        new ArrayList<>(
            pages.stream()
                .filter(page -> page.brake().atM() != null)
                .map(CornerPage::corner)
                .toList());
    Collections.shuffle(braked, new Random(seed));
    Map<Integer, Habit> habits = new HashMap<>();
    for (int k = 0; k < Math.min(PLANTED.size(), braked.size()); k++) {
      habits.put(braked.get(k), PLANTED.get(k));
    }
    return habits;
  }
}
