package marvek.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Somebody who owns circuits, cars and books, or whom a driver lets see his. */
@Entity
@Table(name = "driver")
class Person {
  @Id private UUID id;
  private String name;
  private Instant createdAt;

  protected Person() {}

  Person(UUID id, String name, Instant createdAt) {
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
