package marvek.server.laps;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import marvek.formats.LapCsv;
import marvek.formats.LapsOnRoad;
import marvek.server.books.Books;
import marvek.server.problems.ConflictException;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Laps as they are driven: a logger writes its rows to a socket on loopback, and they are kept with
 * their session whenever another lap is whole. The logger is the simulated one.
 */
@Service
class LiveLaps {
  private static final Logger LOG = LoggerFactory.getLogger(LiveLaps.class);

  /** Longer than this nothing comes: the logger has gone. */
  private static final int SILENCE_MS = 60_000;

  private final Map<UUID, Run> runs = new ConcurrentHashMap<>();
  private final Debriefs debriefs;
  private final Sessions sessions;
  private final Laps laps;
  private final SimulatedLogger logger;

  LiveLaps(Debriefs debriefs, Sessions sessions, Laps laps, SimulatedLogger logger) {
    this.debriefs = debriefs;
    this.sessions = sessions;
    this.laps = laps;
    this.logger = logger;
  }

  /**
   * How a run goes.
   *
   * @param rows that have come
   * @param laps that are whole so far
   * @param problem why it ended early; null without
   */
  record State(boolean running, int rows, int laps, @Nullable Sentence problem) {
    static final State NONE = new State(false, 0, 0, null);
  }

  private static final class Run {
    private volatile State state = new State(true, 0, 0, null);
    private volatile boolean stopped;
    private volatile ServerSocket door;
  }

  State state(UUID session) {
    Run run = runs.get(session);
    return run == null ? State.NONE : run.state;
  }

  /** Lets the simulated logger drive. */
  State start(UUID session, int count, long seed, double timesFaster) {
    Require.within("timesFaster", timesFaster, 1, 200);
    Require.within("laps", count, 1, 60);
    if (state(session).running()) {
      throw new ConflictException(Sentence.of("conflict.logger-writing"));
    }
    Books.Computed computed = debriefs.computed(sessions.get(session));
    byte[] file = logger.file(computed, SimulatedLogger.Kind.FULL, count, seed);
    Run run = new Run();
    runs.put(session, run);
    try {
      run.door = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
    } catch (IOException e) {
      throw new ConflictException(Sentence.of("conflict.no-port", "why", e.getMessage()));
    }
    background("logger", () -> write(run, file, timesFaster));
    background("live-laps", () -> receive(run, session, computed));
    return run.state;
  }

  State stop(UUID session) {
    Run run = runs.get(session);
    if (run != null) {
      run.stopped = true;
      close(run);
    }
    return state(session);
  }

  private static void background(String name, Runnable work) {
    Thread thread = new Thread(work, name);
    thread.setDaemon(true);
    thread.start();
  }

  private static void close(Run run) {
    try {
      run.door.close();
    } catch (IOException e) {
      LOG.debug("closed already", e);
    }
  }

  /** The logger's side: rows at their time, so many times faster. */
  private static void write(Run run, byte[] file, double timesFaster) {
    String[] rows = new String(file, StandardCharsets.UTF_8).split("\r\n");
    long begun = System.nanoTime();
    try (ServerSocket door = run.door;
        Socket line = door.accept();
        OutputStream out = line.getOutputStream()) {
      for (String row : rows) {
        double due = Character.isDigit(row.charAt(0)) ? timeOf(row) / timesFaster : 0;
        double ahead = due - (System.nanoTime() - begun) / 1e9;
        if (ahead > 0.02) {
          out.flush();
          Thread.sleep((long) (1000 * ahead));
        }
        if (run.stopped) {
          return;
        }
        out.write((row + "\r\n").getBytes(StandardCharsets.UTF_8));
      }
    } catch (IOException e) {
      LOG.debug("the receiver has gone", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static double timeOf(String row) {
    return Double.parseDouble(row.substring(0, row.indexOf(',')));
  }

  /** Marvek's side: what comes is kept whenever as much as another lap has come. */
  private void receive(Run run, UUID session, Books.Computed computed) {
    double lapS = computed.reference().lap().timeS();
    StringBuilder text = new StringBuilder();
    int rows = 0;
    double looked = 0;
    UUID file = null;
    try (Socket line = new Socket(InetAddress.getLoopbackAddress(), run.door.getLocalPort());
        BufferedReader in =
            new BufferedReader(
                new InputStreamReader(line.getInputStream(), StandardCharsets.UTF_8))) {
      line.setSoTimeout(SILENCE_MS);
      for (String row = in.readLine(); row != null && !run.stopped; row = in.readLine()) {
        text.append(row).append("\r\n");
        rows++;
        double now = Character.isDigit(row.charAt(0)) ? timeOf(row) : 0;
        if (now - looked > lapS / 4) {
          looked = now;
          file = keep(run, session, computed, file, text);
        }
        run.state = new State(true, rows, run.state.laps(), null);
      }
      keep(run, session, computed, file, text);
      run.state = new State(false, rows, run.state.laps(), null);
    } catch (IOException | RuntimeException e) {
      LOG.info("A logger's line ended: {}", e.getMessage());
      run.state = new State(false, rows, run.state.laps(), run.stopped ? null : whyEnded(e));
    } finally {
      close(run);
    }
  }

  /** What is said of a line that ended early; others' own words speak of sockets. */
  static Sentence whyEnded(Exception e) {
    if (e instanceof SocketTimeoutException) {
      return Sentence.of("laps.logger-silent", "seconds", SILENCE_MS / 1000);
    }
    if (e instanceof BadFileException bad) {
      return bad.said();
    }
    return e instanceof InvalidValueException value
        ? value.said()
        : Sentence.of("laps.logger-broken");
  }

  private UUID keep(Run run, UUID session, Books.Computed computed, UUID file, StringBuilder text) {
    byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
    try {
      LapsOnRoad read =
          LapsOnRoad.of(
              LapCsv.read(bytes),
              computed.circuit(),
              SessionLaps.road(computed),
              computed.reference().lap());
      int whole = (int) read.laps().stream().filter(lap -> lap.isWhole()).count();
      UUID kept = file;
      if (file == null) {
        kept = laps.add(session, computed, IncomingLaps.of("live.laps.csv", bytes)).stored().id();
      } else if (whole > run.state.laps()) {
        laps.grow(file, bytes);
      }
      run.state = new State(true, run.state.rows(), whole, null);
      return kept;
    } catch (BadFileException e) {
      // No lap is whole yet.
      return file;
    }
  }
}
