package marvek.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A person who owns circuits, cars and books. */
@Entity
class Driver {
  @Id private UUID id;
  private String name;
  private Instant createdAt;

  protected Driver() {}

  Driver(UUID id, String name, Instant createdAt) {
    this.id = id;
    this.name = name;
    this.createdAt = createdAt;
  }

  UUID id() {
    return id;
  }

  Instant createdAt() {
    return createdAt;
  }

  String name() {
    return name;
  }
}
