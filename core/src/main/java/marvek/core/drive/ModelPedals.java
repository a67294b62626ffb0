package marvek.core.drive;

import java.util.List;
import java.util.stream.IntStream;
import marvek.core.page.CornerPage;
import marvek.core.page.PedalWork;
import marvek.core.profile.Lap;
import marvek.core.profile.UsedGrip;

/** Writes on the pages of a lap what its own feet do. */
public final class ModelPedals {
  private final Lap lap;
  private final List<CornerPage> pages;
  private final UsedGrip used;
  private final CornerTasks tasks;

  private ModelPedals(Lap lap, List<CornerPage> pages) {
    this.lap = lap;
    this.pages = pages;
    this.used = UsedGrip.of(lap);
    this.tasks = new CornerTasks(lap, pages);
  }

  /** The pages with presses and phases, corner by corner on all cores. */
  public static List<CornerPage> on(Lap lap, List<CornerPage> pages) {
    ModelPedals worker = new ModelPedals(lap, pages);
    return IntStream.range(0, pages.size()).parallel().mapToObj(worker::page).toList();
  }

  private CornerPage page(int number) {
    CornerTask task = tasks.task(number, CornerTasks.RUN_UP_M);
    PedalTrace trace = PedalTrace.of(lap, used, task.part(), task.points());
    PedalWork work = new ModelWork(lap, used, task, trace).found();
    return pages.get(number).but().pedals(work).build();
  }
}
