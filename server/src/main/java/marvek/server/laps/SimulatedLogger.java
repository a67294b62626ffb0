package marvek.server.laps;

import java.util.List;
import java.util.Map;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.laps.Channel;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.Recording;
import marvek.core.laps.SimulatedDriver;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.profile.Lap;
import marvek.formats.LapCsvWriter;
import marvek.formats.LocalPlane;
import marvek.server.books.Books;
import org.springframework.stereotype.Component;

/** A file as a logger would write it: a book, driven by somebody with a person's errors. */
@Component
class SimulatedLogger {
  private static final double FULL_HZ = 100;
  private static final double FULL_NOISE_M = 0.3;

  /** A receiver that writes positions and speeds alone. */
  private static final double RECEIVER_HZ = 10;

  private static final double RECEIVER_NOISE_M = 0.6;

  /** What is written down. */
  enum Kind {
    /** Pedals, gear, forces, a hundred times a second. */
    FULL,
    /** Positions and speed, ten times a second. */
    POSITION
  }

  byte[] file(Books.Computed computed, Kind kind, int laps, long seed) {
    return file(computed, kind, laps, seed, Habits.of(computed.reference().pages(), seed));
  }

  /** The same with habits of one's choice. */
  byte[] file(Books.Computed computed, Kind kind, int laps, long seed, Map<Integer, Habit> habits) {
    Require.within("laps", laps, 1, 60);
    SimulatedDriver driver =
        new SimulatedDriver(computed.basis(), computed.conditions(), computed.reference());
    List<Lap> driven = driver.drive(laps, habits, seed);
    if (kind == Kind.FULL) {
      return LapCsvWriter.write(new ModelRecording(FULL_HZ, FULL_NOISE_M, true, seed).of(driven));
    }
    Recording plain = new ModelRecording(RECEIVER_HZ, RECEIVER_NOISE_M, false, seed).of(driven);
    return LapCsvWriter.write(onEarth(plain, computed.circuit()));
  }

  /** Positions as a receiver has them, where the circuit has a place on the earth. */
  private static Recording onEarth(Recording plain, Circuit circuit) {
    if (circuit.origin() == null) {
      return plain;
    }
    LocalPlane plane = new LocalPlane(circuit.origin());
    double[] latitude = new double[plain.size()];
    double[] longitude = new double[plain.size()];
    double[] time = new double[plain.size()];
    for (int i = 0; i < plain.size(); i++) {
      GeoPoint at = plane.toEarth(plain.at(Channel.X, i), plain.at(Channel.Y, i));
      latitude[i] = at.latDeg();
      longitude[i] = at.lonDeg();
      time[i] = plain.timeAt(i);
    }
    return new Recording(
        time,
        Map.of(
            Channel.LATITUDE, latitude,
            Channel.LONGITUDE, longitude,
            Channel.SPEED, plain.channel(Channel.SPEED)));
  }
}
