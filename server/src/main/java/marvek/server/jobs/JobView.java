package marvek.server.jobs;

import java.util.UUID;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * How a job stands.
 *
 * @param progress 0 to 1
 * @param result what the job gave, once it is done
 * @param problem what it failed with, in words
 * @param field of a value that cannot be used
 * @param said the same as a sentence with its facts
 */
public record JobView(
    UUID id,
    JobStatus status,
    double progress,
    JobWork.@Nullable Made result,
    @Nullable String problem,
    @Nullable String field,
    @Nullable Sentence said) {
  static JobView of(Job job) {
    Told told = job.problem();
    return new JobView(
        job.id(),
        job.status(),
        job.progress(),
        job.made(),
        told == null ? null : told.words(),
        told == null ? null : told.field(),
        told == null ? null : told.said());
  }
}
