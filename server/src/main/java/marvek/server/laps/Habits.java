package marvek.server.laps;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.page.CornerPage;

/** Three habits of a simulated driver, in corners that are braked for. */
final class Habits {
  private static final List<Habit> PLANTED =
      List.of(new Habit(11, 0, 0), new Habit(0, 1.8, 0), new Habit(0, 0, 16));

  private Habits() {}

  static Map<Integer, Habit> of(List<CornerPage> pages, long seed) {
    List<Integer> braked =
        new ArrayList<>(
            pages.stream()
                .filter(page -> page.brake().atM() != null)
                .map(CornerPage::corner)
                .toList());
    java.util.Collections.shuffle(braked, new Random(seed));
    Map<Integer, Habit> habits = new HashMap<>();
    for (int k = 0; k < Math.min(PLANTED.size(), braked.size()); k++) {
      habits.put(braked.get(k), PLANTED.get(k));
    }
    return habits;
  }
}
