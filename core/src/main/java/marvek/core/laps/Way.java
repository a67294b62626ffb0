package marvek.core.laps;

/** How far along the road the speed has carried the car since the first sample. */
final class Way {
  private Way() {}

  /** Metres of the road, growing; where the speed is missing for a while it stands still. */
  static double[] of(Recording recording, RoadMatch match) {
    double[] way = new double[recording.size()];
    double before = recording.at(Channel.SPEED, 0);
    double stretch = 1;
    for (int i = 1; i < way.length; i++) {
      double v = recording.at(Channel.SPEED, i);
      stretch = match.isKnown(i) ? match.stretchAt(i) : stretch;
      double dt = recording.timeAt(i) - recording.timeAt(i - 1);
      double speed = Double.isNaN(v) ? 0 : Double.isNaN(before) ? v : (v + before) / 2;
      way[i] = way[i - 1] + speed * dt / stretch;
      before = v;
    }
    return way;
  }
}
