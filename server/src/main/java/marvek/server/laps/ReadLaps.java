package marvek.server.laps;

import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.laps.Channel;
import marvek.core.laps.LapCutter;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.formats.BadFileException;
import marvek.formats.LapCsv;
import marvek.formats.LapFile;
import marvek.formats.LocalPlane;

/** A file of laps on its circuit: placed on the road and cut at the line. */
record ReadLaps(LapFile file, Recording recording, Stations stations, List<RecordedLap> laps) {
  /**
   * Reads a file.
   *
   * @throws BadFileException if it cannot be read or holds no whole lap
   * @throws marvek.core.InvalidValueException if it lies elsewhere
   */
  static ReadLaps of(byte[] bytes, Circuit circuit, Road road) {
    LapFile file = LapCsv.read(bytes);
    Recording recording = placed(file.recording(), circuit);
    Stations stations = Stations.of(recording, road);
    List<RecordedLap> laps = LapCutter.cut(recording, stations, road);
    if (laps.stream().noneMatch(RecordedLap::isWhole)) {
      throw BadFileException.whole(
          "The file holds no whole lap: the start line was not crossed twice. Bring in a recording"
              + " that runs over the line.");
    }
    return new ReadLaps(file, recording, stations, laps);
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
