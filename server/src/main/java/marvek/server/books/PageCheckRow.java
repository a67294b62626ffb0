package marvek.server.books;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A page that has to be checked on track since the layout changed. */
@Entity
@Table(name = "page_check")
class PageCheckRow {
  @Id private UUID id;
  private UUID bookId;
  private int corner;
  private String reason;
  private int layoutVersion;
  private Instant madeAt;
  private Instant clearedAt;

  protected PageCheckRow() {}

  PageCheckRow(UUID bookId, int corner, String reason, int layoutVersion, Instant madeAt) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.corner = corner;
    this.reason = reason.substring(0, Math.min(500, reason.length()));
    this.layoutVersion = layoutVersion;
    this.madeAt = madeAt;
  }

  void clear(Instant at) {
    clearedAt = at;
  }

  UUID id() {
    return id;
  }

  UUID bookId() {
    return bookId;
  }

  int corner() {
    return corner;
  }

  String reason() {
    return reason;
  }

  int layoutVersion() {
    return layoutVersion;
  }

  Instant madeAt() {
    return madeAt;
  }

  Instant clearedAt() {
    return clearedAt;
  }
}
