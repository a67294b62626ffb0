package marvek.server.laps;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import marvek.formats.JsonFiles;

/** How somebody named the columns of a header. */
@Entity
@Table(name = "lap_header")
@IdClass(StoredHeader.Key.class)
class StoredHeader {
  /** A header, and who named its columns. */
  record Key(String digest, UUID personId) implements Serializable {}

  @Id private String digest;
  @Id private UUID personId;

  @Column(columnDefinition = "text")
  private String mapping;

  private long headerLine;
  private Instant changedAt;

  protected StoredHeader() {}

  StoredHeader(Key key, Map<String, String> mapping, long headerLine) {
    this.digest = key.digest();
    this.personId = key.personId();
    this.mapping = JsonFiles.write(Mapping.write(mapping));
    this.headerLine = headerLine;
    this.changedAt = Instant.now();
  }

  Map<String, String> mapping() {
    return Mapping.parse(mapping);
  }

  long headerLine() {
    return headerLine;
  }
}
