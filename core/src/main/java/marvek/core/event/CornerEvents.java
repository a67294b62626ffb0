package marvek.core.event;

import java.util.List;
import marvek.core.corner.Corner;
import org.jspecify.annotations.Nullable;

/**
 * What happens in one corner of a lap, in samples of its road.
 *
 * @param begin where the corner's time begins: its brake point or its turn-in, whichever comes
 *     first
 * @param slowest slowest place, at most a little behind the corner
 * @param apexes where the car comes nearest to the inside, one or two in driving order
 * @param turnIn where the path begins to bend
 * @param braking the zone on the brakes that is the corner's own; null without one
 * @param brakesOn whether the brakes go on into the next corner, whose zone it is
 * @param trackOut first place behind the last apex as far out as the car gets
 */
public record CornerEvents(
    Corner corner,
    CornerSpan span,
    int begin,
    int slowest,
    List<Integer> apexes,
    int turnIn,
    @Nullable BrakingZone braking,
    boolean brakesOn,
    int trackOut,
    ThrottlePhase throttle) {
  public CornerEvents {
    apexes = List.copyOf(apexes);
  }

  public int firstApex() {
    return apexes.get(0);
  }

  public int lastApex() {
    return apexes.get(apexes.size() - 1);
  }
}
