package marvek.server.books;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

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

  private String reason;

  @Column(name = "time_s")
  private double timeS;

  @Column(columnDefinition = "text")
  private String document;

  protected Revision() {}

  /**
   * A revision to be stored.
   *
   * @param document as it was computed or read
   * @param written the same as text: not written here, in the transaction that stores it
   */
  Revision(UUID bookId, Instant createdAt, UUID circuitId, ObjectNode document, String written) {
    JsonNode from = document.path("parent");
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.number = document.path("number").asInt(0);
    this.parent = from.isInt() ? from.asInt(0) : null;
    this.createdAt = createdAt;
    this.circuitId = circuitId;
    this.reason = document.path("reason").asString("");
    this.timeS = document.path("lap").path("time_s").asDouble(0);
    this.document = written;
  }

  /** What lists show of it. */
  RevisionHead head() {
    return new RevisionHead(bookId, number, parent, createdAt, reason, timeS);
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
