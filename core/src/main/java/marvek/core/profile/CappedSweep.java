package marvek.core.profile;

/**
 * A sweep and what it runs under.
 *
 * @param cap highest square of the speed at each sample
 */
record CappedSweep(Sweep sweep, double[] cap) {
  /** See {@link Sweep#run}. */
  double run(int start, double startW, double[] w) {
    return sweep.run(start, startW, cap, w);
  }

  /** See {@link Sweep#runChanged}. */
  double runChanged(int start, double startW, boolean[] changed, double[] w) {
    return sweep.runChanged(start, startW, cap, changed, w);
  }
}
