package marvek.core.light;

import marvek.core.circuit.Mark;

/**
 * The edge of a shadow at another hour than it was noted.
 *
 * @param movedM how far along the road it moved since, forward positive; 0 where it is gone
 * @param usable whether there is an edge on the road to drive by
 * @param why in words where it is not
 */
public record MovedShadow(Mark mark, double stationM, double movedM, boolean usable, String why) {}
