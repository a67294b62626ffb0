package marvek.server.cars;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** A car as it is kept: its document, and its name for lists. */
@Entity
@Table(name = "car")
class StoredCar {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID driverId;
  private String name;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;
  private Instant putAwayAt;

  protected StoredCar() {}

  StoredCar(UUID driverId, String name, String document) {
    this.id = UUID.randomUUID();
    this.driverId = driverId;
    this.name = name;
    this.document = document;
    this.createdAt = Instant.now();
  }

  /** It is called otherwise, in its document too. */
  void becomes(String otherName, String otherDocument) {
    name = otherName;
    document = otherDocument;
  }

  long edition() {
    return edition;
  }

  Instant putAwayAt() {
    return putAwayAt;
  }

  UUID id() {
    return id;
  }

  UUID driverId() {
    return driverId;
  }

  String name() {
    return name;
  }

  String document() {
    return document;
  }

  Instant createdAt() {
    return createdAt;
  }
}
