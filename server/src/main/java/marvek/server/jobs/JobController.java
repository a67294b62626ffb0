package marvek.server.jobs;

import java.util.UUID;
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

  /** How far a job is, and what it gave. */
  @GetMapping
  JobView getJob(@PathVariable UUID id) {
    return jobs.view(id);
  }

  /** Ends a job as soon as it can; for the others it goes on where several asked for the same. */
  @DeleteMapping
  JobView cancelJob(@PathVariable UUID id) {
    return jobs.cancel(id);
  }
}
