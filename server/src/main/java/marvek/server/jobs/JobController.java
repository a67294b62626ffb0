package marvek.server.jobs;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/jobs/{id}")
class JobController {
  private final Jobs jobs;

  JobController(Jobs jobs) {
    this.jobs = jobs;
  }

  /** What every job gives: a book, and the revision that is its newest then. */
  record Made(UUID id, int revision) {}

  /**
   * @param result what the job gave, once it is done
   * @param problem what it failed with
   */
  record View(
      UUID id,
      Job.Status status,
      double progress,
      @Schema(implementation = Made.class) @Nullable Object result,
      @Nullable String problem) {
    static View of(Job<?> job) {
      boolean done = job.status() == Job.Status.DONE;
      RuntimeException cause = job.cause();
      return new View(
          job.id(),
          job.status(),
          job.progress(),
          done ? job.result() : null,
          cause == null ? null : Told.of(cause));
    }
  }

  /** How far a job is, and what it gave. */
  @GetMapping
  View getJob(@PathVariable UUID id) {
    return View.of(jobs.get(id));
  }

  /** Ends a job as soon as it can. */
  @DeleteMapping
  View cancelJob(@PathVariable UUID id) {
    jobs.get(id).cancel();
    return View.of(jobs.get(id));
  }
}
