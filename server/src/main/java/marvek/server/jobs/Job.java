package marvek.server.jobs;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Long work. QUEUED becomes RUNNING, and that DONE, FAILED or CANCELLED; QUEUED may become
 * CANCELLED.
 *
 * @param <T> what it gives
 */
public final class Job<T> {
  /** See the transitions at {@link Job}. */
  public enum Status {
    @JsonProperty("queued")
    QUEUED,
    @JsonProperty("running")
    RUNNING,
    @JsonProperty("done")
    DONE,
    @JsonProperty("failed")
    FAILED,
    @JsonProperty("cancelled")
    CANCELLED
  }

  private static final Logger LOG = LoggerFactory.getLogger(Job.class);

  private final UUID id = UUID.randomUUID();
  private final CountDownLatch ended = new CountDownLatch(1);
  private Status status = Status.QUEUED;
  private double progress;
  private T result;
  private RuntimeException cause;
  private Future<?> running;

  /** Told by the work how far it is. */
  public interface Progress {
    /**
     * @param share 0 to 1
     */
    void at(double share);
  }

  /** Something that takes its time. */
  public interface Work<T> {
    T run(Progress progress);
  }

  Job() {}

  synchronized void runs(Future<?> future) {
    running = future;
  }

  void run(Work<T> work) {
    synchronized (this) {
      if (status == Status.CANCELLED) {
        return;
      }
      status = Status.RUNNING;
    }
    try {
      T value = work.run(this::progress);
      end(Status.DONE, value, null);
    } catch (java.util.concurrent.CancellationException e) {
      end(Status.CANCELLED, null, null);
    } catch (RuntimeException e) {
      end(Status.FAILED, null, e);
    } catch (Error e) {
      // An Error must not leave it running for ever; whoever asks is told what he is of any
      // failure.
      end(Status.FAILED, null, new IllegalStateException("a job ended with an error", e));
    }
  }

  private synchronized void progress(double share) {
    progress = share;
  }

  private synchronized void end(Status how, T value, RuntimeException why) {
    if (why != null && !Told.toItsAsker(why)) {
      LOG.error("Job {} failed", id, why);
    }
    if (status == Status.RUNNING) {
      status = how;
      result = value;
      cause = why;
      progress = how == Status.DONE ? 1 : progress;
    }
    ended.countDown();
  }

  /** Stops the work at its next chance; what it would have stored is not stored. */
  public synchronized void cancel() {
    if (status == Status.QUEUED || status == Status.RUNNING) {
      status = Status.CANCELLED;
      if (running != null) {
        running.cancel(true);
      }
      ended.countDown();
    }
  }

  /** Waits for the end, but not longer than given; true if it came. */
  public boolean await(long millis) {
    try {
      return ended.await(millis, TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  public UUID id() {
    return id;
  }

  public synchronized Status status() {
    return status;
  }

  public synchronized double progress() {
    return progress;
  }

  /** The result of a job that is done; throws what it failed with. */
  public synchronized T result() {
    if (cause != null) {
      throw cause;
    }
    return result;
  }

  synchronized RuntimeException cause() {
    return cause;
  }
}
