package marvek.server.books;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** One revision of a book, as its document. Never changed. */
@Entity
@Immutable
class Revision {
  @Id private UUID id;
  private UUID bookId;
  private int number;
  private Integer parent;
  private Instant createdAt;
  private UUID circuitId;

  @Column(columnDefinition = "text")
  private String document;

  protected Revision() {}

  Revision(
      UUID bookId, int number, Integer parent, Instant createdAt, UUID circuitId, String document) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.number = number;
    this.parent = parent;
    this.createdAt = createdAt;
    this.circuitId = circuitId;
    this.document = document;
  }

  UUID id() {
    return id;
  }

  UUID bookId() {
    return bookId;
  }

  int number() {
    return number;
  }

  Integer parent() {
    return parent;
  }

  Instant createdAt() {
    return createdAt;
  }

  /** Layout version that it was made for. */
  UUID circuitId() {
    return circuitId;
  }

  String document() {
    return document;
  }
}
