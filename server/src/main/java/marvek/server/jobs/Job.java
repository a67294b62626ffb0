package marvek.server.jobs;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Long work as the database knows it; its state is changed by {@link JobRepository} alone. */
@Entity
class Job {
  @Id private UUID id;

  /** Whose job it is; null of one that was asked for before that was kept. */
  private @Nullable UUID ownerId;

  private String kind;

  /** JSON. */
  private String asked;

  @Convert(converter = StatusInWords.class)
  private JobStatus status;

  private double progress;

  /** How many times; more than once where a server died. */
  private int begun;

  private UUID book;
  private Integer revision;
  private String problem;
  private Instant createdAt;
  private Instant endedAt;

  protected Job() {}

  /** Its constants in small letters, as scripts read them too. */
  @jakarta.persistence.Converter
  static class StatusInWords implements jakarta.persistence.AttributeConverter<JobStatus, String> {
    @Override
    public String convertToDatabaseColumn(JobStatus status) {
      return status.name().toLowerCase(Locale.ROOT);
    }

    @Override
    public JobStatus convertToEntityAttribute(String words) {
      return JobStatus.valueOf(words.toUpperCase(Locale.ROOT));
    }
  }

  UUID id() {
    return id;
  }

  @Nullable UUID ownerId() {
    return ownerId;
  }

  String kind() {
    return kind;
  }

  String asked() {
    return asked;
  }

  JobStatus status() {
    return status;
  }

  double progress() {
    return progress;
  }

  int begun() {
    return begun;
  }

  /** What it gave, once it is done. */
  JobWork.Made made() {
    return book == null ? null : new JobWork.Made(book, revision);
  }

  /** What it failed with; null where it did not. */
  @Nullable Told problem() {
    return Told.read(problem);
  }
}
