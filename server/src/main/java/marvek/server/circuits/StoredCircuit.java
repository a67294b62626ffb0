package marvek.server.circuits;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A circuit as it is kept: its document, and what lists need of it. */
@Entity
@Table(name = "circuit")
class StoredCircuit {
  @Id private UUID id;
  private UUID driverId;
  private String name;

  @Column(name = "length_m")
  private double lengthM;

  private int corners;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;

  protected StoredCircuit() {}

  StoredCircuit(UUID driverId, String name, double lengthM, int corners, String document) {
    this.id = UUID.randomUUID();
    this.driverId = driverId;
    this.name = name;
    this.lengthM = lengthM;
    this.corners = corners;
    this.document = document;
    this.createdAt = Instant.now();
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

  double lengthM() {
    return lengthM;
  }

  int corners() {
    return corners;
  }

  String document() {
    return document;
  }

  Instant createdAt() {
    return createdAt;
  }
}
