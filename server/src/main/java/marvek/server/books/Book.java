package marvek.server.books;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;

/** A reference book. */
@Entity
@SQLRestriction("put_away_at is null")
class Book {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID driverId;
  private UUID circuitId;
  private UUID carId;
  private String name;
  private Instant createdAt;

  protected Book() {}

  Book(UUID id, UUID driverId, UUID circuitId, UUID carId, String name) {
    this.id = id;
    this.driverId = driverId;
    this.circuitId = circuitId;
    this.carId = carId;
    this.name = name;
    this.createdAt = Instant.now();
  }

  void isCalled(String other) {
    name = other;
  }

  /** From now on made for another layout version. */
  void nowOn(UUID otherCircuit) {
    circuitId = otherCircuit;
  }

  long edition() {
    return edition;
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

  UUID carId() {
    return carId;
  }

  String name() {
    return name;
  }

  Instant createdAt() {
    return createdAt;
  }
}
