package marvek.server.jobs;

import com.fasterxml.jackson.annotation.JsonProperty;

/** QUEUED becomes RUNNING, and either DONE, FAILED or CANCELLED, which last. */
public enum JobStatus {
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
