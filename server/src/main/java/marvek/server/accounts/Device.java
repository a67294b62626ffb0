package marvek.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A telephone, tablet or computer that was paired, and whose it is. */
@Entity
class Device {
  @Id private UUID id;
  private UUID personId;
  private String name;
  private Instant pairedAt;
  private Instant seenAt;
  private Instant endedAt;

  protected Device() {}

  Device(UUID personId, String name, Instant now) {
    this.id = UUID.randomUUID();
    this.personId = personId;
    this.name = name;
    this.pairedAt = now;
    this.seenAt = now;
  }

  UUID id() {
    return id;
  }

  UUID personId() {
    return personId;
  }

  String name() {
    return name;
  }

  Instant pairedAt() {
    return pairedAt;
  }

  Instant seenAt() {
    return seenAt;
  }
}
