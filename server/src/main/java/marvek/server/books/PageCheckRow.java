package marvek.server.books;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import marvek.formats.SentenceJson;

/** A page that has to be checked on track since the layout changed. */
@Entity
@Table(name = "page_check")
class PageCheckRow {
  @Id private UUID id;
  private UUID bookId;
  private int corner;

  /** A sentence with its facts. */
  private String reason;

  private int layoutVersion;
  private Instant madeAt;
  private Instant clearedAt;

  protected PageCheckRow() {}

  PageCheckRow(UUID bookId, int corner, Sentence reason, int layoutVersion, Instant madeAt) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.corner = corner;
    this.reason = JsonFiles.write(SentenceJson.write(reason));
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

  Sentence reason() {
    return SentenceJson.read(JsonFiles.parse(reason.getBytes(StandardCharsets.UTF_8)));
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
