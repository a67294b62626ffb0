package marvek.server.laps;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import marvek.formats.JsonFiles;

/** How the columns of a header were mapped. */
@Entity
@Table(name = "lap_header")
class StoredHeader {
  @Id private String digest;

  @Column(columnDefinition = "text")
  private String mapping;

  private Instant changedAt;

  protected StoredHeader() {}

  StoredHeader(String digest, Map<String, String> mapping) {
    this.digest = digest;
    this.mapping = JsonFiles.write(Mapping.write(mapping));
    this.changedAt = Instant.now();
  }

  Map<String, String> mapping() {
    return Mapping.parse(mapping);
  }
}
