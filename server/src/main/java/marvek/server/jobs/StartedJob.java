package marvek.server.jobs;

import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/** A job for who asked for it here: what is done soon is answered without asking again. */
public final class StartedJob {
  private final UUID id;
  private final CompletableFuture<JobWork.Made> end = new CompletableFuture<>();

  StartedJob(UUID id) {
    this.id = id;
  }

  public UUID id() {
    return id;
  }

  /**
   * Waits for the end, but not longer than given.
   *
   * @return what it gave; nothing if it goes on, runs elsewhere or was cancelled
   * @throws RuntimeException what it failed with
   */
  public Optional<JobWork.Made> await(long millis) {
    try {
      return Optional.of(end.get(millis, TimeUnit.MILLISECONDS));
    } catch (TimeoutException | CancellationException e) {
      return Optional.empty();
    } catch (ExecutionException e) {
      throw (RuntimeException) e.getCause();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  void done(JobWork.Made made) {
    end.complete(made);
  }

  void failed(RuntimeException why) {
    end.completeExceptionally(why);
  }

  void cancelled() {
    end.cancel(false);
  }
}
