package marvek.server.laps;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.laps.BrakeZero;
import marvek.core.laps.Channel;
import marvek.core.laps.Cleaning;
import marvek.core.laps.LapCutter;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.formats.BadFileException;
import marvek.formats.LapCsv;
import marvek.formats.LapFile;
import marvek.formats.LocalPlane;

/**
 * A file of laps on its circuit: cleaned, placed on the road and cut at the line.
 *
 * @param corrections what was put right, in words
 */
record ReadLaps(
    LapFile file,
    Recording recording,
    Stations stations,
    List<RecordedLap> laps,
    List<String> corrections) {
  /** A zero of less is none [%]. */
  private static final double LEAST_ZERO_PCT = 0.5;

  /**
   * Reads a file.
   *
   * @param mapping column of the lap format by header, where the header does not say it
   * @throws BadFileException if it cannot be read or holds no whole lap
   * @throws marvek.core.InvalidValueException if it lies elsewhere
   */
  static ReadLaps of(byte[] bytes, Map<String, String> mapping, Circuit circuit, Road road) {
    LapFile file = LapCsv.read(bytes, mapping);
    Cleaning.Cleaned clean = Cleaning.of(placed(file.recording(), circuit));
    Stations stations = Stations.of(clean.recording(), road);
    List<RecordedLap> laps = LapCutter.cut(clean.recording(), stations, road);
    if (laps.stream().noneMatch(RecordedLap::isWhole)) {
      throw BadFileException.whole(
          "The file holds no whole lap: the start line was not crossed twice. Bring in a recording"
              + " that runs over the line.");
    }
    List<String> corrections = new ArrayList<>(file.corrections());
    corrections.addAll(clean.corrections());
    double zero = BrakeZero.of(clean.recording(), Thresholds.DEFAULT).largestPct();
    if (zero >= LEAST_ZERO_PCT) {
      corrections.add(
          String.format(
              Locale.ROOT,
              "The brake sensor shows up to %.1f %% at full throttle: taken out as its zero.",
              zero));
    }
    return new ReadLaps(file, clean.recording(), stations, laps, List.copyOf(corrections));
  }

  /** What it has no channel for, in words: the reader gives what the others can. */
  List<String> missing() {
    List<String> missing = new ArrayList<>();
    if (!recording.has(Channel.BRAKE)) {
      missing.add("Without a brake sensor braking is told by the deceleration, not its pressure.");
    }
    if (!recording.has(Channel.THROTTLE)) {
      missing.add("Without a throttle sensor nothing is said of throttle and coasting.");
    }
    if (!recording.has(Channel.GEAR)) {
      missing.add("Without a gear nothing is said of gears and changes.");
    }
    if (!recording.hasPosition()) {
      missing.add("Without a position nothing is said of the line, the apex and the edges.");
    }
    return missing;
  }

  /** Places on the earth brought to the circuit's plane. */
  private static Recording placed(Recording recording, Circuit circuit) {
    boolean onEarth = recording.has(Channel.LATITUDE) && recording.has(Channel.LONGITUDE);
    if (recording.hasPosition() || !onEarth || circuit.origin() == null) {
      return recording;
    }
    LocalPlane plane = new LocalPlane(circuit.origin());
    double[] x = new double[recording.size()];
    double[] y = new double[recording.size()];
    for (int i = 0; i < x.length; i++) {
      double[] at =
          plane.toPlane(recording.at(Channel.LATITUDE, i), recording.at(Channel.LONGITUDE, i));
      x[i] = at[0];
      y[i] = at[1];
    }
    return recording.with(Channel.X, x).with(Channel.Y, y);
  }
}
