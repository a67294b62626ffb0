package marvek.server.books;

import jakarta.annotation.PreDestroy;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import marvek.core.conditions.Conditions;
import marvek.core.reference.Reference;
import marvek.formats.ConditionsJson;
import marvek.formats.JsonFiles;
import marvek.formats.SetupSheetJson;
import marvek.server.cars.Cars;
import marvek.server.circuits.Circuits;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fastest lines that this or another server has found, kept in the database: a server that is
 * started anew, or one beside it, need not search them again. They are told apart by all that they
 * depend on, the build of Marvek among it, since another one may find another line.
 */
@Component
class FoundLines {
  private static final Logger LOG = LoggerFactory.getLogger(FoundLines.class);

  /** At a metre a sample some 40 kB for a lap of 4.5 km, 300 kB for one of 37 km. */
  private static final int MOST = 300;

  /** What waits to be kept; more is not worth waiting for. */
  private static final int MOST_WAITING = 8;

  private final FoundLineRepository lines;
  private final TransactionTemplate transaction;
  private final String build;

  /** A thread of its own: who searches holds a connection often enough, and one is enough. */
  private final ThreadPoolExecutor keeper =
      new ThreadPoolExecutor(
          0,
          1,
          10,
          TimeUnit.SECONDS,
          new ArrayBlockingQueue<>(MOST_WAITING),
          work -> new Thread(work, "found-lines"),
          new ThreadPoolExecutor.DiscardPolicy());

  FoundLines(
      FoundLineRepository lines,
      TransactionTemplate transaction,
      ObjectProvider<BuildProperties> build) {
    this.lines = lines;
    this.transaction = transaction;
    BuildProperties known = build.getIfAvailable();
    this.build = known == null ? null : String.valueOf(known.getTime());
  }

  /**
   * By what a line is known.
   *
   * @param day what of the day the line depends on
   * @return empty where nothing is kept, as without a build of Marvek that is known
   */
  Optional<String> digest(Circuits.Loaded circuit, Cars.Loaded car, Draft draft, Conditions day) {
    if (build == null || !draft.line().isFastest()) {
      return Optional.empty();
    }
    MessageDigest digest = sha256();
    add(digest, build);
    add(digest, JsonFiles.write(circuit.document()));
    add(digest, JsonFiles.write(car.document()));
    add(digest, JsonFiles.write(ConditionsJson.write(day)));
    if (draft.setup() != null) {
      add(digest, JsonFiles.write(SetupSheetJson.write(draft.setup())));
    }
    return Optional.of(HexFormat.of().formatHex(digest.digest()));
  }

  private static void add(MessageDigest digest, String part) {
    byte[] bytes = part.getBytes(StandardCharsets.UTF_8);
    digest.update((bytes.length + ":").getBytes(StandardCharsets.UTF_8));
    digest.update(bytes);
  }

  private static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }

  Optional<FoundLine> find(String digest) {
    return lines.findById(digest);
  }

  /** Keeps a line, some time: it can be found again where that fails. */
  void keep(String digest, Reference.Basis found) {
    FoundLine line =
        new FoundLine(digest, found.path().offsets(), found.lineStill(), Instant.now());
    keeper.execute(() -> keep(line));
  }

  private void keep(FoundLine line) {
    try {
      transaction.executeWithoutResult(
          status -> {
            lines.save(line);
            lines.forgetOlder(MOST);
          });
    } catch (DataAccessException | TransactionException e) {
      LOG.debug("A line was not kept", e);
    }
  }

  /** Ends when what waits is kept. */
  @PreDestroy
  void end() throws InterruptedException {
    keeper.shutdown();
    keeper.awaitTermination(2, TimeUnit.SECONDS);
  }
}
