package marvek.core.profile;

/** Price of so many seconds without drive, from one position after the other. */
final class DriveLost {
  private final double[] time;
  private final double[] noDrive;
  private final double seconds;
  private int last;

  /**
   * @param time from the start to each position [s]
   * @param noDrive price of no drive from the start to each position [s]
   */
  DriveLost(double[] time, double[] noDrive, double seconds) {
    this.time = time;
    this.noDrive = noDrive;
    this.seconds = seconds;
  }

  /**
   * From a position on [s].
   *
   * @param k not before the one that was asked for last
   */
  double from(int k) {
    double until = time[k] + seconds;
    last = Math.max(last, k);
    while (last + 1 < time.length && time[last + 1] < until) {
      last++;
    }
    double whole = noDrive[last] - noDrive[k];
    return last + 1 < time.length
        ? whole
            + (until - time[last])
                / (time[last + 1] - time[last])
                * (noDrive[last + 1] - noDrive[last])
        : whole;
  }
}
