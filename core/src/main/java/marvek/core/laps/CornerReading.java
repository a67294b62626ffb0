package marvek.core.laps;

/**
 * What a lap did in one corner. Stations in metres from the start line of the lap, over the line
 * counted on; null where it did not happen or the channel is missing.
 *
 * @param brakeOnM where pressure came
 * @param peakBrakePct largest pressure of that braking
 * @param turnInBrakePct pressure that was left at the page's turn-in
 * @param releaseM where the brake came off
 * @param lowestMps lowest speed
 * @param lowestAtM where it was
 * @param gear in which; null without the channel
 * @param throttleFirstM first throttle after the braking
 * @param throttleFullM flat from here on
 * @param coastingS neither pedal between braking and throttle
 * @param exitMps speed where the page runs out to the edge
 * @param insideM how near to the inside edge of the road the car's middle came; null without a
 *     position
 * @param timeS from this corner's first point on the page to the next one's
 */
public record CornerReading(
    int corner,
    Double brakeOnM,
    Double peakBrakePct,
    Double turnInBrakePct,
    Double releaseM,
    Double lowestMps,
    Double lowestAtM,
    Integer gear,
    Double throttleFirstM,
    Double throttleFullM,
    Double coastingS,
    Double exitMps,
    Double insideM,
    Double timeS) {}
