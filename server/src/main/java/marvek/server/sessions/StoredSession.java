package marvek.server.sessions;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import marvek.server.editions.Edition;
import org.hibernate.annotations.SQLRestriction;

/** A session of a book as it is kept. */
@Entity
@Table(name = "session")
@SQLRestriction("put_away_at is null")
class StoredSession {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID bookId;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;
  private Instant changedAt;

  protected StoredSession() {}

  StoredSession(UUID bookId, String document) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.document = document;
    this.createdAt = now();
    this.changedAt = createdAt;
  }

  UUID id() {
    return id;
  }

  UUID bookId() {
    return bookId;
  }

  String document() {
    return document;
  }

  Instant changedAt() {
    return changedAt;
  }

  /** The session is another one from now on. */
  void becomes(String other) {
    document = other;
    changedAt = now();
  }

  /** As fine as the database keeps it, so that what was answered is what is read back. */
  private static Instant now() {
    return Instant.now().truncatedTo(ChronoUnit.MICROS);
  }

  long edition() {
    return edition == null ? Edition.NONE : edition;
  }
}
