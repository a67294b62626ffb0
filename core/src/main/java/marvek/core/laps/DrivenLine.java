package marvek.core.laps;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import marvek.core.circuit.TrackPoint;

/** The line that a lap was driven on, where its positions tell. */
public final class DrivenLine {
  private DrivenLine() {}

  /**
   * Offsets from the centreline, one every step from the start line on; samples within a step are
   * taken together, and what none fell into lies between its neighbours.
   *
   * @param stepM between two offsets [m]
   * @return left positive [m]; empty where the recording has no position
   */
  public static double[] of(Stations stations, RecordedLap lap, Road road, double stepM) {
    int n = (int) Math.ceil(road.lengthM() / stepM);
    double[] sums = new double[n];
    int[] counts = new int[n];
    for (int i = lap.from(); i < lap.to(); i++) {
      double offset = stations.offsetAt(i);
      double station = stations.stationAt(i) - lap.lineM();
      if (!Double.isNaN(offset) && station >= 0 && station < road.lengthM()) {
        int k = Math.min(n - 1, (int) (station / stepM));
        sums[k] += offset;
        counts[k]++;
      }
    }
    if (Arrays.stream(counts).allMatch(c -> c == 0)) {
      return new double[0];
    }
    double[] line = new double[n];
    for (int k = 0; k < n; k++) {
      line[k] = counts[k] == 0 ? Double.NaN : sums[k] / counts[k];
    }
    return filled(line);
  }

  /**
   * Where a lap was, sample by sample, in the plane of its road; samples without a place left out.
   */
  public static List<TrackPoint> points(Recording recording, RecordedLap lap) {
    return IntStream.range(lap.from(), lap.to())
        .filter(i -> !Double.isNaN(recording.at(Channel.X, i) + recording.at(Channel.Y, i)))
        .mapToObj(
            i -> new TrackPoint(recording.at(Channel.X, i), recording.at(Channel.Y, i), Double.NaN))
        .toList();
  }

  private static double[] filled(double[] line) {
    double[] whole = line.clone();
    int n = line.length;
    for (int k = 0; k < n; k++) {
      if (Double.isNaN(line[k])) {
        int before = k;
        int after = k;
        while (before >= 0 && Double.isNaN(line[before])) {
          before--;
        }
        while (after < n && Double.isNaN(line[after])) {
          after++;
        }
        double a = before >= 0 ? line[before] : line[after];
        double b = after < n ? line[after] : a;
        double share = after < n && before >= 0 ? (double) (k - before) / (after - before) : 0;
        whole[k] = a + share * (b - a);
      }
    }
    return whole;
  }
}
