package marvek.core.page;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import marvek.core.circuit.Road;
import marvek.core.event.BrakingZone;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.profile.Limiting;
import org.jspecify.annotations.Nullable;

/**
 * What holds a car back in each phase of a corner: an axle that limits for most of the phase is
 * named, or both where neither does for seven tenths of that. At the exit the model, which has no
 * differential and no stiffness against roll, often calls the front: a figure, no advice.
 *
 * @param braking from the brake point to the turn-in; null where nothing does for most of it
 * @param entry from there to the lowest speed
 * @param exit from there to full throttle, or to the track-out
 */
public record PhaseLimits(
    @Nullable Limiting braking, @Nullable Limiting entry, @Nullable Limiting exit) {
  /** Share of the time at a limit that names one axle (own choice). */
  private static final double NAMED = 0.7;

  /** Share of a phase for which something has to hold to be named at all. */
  private static final double MOST_OF_IT = 0.5;

  /** The phases of a page on its lap; empty where axles are not told apart. */
  public static Optional<PhaseLimits> of(Lap lap, CornerPage page) {
    if (!ForceModel.toldApart(lap.vehicle(), lap.conditions())) {
      return Optional.empty();
    }
    double turnIn = page.turnIn().atM();
    double lowest = page.lowestSpeedAtM();
    Double full = page.throttle().fullM();
    double exit = full == null ? page.exit().trackOutM() : full;
    Double brake = page.brake().atM();
    return Optional.of(
        new PhaseLimits(
            brake == null ? null : between(lap, brake, turnIn, true),
            between(lap, turnIn, lowest, false),
            between(lap, lowest, exit, false)));
  }

  /**
   * @param onBrakes whether only the places on the brakes count: a driver acts before them
   */
  private static @Nullable Limiting between(Lap lap, double fromM, double toM, boolean onBrakes) {
    Road road = lap.path().road();
    if (road.offsetBetween(fromM, toM) < road.stepM()) {
      return null;
    }
    int from = road.indexOf(fromM);
    int count = road.ahead(from, road.indexOf(toM));
    Map<Limiting, Double> times = new EnumMap<>(Limiting.class);
    double all = 0;
    for (int k = 0; k < count; k++) {
      int i = road.wrap(from + k);
      if (onBrakes && lap.brakeGAt(i) < BrakingZone.LEAST_G) {
        continue;
      }
      double time = lap.timeBetween(i, road.wrap(i + 1));
      times.merge(lap.limitingAt(i), time, Double::sum);
      all += time;
    }
    return all > 0 ? named(times, all) : null;
  }

  /**
   * What is named of a phase.
   *
   * @param times that each limits for [s]
   * @param all time of the phase [s]
   */
  static @Nullable Limiting named(Map<Limiting, Double> times, double all) {
    double front = times.getOrDefault(Limiting.FRONT, 0.0);
    double rear = times.getOrDefault(Limiting.REAR, 0.0);
    double axles = front + rear + times.getOrDefault(Limiting.BOTH, 0.0);
    if (axles >= MOST_OF_IT * all) {
      return front >= NAMED * axles
          ? Limiting.FRONT
          : rear >= NAMED * axles ? Limiting.REAR : Limiting.BOTH;
    }
    return times.entrySet().stream()
        .filter(e -> e.getKey() != Limiting.NONE && e.getValue() >= MOST_OF_IT * all)
        .map(Map.Entry::getKey)
        .findFirst()
        .orElse(null);
  }
}
