package marvek.server.cars;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import marvek.server.editions.Edition;

/** A setup sheet of a car as it is kept. */
@Entity
@Table(name = "setup_sheet")
class StoredSheet {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID carId;
  private String name;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;

  protected StoredSheet() {}

  StoredSheet(UUID carId, String name, String document) {
    this.id = UUID.randomUUID();
    this.carId = carId;
    this.name = name;
    this.document = document;
    this.createdAt = Instant.now();
  }

  UUID id() {
    return id;
  }

  UUID carId() {
    return carId;
  }

  String document() {
    return document;
  }

  /** The sheet is another one from now on. */
  void becomes(String otherName, String otherDocument) {
    name = otherName;
    document = otherDocument;
  }

  long edition() {
    return edition == null ? Edition.NONE : edition;
  }
}
