package marvek.server.jobs;

import jakarta.annotation.PreDestroy;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;

/** Runs jobs, two at a time, and remembers the last hundred. */
@Service
public class Jobs {
  private static final int REMEMBERED = 100;

  private final ExecutorService executor = Executors.newFixedThreadPool(2);
  private final Map<UUID, Job<?>> jobs =
      Collections.synchronizedMap(
          new LinkedHashMap<>() {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<UUID, Job<?>> eldest) {
              return size() > REMEMBERED;
            }
          });

  /** Starts work. */
  public <T> Job<T> start(Job.Work<T> work) {
    Job<T> job = new Job<>();
    jobs.put(job.id(), job);
    job.runs(executor.submit(() -> job.run(work)));
    return job;
  }

  /**
   * A job by its id.
   *
   * @throws NotFoundException if it is not remembered
   */
  public Job<?> get(UUID id) {
    Job<?> job = jobs.get(id);
    if (job == null) {
      throw new NotFoundException("There is no job " + id + ".");
    }
    return job;
  }

  @PreDestroy
  void stop() {
    executor.shutdownNow();
  }
}
