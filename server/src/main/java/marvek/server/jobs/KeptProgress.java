package marvek.server.jobs;

import java.util.UUID;
import java.util.concurrent.CancellationException;

/** Progress that is kept for whoever asks, wherever: not more often than it is asked for. */
final class KeptProgress implements Progress {
  private static final long EVERY_NS = 200_000_000;

  private final JobRepository jobs;
  private final UUID id;
  private long keptAt = System.nanoTime();

  KeptProgress(JobRepository jobs, UUID id) {
    this.jobs = jobs;
    this.id = id;
  }

  @Override
  public void at(double share) {
    if (Thread.currentThread().isInterrupted()) {
      throw new CancellationException("job cancelled");
    }
    if (System.nanoTime() - keptAt >= EVERY_NS) {
      keptAt = System.nanoTime();
      jobs.progress(id, share);
    }
  }
}
