package marvek.core.laps;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a lap did in one corner. Stations in metres from the start line of the lap, over the line
 * counted on; a member is null where it did not happen or the channel is missing, a part never is.
 *
 * @param entryMps speed at the corner's first point on the page
 * @param exitMps speed where the page runs out to the edge
 * @param timeS from this corner's first point on the page to the next one's
 */
public record CornerReading(
    int corner,
    Braking braking,
    Slowest slowest,
    Throttle throttle,
    Way way,
    Wheel wheel,
    Feet feet,
    Double entryMps,
    Double exitMps,
    Double timeS) {

  /**
   * Use of the brake.
   *
   * @param onM where pressure came
   * @param peakPct largest pressure of that braking
   * @param atTurnInPct pressure that was left at the page's turn-in
   * @param releaseM where the brake came off
   * @param locked whether a wheel is likely to have stood: see {@link LapReader}
   */
  public record Braking(
      Double onM, Double peakPct, Double atTurnInPct, Double releaseM, Boolean locked) {
    public static final Braking NONE = new Braking(null, null, null, null, null);
  }

  /**
   * The slowest place.
   *
   * @param gear null without the channel
   */
  public record Slowest(Double speedMps, Double atM, Integer gear) {
    public static final Slowest UNKNOWN = new Slowest(null, null, null);
  }

  /**
   * Use of the throttle after the braking.
   *
   * @param firstM first throttle
   * @param fullM flat from here on
   * @param pickUps how often it was picked up until it was flat; 1 is one press
   * @param liftPct largest fall of the throttle between its first opening and flat
   * @param coastingS neither pedal between braking and throttle
   * @param upshifts changes up from the slowest place to the next corner's braking
   */
  public record Throttle(
      Double firstM,
      Double fullM,
      Integer pickUps,
      Double liftPct,
      Double coastingS,
      Integer upshifts) {
    public static final Throttle UNKNOWN = new Throttle(null, null, null, null, null, null);
  }

  /**
   * The way through, by positions; the turn-in also by the side acceleration.
   *
   * @param turnInM where the car turned in
   * @param insideM how near to the inside edge of the road the car's middle came
   * @param insideAtM where that was
   * @param outsideM how near to the outside edge it came between there and the end of the track-out
   */
  public record Way(Double turnInM, Double insideM, Double insideAtM, Double outsideM) {
    public static final Way UNKNOWN = new Way(null, null, null, null);
  }

  /**
   * What the hands did.
   *
   * @param corrections in driving order; null without the channel
   * @param beyondDeg wheel beyond what the turn needs at its strongest, in the middle of where
   *     there is more; 0 where there is not, null where it is not told
   * @param beyondAtM where that begins
   * @param beyondM for so far
   */
  public record Wheel(
      @Nullable List<Correction> corrections, Double beyondDeg, Double beyondAtM, Double beyondM) {
    public static final Wheel UNKNOWN = new Wheel(null, null, null, null);

    public Wheel {
      corrections = corrections == null ? null : List.copyOf(corrections);
    }
  }

  /**
   * A wheel that was taken back and turned in again: a slide that was caught.
   *
   * @param atM where it began
   * @param byDeg so much was taken back
   * @param overM until it was in again
   */
  public record Correction(double atM, double byDeg, double overM, When when) {
    /** What the car was doing. */
    public enum When {
      ENTRY,
      POWER,
      KERB
    }
  }

  /**
   * What the feet did at once.
   *
   * @param overlapS on both pedals for longer than a blip; null without both channels
   * @param downshifts with the clutch; null where engine, gear and clutch do not tell it
   * @param matched of them, with the engine as fast as the lower gear asks for
   * @param shortPct the slowest engine of them was so much too slow
   */
  public record Feet(Double overlapS, Integer downshifts, Integer matched, Double shortPct) {
    public static final Feet UNKNOWN = new Feet(null, null, null, null);
  }

  /** A corner of which nothing was recorded. */
  static CornerReading nothing(int corner) {
    return new CornerReading(
        corner,
        Braking.NONE,
        Slowest.UNKNOWN,
        Throttle.UNKNOWN,
        Way.UNKNOWN,
        Wheel.UNKNOWN,
        Feet.UNKNOWN,
        null,
        null,
        null);
  }
}
