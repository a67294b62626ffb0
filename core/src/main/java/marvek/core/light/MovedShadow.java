package marvek.core.light;

import marvek.core.circuit.Mark;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * The edge of a shadow at another hour than it was noted.
 *
 * @param movedM how far along the road it moved since, forward positive; 0 where it is gone
 * @param usable whether there is an edge on the road to drive by
 * @param why it is not; null where it is
 */
public record MovedShadow(
    Mark mark, double stationM, double movedM, boolean usable, @Nullable Sentence why) {}
