package marvek.core.laps;

import java.util.Arrays;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * Where a logger's own laps begin, of a file that has a distance and no position: where the speeds
 * over its laps go best with those of the page's lap.
 */
final class BeaconPlace {
  private static final double STEP_M = 5;

  /** A beacon so near to the line is the line. */
  private static final double LEAST_M = 40;

  /** Speeds that go together less than this are those of another circuit, or of too little. */
  private static final double LEAST_ALIKE = 0.8;

  /** So much better than at the line they have to go together. */
  private static final double BETTER = 0.1;

  private BeaconPlace() {}

  /** Metres behind the line, negative before it; 0 where they begin at it. */
  static double of(Recording recording, Stations stations, Lap page) {
    Road road = page.path().road();
    if (!road.closed()) {
      return 0;
    }
    int n = (int) (road.lengthM() / STEP_M);
    double[] driven = driven(recording, stations, road, n);
    double[] expected = new double[n];
    Arrays.setAll(expected, k -> page.speedAt(road.indexOf(k * road.lengthM() / n)));
    double[] alike = new double[n];
    int best = 0;
    for (int shift = 0; shift < n; shift++) {
      alike[shift] = correlation(driven, expected, shift);
      best = alike[shift] > alike[best] ? shift : best;
    }
    double metres = best * road.lengthM() / n;
    metres = metres > road.lengthM() / 2 ? metres - road.lengthM() : metres;
    boolean sure = alike[best] > LEAST_ALIKE && alike[best] > alike[0] + BETTER;
    return sure && Math.abs(metres) > LEAST_M ? metres : 0;
  }

  private static double[] driven(Recording recording, Stations stations, Road road, int n) {
    double[] sums = new double[n];
    int[] counts = new int[n];
    for (int i = 0; i < stations.size(); i++) {
      double station = stations.stationAt(i);
      double speed = recording.at(Channel.SPEED, i);
      if (!Double.isNaN(station) && !Double.isNaN(speed)) {
        int k = Math.min(n - 1, (int) (road.wrapStation(station) / road.lengthM() * n));
        sums[k] += speed;
        counts[k]++;
      }
    }
    double[] means = new double[n];
    for (int k = 0; k < n; k++) {
      means[k] = counts[k] > 0 ? sums[k] / counts[k] : k > 0 ? means[k - 1] : 0;
    }
    return means;
  }

  /** Of driven speeds at a place with those expected so many steps farther on. */
  private static double correlation(double[] driven, double[] expected, int shift) {
    int n = driven.length;
    double meanD = Arrays.stream(driven).average().orElse(0);
    double meanE = Arrays.stream(expected).average().orElse(0);
    double cross = 0;
    double dd = 0;
    double ee = 0;
    for (int k = 0; k < n; k++) {
      double d = driven[k] - meanD;
      double e = expected[(k + shift) % n] - meanE;
      cross += d * e;
      dd += d * d;
      ee += e * e;
    }
    return dd > 0 && ee > 0 ? cross / Math.sqrt(dd * ee) : 0;
  }
}
