package marvek.server.laps;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.laps.Channel;
import marvek.core.laps.LoggerErrors;
import marvek.core.laps.LoggerTraits;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.Recording;
import marvek.core.laps.SimulatedDriver;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.profile.Lap;
import marvek.formats.LapCsvWriter;
import marvek.formats.LocalPlane;
import marvek.formats.NmeaWriter;
import marvek.server.books.Books;
import org.springframework.stereotype.Component;

/** A file as a logger would write it: a book, driven by somebody with a person's errors. */
@Component
class SimulatedLogger {
  private static final double ROWS_HZ = 100;
  private static final double RECEIVER_HZ = 10;
  private static final double TELEPHONE_HZ = 1;

  /** A stint has a lap behind a flag, and one with a stop. */
  private static final int HELD_UP_LAP = 2;

  private static final int STOP_LAP = 4;
  private static final double HELD_UP = 0.62;
  private static final double STOP_S = 40;

  private static final Instant BEGUN = Instant.parse("2031-05-09T09:30:00Z");

  /** A logger by name: what it writes, and what is wrong with it. */
  enum Kind {
    /** Pedals, gear, forces, a hundred times a second. */
    FULL(LoggerTraits.good(ROWS_HZ, 0.3), "simulated.laps.csv"),
    /** Positions and speed, ten times a second. */
    POSITION(LoggerTraits.good(RECEIVER_HZ, 0.6), "simulated.laps.csv"),
    /** Each channel at its own rate, with lines above the headers. */
    MIXED(new LoggerTraits(10, 20, 10, 0, 0, 0, 0.5, 0, 0), "simulated.laps.csv"),
    /** Positions that come late, and lie off. */
    LATE(new LoggerTraits(20, 100, 100, 0.3, 3.2, -2.4, 0.4, 0, 0), "simulated.laps.csv"),
    /** Noisy positions, and sensors that have not been set to nought for long. */
    ROUGH(new LoggerTraits(10, 50, 50, 0, 0, 0, 3, 11, 7), "simulated.laps.csv"),
    /** A good logger in a stint with a flag and a stop. */
    STINT(LoggerTraits.good(ROWS_HZ, 0.3), "simulated.laps.csv"),
    /** A telephone's log of its receiver. */
    TELEPHONE(LoggerTraits.good(TELEPHONE_HZ, 1.5), "simulated.nmea");

    private final LoggerTraits traits;
    private final String file;

    Kind(LoggerTraits traits, String file) {
      this.traits = traits;
      this.file = file;
    }

    /** Name of its files. */
    String file() {
      return file;
    }

    private boolean receiverAlone() {
      return this == POSITION || this == TELEPHONE;
    }
  }

  byte[] file(Books.Computed computed, Kind kind, int laps, long seed) {
    return file(computed, kind, laps, seed, Habits.of(computed.reference().pages(), seed));
  }

  /** The same with habits of one's choice. */
  byte[] file(Books.Computed computed, Kind kind, int laps, long seed, Map<Integer, Habit> habits) {
    Require.within("laps", laps, 1, 60);
    SimulatedDriver driver =
        new SimulatedDriver(computed.basis(), computed.conditions(), computed.reference());
    Recording exact = recorded(driver.drive(laps, habits, seed), kind, seed);
    Recording written = LoggerErrors.of(exact, kind.traits, seed);
    if (!kind.receiverAlone()) {
      return LapCsvWriter.write(written, kind == Kind.MIXED ? above(computed) : List.of());
    }
    Recording onEarth = onEarth(written, computed.circuit());
    boolean sentences = kind == Kind.TELEPHONE && onEarth.has(Channel.LATITUDE);
    return sentences ? NmeaWriter.write(onEarth, BEGUN) : LapCsvWriter.write(onEarth);
  }

  /** What happened, without a logger's errors. */
  private static Recording recorded(List<Lap> driven, Kind kind, long seed) {
    if (kind != Kind.STINT) {
      double hz = kind.receiverAlone() ? kind.traits.positionHz() : ROWS_HZ;
      return new ModelRecording(Math.max(hz, 5), 0, !kind.receiverAlone(), seed).of(driven);
    }
    List<Lap> stint = new ArrayList<>(driven);
    if (stint.size() > HELD_UP_LAP) {
      stint.set(HELD_UP_LAP, SimulatedDriver.heldUp(stint.get(HELD_UP_LAP), HELD_UP));
    }
    if (stint.size() > STOP_LAP) {
      stint.set(STOP_LAP, SimulatedDriver.heldUp(stint.get(STOP_LAP), HELD_UP));
    }
    Recording recording = new ModelRecording(ROWS_HZ, 0, true, seed).of(stint);
    return stint.size() > STOP_LAP
        ? LoggerErrors.standing(recording, middleOf(stint, STOP_LAP), STOP_S)
        : recording;
  }

  /** Sample in the middle of a lap; the recording begins a little before the first one. */
  private static int middleOf(List<Lap> laps, int lap) {
    double seconds = laps.get(0).timeS() * ModelRecording.RUN_IN;
    for (int k = 0; k < lap; k++) {
      seconds += laps.get(k).timeS();
    }
    return (int) ((seconds + laps.get(lap).timeS() / 2) * ROWS_HZ);
  }

  private static List<String> above(Books.Computed computed) {
    return List.of(
        "Log of a session",
        "Circuit," + computed.circuit().name().replace(',', ' '),
        "Rows a second," + (int) ROWS_HZ,
        "");
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
      boolean known = !Double.isNaN(plain.at(Channel.X, i));
      GeoPoint at = known ? plane.toEarth(plain.at(Channel.X, i), plain.at(Channel.Y, i)) : null;
      latitude[i] = known ? at.latDeg() : Double.NaN;
      longitude[i] = known ? at.lonDeg() : Double.NaN;
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
