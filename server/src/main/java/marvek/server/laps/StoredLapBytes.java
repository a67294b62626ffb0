package marvek.server.laps;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.JavaType;

/** What is in a file of laps, byte for byte. */
@Entity
@Table(name = "lap_bytes")
class StoredLapBytes {
  @Id private UUID fileId;

  @JavaType(NeverChangedBytes.class)
  private byte[] bytes;

  protected StoredLapBytes() {}

  StoredLapBytes(UUID fileId, byte[] bytes) {
    this.fileId = fileId;
    this.bytes = bytes;
  }

  byte[] bytes() {
    return bytes;
  }
}
