package marvek.server.jobs;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The work that this server does, each on its thread; ends what is cancelled, wherever that was.
 */
class RunningJobs {
  private static final Logger LOG = LoggerFactory.getLogger(RunningJobs.class);

  /** A driver who cancels sees it at once; this is how much longer the processor goes on. */
  private static final long LOOK_MS = 200;

  private final JobRepository jobs;
  private final Map<UUID, Thread> threads = new ConcurrentHashMap<>();
  private final ScheduledExecutorService looking =
      Executors.newSingleThreadScheduledExecutor(work -> daemon(work, "cancelled-jobs"));

  RunningJobs(JobRepository jobs) {
    this.jobs = jobs;
    looking.scheduleWithFixedDelay(this::look, LOOK_MS, LOOK_MS, TimeUnit.MILLISECONDS);
  }

  private static Thread daemon(Runnable work, String name) {
    Thread thread = new Thread(work, name);
    thread.setDaemon(true);
    return thread;
  }

  void begin(UUID id) {
    threads.put(id, Thread.currentThread());
  }

  /** From here on its thread is not interrupted any more. */
  synchronized void end(UUID id) {
    threads.remove(id);
    Thread.interrupted();
  }

  private void look() {
    try {
      List<UUID> running = List.copyOf(threads.keySet());
      if (!running.isEmpty()) {
        jobs.cancelledOf(running).forEach(this::interrupt);
      }
    } catch (RuntimeException e) {
      LOG.warn("It could not be seen whether a job is cancelled: {}", e.getMessage());
    }
  }

  private synchronized void interrupt(UUID id) {
    Thread thread = threads.get(id);
    if (thread != null) {
      thread.interrupt();
    }
  }

  void stop() {
    looking.shutdownNow();
  }
}
