package marvek.core.rehearse;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.profile.Lap;

/**
 * Something that hands and feet do in a lap.
 *
 * @param corner that it belongs to
 * @param atM station [m]
 * @param atS time in the lap as the pages are driven [s]
 */
public record Act(int corner, Kind kind, double atM, double atS) {
  /** What is done. */
  public enum Kind {
    BRAKE,
    LIFT,
    TURN,
    RELEASE,
    THROTTLE,
    GEAR_UP,
    GEAR_DOWN
  }

  /**
   * The acts of a book's lap in the order they are driven, from line to line; none where no page
   * is.
   */
  public static List<Act> of(Lap lap, List<CornerPage> pages) {
    if (pages.isEmpty()) {
      return List.of();
    }
    List<Act> acts = new ArrayList<>();
    for (CornerPage page : pages) {
      brakes(acts, lap, page);
      Double lift = page.lift() == null ? null : page.lift().atM();
      add(acts, lap, page.corner(), Kind.LIFT, lift);
      for (Double down : page.gears().downshiftsM()) {
        add(acts, lap, page.corner(), Kind.GEAR_DOWN, down);
      }
      add(acts, lap, page.corner(), Kind.TURN, page.turnIn().atM());
      throttle(acts, lap, page);
    }
    addUpshifts(acts, lap, pages);
    acts.sort(Comparator.comparingDouble(Act::atS));
    return List.copyOf(acts);
  }

  private static void add(List<Act> acts, Lap lap, int corner, Kind kind, Double stationM) {
    if (stationM != null) {
      acts.add(new Act(corner, kind, stationM, secondsAt(lap, stationM)));
    }
  }

  /** On the brake and off it; of presses of one's own each. */
  private static void brakes(List<Act> acts, Lap lap, CornerPage page) {
    if (page.sources().containsKey(PageField.PRESSES.path())) {
      for (Press press : page.pedals().presses()) {
        add(acts, lap, page.corner(), Kind.BRAKE, press.onM());
        add(acts, lap, page.corner(), Kind.RELEASE, press.offM());
      }
      return;
    }
    add(acts, lap, page.corner(), Kind.BRAKE, page.brake().atM());
    Double release = page.trailBrake() == null ? null : page.trailBrake().releaseM();
    add(acts, lap, page.corner(), Kind.RELEASE, release);
  }

  /** Where the throttle opens; of phases of one's own each step. */
  private static void throttle(List<Act> acts, Lap lap, CornerPage page) {
    if (page.sources().containsKey(PageField.PHASES.path())) {
      page.pedals().phases().stream()
          .filter(phase -> phase.kind() != Phase.Kind.LIFT)
          .forEach(phase -> add(acts, lap, page.corner(), Kind.THROTTLE, phase.atM()));
      return;
    }
    add(acts, lap, page.corner(), Kind.THROTTLE, page.throttle().firstM());
  }

  /** An upshift belongs to the corner that it comes out of. */
  private static void addUpshifts(List<Act> acts, Lap lap, List<CornerPage> pages) {
    Road road = lap.path().road();
    for (int i = road.closed() ? 0 : 1; i < lap.size(); i++) {
      int before = lap.gearAt(i == 0 ? lap.size() - 1 : i - 1);
      for (int gear = before; gear < lap.gearAt(i); gear++) {
        double station = road.stationAt(i);
        acts.add(new Act(cornerBehind(pages, station), Kind.GEAR_UP, station, lap.timeAt(i)));
      }
    }
  }

  private static int cornerBehind(List<CornerPage> pages, double stationM) {
    return pages.stream()
        .filter(page -> page.turnIn().atM() <= stationM)
        .max(Comparator.comparingDouble(page -> page.turnIn().atM()))
        .orElse(pages.get(pages.size() - 1))
        .corner();
  }

  /** Time in the lap at a station, between the samples of the road. */
  static double secondsAt(Lap lap, double stationM) {
    Road road = lap.path().road();
    double station = road.wrapStation(stationM);
    int i = Math.min(lap.size() - 1, (int) (station / road.stepM()));
    double next = i + 1 < lap.size() ? lap.timeAt(i + 1) : lap.timeS();
    double end = i + 1 < lap.size() ? road.stationAt(i + 1) : road.lengthM();
    double share =
        end > road.stationAt(i) ? (station - road.stationAt(i)) / (end - road.stationAt(i)) : 0;
    return lap.timeAt(i) + Math.min(1, share) * (next - lap.timeAt(i));
  }

  /** Station at a time in the lap; the inverse of {@link #secondsAt}. */
  static double stationAt(Lap lap, double seconds) {
    Road road = lap.path().road();
    int low = 0;
    int high = lap.size() - 1;
    while (low < high) {
      int middle = (low + high + 1) / 2;
      if (lap.timeAt(middle) <= seconds) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    boolean last = low + 1 >= lap.size();
    double next = last ? lap.timeS() : lap.timeAt(low + 1);
    double end = last ? road.lengthM() : road.stationAt(low + 1);
    double share =
        next > lap.timeAt(low) ? (seconds - lap.timeAt(low)) / (next - lap.timeAt(low)) : 0;
    return road.stationAt(low) + Math.max(0, Math.min(1, share)) * (end - road.stationAt(low));
  }
}
