package marvek.server.laps;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A file of laps as it was brought in. */
@Entity
@Table(name = "lap_file")
class StoredLapFile {
  @Id private UUID id;
  private UUID sessionId;
  private String name;
  private String digest;
  private byte[] bytes;
  private Instant takenAt;

  protected StoredLapFile() {}

  StoredLapFile(UUID sessionId, String name, String digest, byte[] bytes) {
    this.id = UUID.randomUUID();
    this.sessionId = sessionId;
    this.name = name;
    this.digest = digest;
    this.bytes = bytes;
    this.takenAt = Instant.now();
  }

  UUID id() {
    return id;
  }

  UUID sessionId() {
    return sessionId;
  }

  String name() {
    return name;
  }

  byte[] bytes() {
    return bytes;
  }
}
