package marvek.core.circuit;

/**
 * What is to be said of a recording's heights, see {@link HeightSmoothing}.
 *
 * @param noiseM standard deviation of a single recorded height about the road [m]
 * @param overM length that they were smoothed over: standard deviation of the weights [m]
 * @param gapM how much higher the lap ends than it began, before that was spread over it [m]
 * @param steepestUp steepest grade along the road after smoothing, as a fraction; 0 or more
 * @param steepestDown steepest grade downward, as a fraction; 0 or more
 * @param riseM highest less lowest point [m]
 */
public record RecordedHeights(
    double noiseM,
    double overM,
    double gapM,
    double steepestUp,
    double steepestDown,
    double riseM) {
  /** Heights noisier than this are a telephone's: whether to take them is asked. */
  public static final double ROUGH_NOISE_M = 0.3;

  /** A lap that closes worse than this wanders: whether to take its heights is asked too. */
  public static final double WANDERING_GAP_M = 2;

  /** Whether a driver is to be asked before they are taken. */
  public boolean doubtful() {
    return noiseM > ROUGH_NOISE_M || Math.abs(gapM) > WANDERING_GAP_M;
  }
}
