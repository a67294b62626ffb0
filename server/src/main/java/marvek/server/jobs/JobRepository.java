package marvek.server.jobs;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Each change says from which state it is made, so that of two at once only one is. */
@Transactional
interface JobRepository extends Repository<Job, UUID> {
  Optional<Job> findById(UUID id);

  /** How many wait to be begun. */
  @Query("select count(j) from Job j where j.status = JobStatus.QUEUED")
  long waiting();

  /** One row, unless the same is asked for already. */
  @Modifying
  @Query(
      value =
          "insert into job (id, owner_id, kind, asked, same, status, created_at) values"
              + " (:id, :owner, :kind, :asked, :same, 'queued', :now) on conflict do nothing",
      nativeQuery = true)
  int ask(UUID id, UUID owner, String kind, String asked, String same, Instant now);

  @Query(
      value = "select id from job where same = :same and status in ('queued', 'running')",
      nativeQuery = true)
  Optional<UUID> openOfTheSame(String same);

  /** One more waits for it; none where it has ended. */
  @Modifying
  @Query(
      value =
          "update job set askers = askers + 1 where id = :id and status in ('queued', 'running')",
      nativeQuery = true)
  int join(UUID id);

  /** One of several waits for it no longer; none where he is the only one. */
  @Modifying
  @Query(
      value =
          "update job set askers = askers - 1 where id = :id and askers > 1"
              + " and status in ('queued', 'running')",
      nativeQuery = true)
  int leave(UUID id);

  @Modifying
  @Query(
      "update Job j set j.status = JobStatus.RUNNING, j.progress = 0, j.begun = j.begun + 1"
          + " where j.id = :id and j.status in (JobStatus.QUEUED, JobStatus.RUNNING)")
  int begin(UUID id);

  @Modifying
  @Query("update Job j set j.progress = :share where j.id = :id and j.status = JobStatus.RUNNING")
  int progress(UUID id, double share);

  @Modifying
  @Query(
      "update Job j set j.status = JobStatus.DONE, j.progress = 1, j.book = :book,"
          + " j.revision = :revision, j.endedAt = :now"
          + " where j.id = :id and j.status = JobStatus.RUNNING")
  int done(UUID id, UUID book, int revision, Instant now);

  @Modifying
  @Query(
      "update Job j set j.status = JobStatus.FAILED, j.problem = :problem, j.endedAt = :now"
          + " where j.id = :id and j.status = JobStatus.RUNNING")
  int failed(UUID id, String problem, Instant now);

  @Modifying
  @Query(
      "update Job j set j.status = JobStatus.CANCELLED, j.endedAt = :now"
          + " where j.id = :id and j.status in (JobStatus.QUEUED, JobStatus.RUNNING)")
  int cancelled(UUID id, Instant now);

  /** Those of some that somebody cancelled. */
  @Query("select j.id from Job j where j.id in :ids and j.status = JobStatus.CANCELLED")
  List<UUID> cancelledOf(List<UUID> ids);

  @Modifying
  @Query("delete from Job j where j.endedAt < :before")
  int forget(Instant before);
}
