package marvek.server.laps;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.laps.RecordedLap;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import marvek.formats.FileText;
import marvek.formats.LapPreview;
import marvek.formats.LapsOnRoad;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.Books;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import marvek.server.problems.Problems;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Keeps files of laps, and what was said of them. */
@Service
class Laps {
  private static final int LONGEST_NAME = 200;

  private final LapFileRepository repository;
  private final LapBytesRepository bytes;
  private final HeaderRepository headers;
  private final Sessions sessions;
  private final CurrentDriver driver;
  private final ReadFiles read;
  private final TransactionTemplate transaction;

  Laps(
      LapFileRepository repository,
      LapBytesRepository bytes,
      HeaderRepository headers,
      Sessions sessions,
      CurrentDriver driver,
      ReadFiles read,
      TransactionTemplate transaction) {
    this.repository = repository;
    this.bytes = bytes;
    this.headers = headers;
    this.sessions = sessions;
    this.driver = driver;
    this.read = read;
    this.transaction = transaction;
  }

  /** A file with what was taken from it. */
  record KeptFile(StoredLapFile stored, LapsOnRoad laps) {
    /** A lap as somebody says it is, or else as it was recognised. */
    RecordedLap.Kind kindOf(RecordedLap lap) {
      return stored.saidOf(lap.number()).orElse(lap.kind());
    }

    IncomingLaps.Whose whose() {
      return stored.whose();
    }
  }

  /**
   * What a file's columns would be taken for, and what its laps would be.
   *
   * @param remembered whether that is how a file with the same header was named before
   * @param laps null where the file cannot be read so
   * @param problem why it cannot be; null where it can
   */
  record Preview(
      LapPreview columns,
      boolean remembered,
      @Nullable LapsOnRoad laps,
      @Nullable ProblemDetail problem) {}

  /** Looks at a file; a mapping that is given counts before one that is remembered. */
  Preview preview(UUID book, Books.Computed computed, IncomingLaps incoming) {
    FileText text = FileText.of(incoming.content());
    Named named = named(text, incoming);
    LapPreview columns = LapPreview.of(text, named.mapping(), named.headerLine());
    if (!columns.missing().isEmpty()) {
      return new Preview(columns, named.remembered(), null, null);
    }
    try {
      LapsOnRoad laps = read(digest(incoming.content()), incoming, named, book, computed);
      return new Preview(columns, named.remembered(), laps, null);
    } catch (BadFileException e) {
      return new Preview(columns, named.remembered(), null, Problems.of(e));
    } catch (InvalidValueException e) {
      return new Preview(columns, named.remembered(), null, Problems.of(e));
    }
  }

  private LapsOnRoad read(
      String digest, IncomingLaps incoming, Named named, UUID book, Books.Computed computed) {
    return read.read(
        digest, incoming::content, named.mapping(), named.headerLine(), book, computed);
  }

  /** How the columns of a file are named: as somebody says, or else as he did the last time. */
  private record Named(Map<String, String> mapping, long headerLine, boolean remembered) {}

  private Named named(FileText text, IncomingLaps incoming) {
    StoredHeader before = headers.findById(key(text, incoming.headerLine())).orElse(null);
    if (before == null) {
      return new Named(incoming.mapping(), incoming.headerLine(), false);
    }
    Map<String, String> all = new TreeMap<>(before.mapping());
    all.putAll(incoming.mapping());
    long line = incoming.headerLine() > 0 ? incoming.headerLine() : before.headerLine();
    return new Named(all, line, incoming.mapping().isEmpty() && incoming.headerLine() == 0);
  }

  /** By its headers and who brings it in; where nobody points at them, by those that are found. */
  private StoredHeader.Key key(FileText text, long headerLine) {
    LapPreview plain = LapPreview.of(text, Map.of(), headerLine);
    String header =
        String.join("\n", plain.columns().stream().map(LapPreview.Column::header).toList());
    byte[] letters = header.getBytes(StandardCharsets.UTF_8);
    return new StoredHeader.Key(digest(() -> new ByteArrayInputStream(letters)), driver.person());
  }

