package marvek.core.page;

/**
 * What the usual slips cost in one corner, each from a run of the model [s a lap]; null where a
 * slip cannot be made, as braking early where nobody brakes.
 *
 * @param brake5mEarlyS the braking curve 5 m earlier, the speed at its end held until the model's
 *     curve is met
 * @param apex2kmhSlowerS the corner's limit lowered so that its slowest place is 2 km/h slower
 * @param throttle10mLateS no drive before 10 m past the model's first throttle
 * @param apexHalfMetreOffS the line half a metre off the apex, from turn-in to track-out
 * @param exit1kmhSlowerS 1 km/h less at the track-out, driven on from there
 * @param lift5mEarlyS of a lift without brakes: the foot up 5 m earlier, as the page is driven
 * @param lift10PctDeeperS ... or up by 10 % of the throttle more
 */
public record Stakes(
    Double brake5mEarlyS,
    Double apex2kmhSlowerS,
    Double throttle10mLateS,
    Double apexHalfMetreOffS,
    Double exit1kmhSlowerS,
    Double lift5mEarlyS,
    Double lift10PctDeeperS) {

  /** The same with what slips of a lift cost. */
  public Stakes withLift(Double earlyS, Double deeperS) {
    return new Stakes(
        brake5mEarlyS,
        apex2kmhSlowerS,
        throttle10mLateS,
        apexHalfMetreOffS,
        exit1kmhSlowerS,
        earlyS,
        deeperS);
  }

  /** How much the corner matters: its slips together [s a lap]. */
  public double weightS() {
    return part(brake5mEarlyS)
        + part(apex2kmhSlowerS)
        + part(throttle10mLateS)
        + part(apexHalfMetreOffS)
        + part(exit1kmhSlowerS)
        + part(lift5mEarlyS)
        + part(lift10PctDeeperS);
  }

  private static double part(Double seconds) {
    return seconds == null ? 0 : Math.max(0, seconds);
  }
}
