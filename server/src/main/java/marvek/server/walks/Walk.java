package marvek.server.walks;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import marvek.server.editions.Edition;

/** A walk round a layout version; open until it is finished. */
@Entity
class Walk {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID driverId;
  private UUID circuitId;
  private Instant begunAt;
  private Instant finishedAt;
  private UUID resultId;

  protected Walk() {}

  Walk(UUID driverId, UUID circuitId) {
    this.id = UUID.randomUUID();
    this.driverId = driverId;
    this.circuitId = circuitId;
    this.begunAt = Instant.now();
  }

  void finish(Instant at, UUID result) {
    finishedAt = at;
    resultId = result;
  }

  UUID id() {
    return id;
  }

  UUID driverId() {
    return driverId;
  }

  UUID circuitId() {
    return circuitId;
  }

  Instant begunAt() {
    return begunAt;
  }

  Instant finishedAt() {
    return finishedAt;
  }

  /** Layout version that came of it, or null. */
  UUID resultId() {
    return resultId;
  }

  long edition() {
    return edition == null ? Edition.NONE : edition;
  }
}
