package marvek.server.laps;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.circuit.Road;
import marvek.core.laps.CornerReading;
import marvek.core.laps.DrivenLine;
import marvek.core.laps.Finding;
import marvek.core.laps.Findings;
import marvek.core.laps.LapCutter;
import marvek.core.laps.LapReader;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.SimulatedDriver;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.page.Reference;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;
import marvek.formats.LapCsvWriter;
import marvek.server.books.Books;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.Sessions;
import org.springframework.stereotype.Service;

/** Keeps files of laps and reads them against the revision of their session. */
@Service
class Laps {
  private static final int KEPT_READ = 4;
  private static final double G0 = 9.80665;
  private static final double LOGGER_HZ = 100;
  private static final int LONGEST_NAME = 200;

  private final LapFileRepository repository;
  private final Sessions sessions;
  private final Books books;
  private final Map<FileOn, ReadLaps> read =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<FileOn, ReadLaps> eldest) {
          return size() > KEPT_READ;
        }
      };

  Laps(LapFileRepository repository, Sessions sessions, Books books) {
    this.repository = repository;
    this.sessions = sessions;
    this.books = books;
  }

  /** A file read on a revision's road: another revision may lie on another layout. */
  private record FileOn(UUID file, int revision) {}

  /** A file with what was taken from it. */
  record KeptFile(UUID id, String name, ReadLaps laps) {}

  /** A lap of a file with its corners. */
  record ReadLap(UUID file, RecordedLap lap, List<CornerReading> corners) {}

  /**
   * What was driven against what stands on the pages.
   *
   * @param page the page's own lap, read the way the driven ones are
   */
  record Debrief(
      int revision,
      Reference reference,
      List<CornerReading> page,
      List<ReadLap> laps,
      List<Finding> findings,
      List<KeptFile> files) {}

  /** Takes a file in; it is read first, and nothing is kept of one that cannot be. */
  KeptFile add(UUID sessionId, String name, byte[] bytes) {
    Books.Computed computed = computed(sessions.get(sessionId));
    String digest = digest(bytes);
    if (repository.existsBySessionIdAndDigest(sessionId, digest)) {
      throw new ConflictException("This very file is in already. Nothing was stored.");
    }
    ReadLaps laps = ReadLaps.of(bytes, computed.circuit(), road(computed));
    String kept = name == null || name.isBlank() ? "laps.csv" : name;
    StoredLapFile stored =
        repository.save(
            new StoredLapFile(
                sessionId,
                kept.substring(0, Math.min(kept.length(), LONGEST_NAME)),
                digest,
                bytes));
    remember(on(stored, computed), laps);
    return new KeptFile(stored.id(), stored.name(), laps);
  }

  /** The file as it was brought in. */
  StoredLapFile file(UUID id) {
    return repository
        .findById(id)
        .orElseThrow(() -> new NotFoundException("There is no file of laps " + id + "."));
  }

  void remove(UUID id) {
    repository.delete(file(id));
    synchronized (read) {
      read.keySet().removeIf(key -> key.file().equals(id));
    }
  }

  /**
   * Reads all files of a session.
   *
   * @param left laps that do not count, as file and number with a point between
   */
  Debrief debrief(UUID sessionId, List<String> left) {
    Sessions.Kept session = sessions.get(sessionId);
    Books.Computed computed = computed(session);
    LapReader reader = reader(computed);
    List<KeptFile> files = new ArrayList<>();
    List<ReadLap> laps = new ArrayList<>();
    for (StoredLapFile stored : repository.findBySessionIdOrderByTakenAtAscIdAsc(sessionId)) {
      ReadLaps of = readLaps(stored, computed);
      files.add(new KeptFile(stored.id(), stored.name(), of));
      laps.addAll(readLaps(stored.id(), of, reader));
    }
    List<CornerReading> page = pageItself(computed, reader);
    List<Stakes> stakes = books.stakes(computed.basis(), computed.conditions());
    List<List<CornerReading>> counted =
        laps.stream()
            .filter(lap -> lap.lap().kind() == RecordedLap.Kind.FLYING)
            .filter(lap -> !left.contains(lap.file() + "." + lap.lap().number()))
            .map(ReadLap::corners)
            .toList();
    return new Debrief(
        revision(session),
        computed.reference(),
        page,
        laps,
        Findings.of(road(computed), page, stakes, counted),
        files);
  }

  /** The laps of a file; only whole ones have corners. */
  private static List<ReadLap> readLaps(UUID file, ReadLaps of, LapReader reader) {
    List<RecordedLap> whole = of.laps().stream().filter(RecordedLap::isWhole).toList();
    List<List<CornerReading>> corners = reader.read(of.recording(), of.stations(), whole);
    return of.laps().stream()
        .map(
            lap ->
                new ReadLap(file, lap, lap.isWhole() ? corners.get(whole.indexOf(lap)) : List.of()))
        .toList();
  }

  /**
   * The line of one lap of a file.
   *
   * @return one offset every {@code stepM} from the start line on; empty without a position
   */
  double[] line(UUID fileId, int number, double stepM) {
    StoredLapFile stored = file(fileId);
    Books.Computed computed = computed(sessions.get(stored.sessionId()));
    ReadLaps of = readLaps(stored, computed);
    RecordedLap lap =
        of.laps().stream()
            .filter(l -> l.number() == number)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("The file has no lap " + number + "."));
    return DrivenLine.of(of.stations(), lap, road(computed), stepM);
  }

  /** A file as a logger would write it: the session's book, driven by somebody with habits. */
  byte[] simulated(UUID sessionId, int laps, long seed) {
    Books.Computed computed = computed(sessions.get(sessionId));
    SimulatedDriver driver =
        new SimulatedDriver(computed.basis(), computed.conditions(), computed.reference());
    List<Lap> driven = driver.drive(laps, Habits.of(computed.reference().pages(), seed), seed);
    return LapCsvWriter.write(new ModelRecording(LOGGER_HZ, 0.3, true, seed).of(driven));
  }

  private List<CornerReading> pageItself(Books.Computed computed, LapReader reader) {
    Lap lap = computed.reference().lap();
    Recording recording = new ModelRecording(LOGGER_HZ, 0, true, 1).of(List.of(lap, lap));
    Stations stations = Stations.of(recording, road(computed));
    RecordedLap whole =
        LapCutter.cut(recording, stations, road(computed)).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    return reader.read(recording, stations, whole);
  }

  private static LapReader reader(Books.Computed computed) {
    Vehicle car = computed.basis().vehicle();
    double weight = G0 * (car.massKg() + car.driverKg() + computed.conditions().fuelKg());
    double halfRhoCdA = 0.5 * computed.conditions().airDensityKgM3() * car.aero().cdAM2();
    return new LapReader(
        road(computed),
        computed.reference().pages(),
        Thresholds.DEFAULT,
        v -> halfRhoCdA * v * v / weight + car.rollingResistance());
  }

  private ReadLaps readLaps(StoredLapFile stored, Books.Computed computed) {
    synchronized (read) {
      ReadLaps known = read.get(on(stored, computed));
      if (known != null) {
        return known;
      }
    }
    ReadLaps laps = ReadLaps.of(stored.bytes(), computed.circuit(), road(computed));
    remember(on(stored, computed), laps);
    return laps;
  }

  private static FileOn on(StoredLapFile stored, Books.Computed computed) {
    return new FileOn(stored.id(), computed.document().path("number").asInt());
  }

  private void remember(FileOn key, ReadLaps laps) {
    synchronized (read) {
      read.put(key, laps);
    }
  }

  private Books.Computed computed(Sessions.Kept session) {
    return books.recompute(session.bookId(), revision(session));
  }

  /** The revision that was issued for the session; without one the newest of its day. */
  private int revision(Sessions.Kept session) {
    if (session.session().has("revision")) {
      return session.session().path("revision").asInt();
    }
    List<Books.RevisionLine> all = books.get(session.bookId()).revisions();
    return all.stream()
        .filter(revision -> !revision.createdAt().isAfter(session.begins()))
        .reduce((first, second) -> second)
        .orElse(all.get(0))
        .number();
  }

  private static Road road(Books.Computed computed) {
    return computed.basis().path().road();
  }

  private static String digest(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
