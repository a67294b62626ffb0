package marvek.server.jobs;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * How a job stands.
 *
 * @param progress 0 to 1
 * @param result what the job gave, once it is done
 * @param problem what it failed with
 */
public record JobView(
    UUID id,
    JobStatus status,
    double progress,
    JobWork.@Nullable Made result,
    @Nullable String problem) {
  static JobView of(Job job) {
    return new JobView(job.id(), job.status(), job.progress(), job.made(), job.problem());
  }
}
