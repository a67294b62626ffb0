package marvek.server.laps;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.PlainText;
import marvek.core.Require;
import marvek.core.laps.RecordedLap;
import marvek.formats.LapPreview;
import marvek.server.books.Books;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.Sessions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps files of laps, and what was said of them. */
@Service
class Laps {
  private static final int KEPT_READ = 4;
  private static final int LONGEST_NAME = 200;

  private final LapFileRepository repository;
  private final LapBytesRepository bytes;
  private final HeaderRepository headers;
  private final Sessions sessions;
  private final TransactionTemplate transaction;
  private final Map<FileOn, ReadLaps> read =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<FileOn, ReadLaps> eldest) {
          return size() > KEPT_READ;
        }
      };

  Laps(
      LapFileRepository repository,
      LapBytesRepository bytes,
      HeaderRepository headers,
      Sessions sessions,
      TransactionTemplate transaction) {
    this.repository = repository;
    this.bytes = bytes;
    this.headers = headers;
    this.sessions = sessions;
    this.transaction = transaction;
  }

  /** A file read on a revision's road: another revision may lie on another layout. */
  private record FileOn(UUID file, int revision, int bytes) {}

  /** A file with what was taken from it. */
  record KeptFile(StoredLapFile stored, ReadLaps laps) {
    /** A lap as somebody says it is, or else as it was recognised. */
    RecordedLap.Kind kindOf(RecordedLap lap) {
      return stored.saidOf(lap.number()).orElse(lap.kind());
    }
  }

  /**
   * What a file's columns would be taken for.
   *
   * @param remembered whether that is how a file with the same header was mapped before
   */
  record Preview(LapPreview preview, boolean remembered) {}

  /** Looks at a file; a mapping that is given counts before one that is remembered. */
  Preview preview(byte[] bytes, Map<String, String> mapping) {
    LapPreview plain = LapPreview.of(bytes, Map.of());
    Map<String, String> before = remembered(plain);
    Map<String, String> all = new TreeMap<>(before);
    all.putAll(mapping);
    return new Preview(LapPreview.of(bytes, all), !before.isEmpty() && mapping.isEmpty());
  }

  private Map<String, String> remembered(LapPreview preview) {
    return headers.findById(headerDigest(preview)).map(StoredHeader::mapping).orElse(Map.of());
  }

  private static String headerDigest(LapPreview preview) {
    String header =
        String.join("\n", preview.columns().stream().map(LapPreview.Column::header).toList());
    return digest(header.getBytes(java.nio.charset.StandardCharsets.UTF_8));
  }

  /**
   * Takes a file in; it is read first, and nothing is kept of one that cannot be.
   *
   * @param mapping of headers that do not say what they are; remembered for the next such file
   */
  KeptFile add(
      UUID sessionId,
      Books.Computed computed,
      String name,
      byte[] content,
      Map<String, String> mapping) {
    String digest = digest(content);
    checkNew(sessionId, digest);
    LapPreview plain = LapPreview.of(content, Map.of());
    Map<String, String> all = new TreeMap<>(remembered(plain));
    all.putAll(mapping);
    ReadLaps laps = ReadLaps.of(content, all, computed.circuit(), SessionLaps.road(computed));
    StoredLapFile stored =
        transaction.execute(
            status -> {
              checkNew(sessionId, digest);
              StoredLapFile file =
                  repository.saveAndFlush(
                      new StoredLapFile(sessionId, named(name), digest, content.length, all));
              bytes.save(new StoredLapBytes(file.id(), content));
              if (!mapping.isEmpty()) {
                headers.save(new StoredHeader(headerDigest(plain), all));
              }
              return file;
            });
    remember(on(stored, computed), laps);
    return new KeptFile(stored, laps);
  }

  private static String named(String name) {
    String text = name == null ? "" : PlainText.of(name).strip();
    return text.isEmpty()
        ? "laps.csv"
        : text.substring(
            0,
            text.offsetByCodePoints(
                0, Math.min(text.codePointCount(0, text.length()), LONGEST_NAME)));
  }

  /** A file counts once in a book: twice it would weigh double in its history. */
  private void checkNew(UUID sessionId, String digest) {
    repository.findByDigestAndSessionIdIn(digest, sessions.ofSameBook(sessionId)).stream()
        .findFirst()
        .ifPresent(
            file -> {
              boolean here = file.sessionId().equals(sessionId);
              String where = here ? "" : ", in " + sessions.get(file.sessionId()).name();
              throw new ConflictException(
                  "This very file is in already"
                      + where
                      + ", as \""
                      + file.name()
                      + "\". Nothing was stored."
                      + (here ? "" : " If it belongs here, take it out there first."));
            });
  }

  /** What is in a file, as it was brought in. */
  byte[] bytesOf(UUID id) {
    return bytes
        .findById(file(id).id())
        .map(StoredLapBytes::bytes)
        .orElseThrow(() -> new NotFoundException("There is no file of laps " + id + "."));
  }

  /** What is kept of a file. */
  StoredLapFile file(UUID id) {
    return repository
        .findById(id)
        .orElseThrow(() -> new NotFoundException("There is no file of laps " + id + "."));
  }

  /** What is kept of the files of a session, in the order they came. */
  List<StoredLapFile> files(UUID sessionId) {
    return repository.findBySessionIdOrderByTakenAtAscIdAsc(sessionId);
  }

  /** The files of a session in the order they came, read on the road of its revision. */
  List<KeptFile> of(UUID sessionId, Books.Computed computed) {
    return repository.findBySessionIdOrderByTakenAtAscIdAsc(sessionId).stream()
        .map(stored -> new KeptFile(stored, readLaps(stored, computed)))
        .toList();
  }

  /** What a session's files are like now; another text when anything of them has changed. */
  String state(UUID sessionId) {
    return repository.findBySessionIdOrderByTakenAtAscIdAsc(sessionId).stream()
        .map(StoredLapFile::state)
        .collect(Collectors.joining(";"));
  }

  /** Whether a session has any. */
  boolean any(UUID sessionId) {
    return repository.existsBySessionId(sessionId);
  }

  /**
   * Calls a file of laps otherwise.
   *
   * @throws InvalidValueException of field "name" if it is empty or too long
   */
  void rename(UUID id, String name) {
    String called = Require.text("name", name == null ? "" : name.strip(), LONGEST_NAME);
    transaction.executeWithoutResult(
        status -> {
          StoredLapFile stored = file(id);
          stored.call(called);
          repository.saveAndFlush(stored);
        });
  }

  void remove(UUID id) {
    repository.delete(file(id));
    synchronized (read) {
      read.keySet().removeIf(key -> key.file().equals(id));
    }
  }

  /**
   * Somebody says what kind a lap is.
   *
   * @param kind null takes it back
   * @throws InvalidValueException if the lap was not recorded from line to line
   */
  void say(UUID id, int number, RecordedLap.Kind kind, Books.Computed computed) {
    RecordedLap lap =
        readLaps(file(id), computed).laps().stream()
            .filter(l -> l.number() == number)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("The file has no lap " + number + "."));
    if (!lap.isWhole()) {
      throw new InvalidValueException(
          "lap", "(" + number + ") was not recorded from line to line: it has no time");
    }
    transaction.executeWithoutResult(
        status -> {
          StoredLapFile stored = file(id);
          stored.say(number, kind);
          repository.saveAndFlush(stored);
        });
  }

  /** From now on the step plans know of these files' laps. */
  void stepsNoted(List<StoredLapFile> files) {
    files.forEach(StoredLapFile::noteSteps);
    repository.saveAll(files);
  }

  /** More samples of a file that a logger is still writing. */
  void grow(UUID id, byte[] content) {
    String digest = digest(content);
    transaction.executeWithoutResult(
        status -> {
          StoredLapFile stored = file(id);
          stored.grow(content.length, digest);
          repository.saveAndFlush(stored);
          bytes.save(new StoredLapBytes(id, content));
        });
  }

  private ReadLaps readLaps(StoredLapFile stored, Books.Computed computed) {
    FileOn key = on(stored, computed);
    synchronized (read) {
      ReadLaps known = read.get(key);
      if (known != null) {
        return known;
      }
    }
    ReadLaps laps =
        ReadLaps.of(
            bytesOf(stored.id()), stored.mapping(), computed.circuit(), SessionLaps.road(computed));
    remember(key, laps);
    return laps;
  }

  private static FileOn on(StoredLapFile stored, Books.Computed computed) {
    int revision = computed.document().path("number").asInt();
    return new FileOn(stored.id(), revision, stored.size());
  }

  private void remember(FileOn key, ReadLaps laps) {
    synchronized (read) {
      read.put(key, laps);
    }
  }

  private static String digest(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