  /** Takes a file in; it is read first, and nothing is kept of one that cannot be. */
  KeptFile add(UUID sessionId, Books.Computed computed, IncomingLaps incoming) {
    String digest = digest(incoming.content());
    checkNew(sessionId, digest);
    FileText text = FileText.of(incoming.content());
    Named named = named(text, incoming);
    LapsOnRoad laps = read(digest, incoming, named, sessions.get(sessionId).bookId(), computed);
    StoredHeader remembered =
        new StoredHeader(key(text, 0), named.mapping(), incoming.headerLine());
    boolean said = !incoming.mapping().isEmpty() || incoming.headerLine() > 0;
    StoredLapFile stored =
        transaction.execute(
            status -> {
              checkNew(sessionId, digest);
              StoredLapFile file =
                  repository.saveAndFlush(
                      new StoredLapFile(
                          sessionId,
                          incoming.name(),
                          new StoredLapFile.Content(digest, sizeOf(incoming.content())),
                          new StoredLapFile.Reading(named.mapping(), named.headerLine()),
                          incoming.whose()));
              bytes.save(packed(file.id(), incoming.content()));
              if (said) {
                headers.save(remembered);
              }
              return file;
            });
    return new KeptFile(stored, laps);
  }

  private static StoredLapBytes packed(UUID file, FileText.Bytes content) {
    try {
      return StoredLapBytes.of(file, content);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int sizeOf(FileText.Bytes content) {
    try (InputStream in = content.open()) {
      return (int) in.transferTo(OutputStream.nullOutputStream());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A file counts once in a book: twice it would weigh double in its history. */
  private void checkNew(UUID sessionId, String digest) {
    repository.findByDigestAndSessionIdIn(digest, sessions.ofSameBook(sessionId)).stream()
        .findFirst()
        .ifPresent(
            file -> {
              boolean here = file.sessionId().equals(sessionId);
              throw new ConflictException(
                  here
                      ? Sentence.of("conflict.file-twice", "name", file.name())
                      : Sentence.of(
                          "conflict.file-elsewhere",
                          "session",
                          sessions.get(file.sessionId()).name(),
                          "name",
                          file.name()));
            });
  }

  /** What is in a file, as it was brought in. */
  FileText.Bytes contentOf(UUID id) {
    return bytes
        .findById(file(id).id())
        .map(StoredLapBytes::content)
        .orElseThrow(() -> NotFoundException.of("file-of-laps", id));
  }

  /** What is kept of a file. */
  StoredLapFile file(UUID id) {
    return repository.findById(id).orElseThrow(() -> NotFoundException.of("file-of-laps", id));
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

  /** One file read on the road of any book. */
  KeptFile on(StoredLapFile stored, UUID book, Books.Computed computed) {
    return new KeptFile(stored, readLaps(stored, book, computed));
  }

  /** Notes what a file's laps are; another one may have noted the same meanwhile. */
  void noteSummary(UUID id, ObjectNode laps) {
    transaction.executeWithoutResult(
        status -> repository.findById(id).ifPresent(f -> f.summed(laps)));
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
  }

  /** Says whose laps a file has, and in what. */
  void say(UUID id, IncomingLaps.Whose whose) {
    transaction.executeWithoutResult(
        status -> {
          StoredLapFile stored = file(id);
          stored.say(whose);
          repository.saveAndFlush(stored);
        });
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
            .orElseThrow(
                () -> new NotFoundException(Sentence.of("missing.lap-of-file", "lap", number)));
    if (!lap.isWhole()) {
      throw new InvalidValueException(
          "lap", Sentence.of("refused.lap-without-time", "given", number));
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
    FileText.Bytes all = () -> new ByteArrayInputStream(content);
    String digest = digest(all);
    transaction.executeWithoutResult(
        status -> {
          StoredLapFile stored = file(id);
          stored.grow(new StoredLapFile.Content(digest, content.length));
          repository.saveAndFlush(stored);
          bytes.save(packed(id, all));
        });
  }

  private LapsOnRoad readLaps(StoredLapFile stored, Books.Computed computed) {
    return readLaps(stored, sessions.get(stored.sessionId()).bookId(), computed);
  }

  private LapsOnRoad readLaps(StoredLapFile stored, UUID book, Books.Computed computed) {
    return read.read(
        stored.digest(),
        () -> contentOf(stored.id()),
        stored.mapping(),
        stored.headerLine(),
        book,
        computed);
  }

  private static String digest(FileText.Bytes content) {
    try (InputStream in = content.open()) {
      MessageDigest sha = MessageDigest.getInstance("SHA-256");
      in.transferTo(new DigestOutputStream(OutputStream.nullOutputStream(), sha));
      return HexFormat.of().formatHex(sha.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
