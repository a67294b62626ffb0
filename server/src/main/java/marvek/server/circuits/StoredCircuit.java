package marvek.server.circuits;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import marvek.server.editions.Edition;

/** A layout version as it is kept: its document, and what lists need of it. */
@Entity
@Table(name = "circuit")
class StoredCircuit {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID driverId;
  private UUID placeId;
  private int version;
  private String name;
  private String layout;
  private String timeZone;
  private LocalDate validFrom;
  private String reason;

  @Column(name = "length_m")
  private double lengthM;

  private int corners;

  @Column(columnDefinition = "text")
  private String document;

  @Column(columnDefinition = "text")
  private String changes;

  @Column(columnDefinition = "text")
  private String draft;

  private Instant createdAt;
  private Instant putAwayAt;

  protected StoredCircuit() {}

  /** The first version of a place that was not known before. */
  StoredCircuit(UUID driverId, ReadyCircuit read) {
    this.id = UUID.randomUUID();
    this.driverId = driverId;
    this.placeId = id;
    this.version = read.circuit().layoutVersion();
    this.reason = "";
    this.changes = "[]";
    this.createdAt = Instant.now();
    hold(read);
  }

  /** The version after another one. */
  StoredCircuit(StoredCircuit before, ReadyCircuit read, String reason, String changes) {
    this.id = UUID.randomUUID();
    this.driverId = before.driverId;
    this.placeId = before.placeId;
    this.version = read.circuit().layoutVersion();
    this.reason = reason;
    this.changes = changes;
    this.createdAt = Instant.now();
    hold(read);
  }

  /** Takes a document in the place of the one so far; only while nothing uses this version. */
  void hold(ReadyCircuit read) {
    this.name = read.circuit().name();
    this.layout = read.circuit().layout();
    this.timeZone = read.circuit().timeZone();
    this.validFrom = read.circuit().validFrom();
    this.lengthM = read.lengthM();
    this.corners = read.corners();
    this.document = read.document();
  }

  void keepDraft(String edits) {
    this.draft = edits;
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

  UUID placeId() {
    return placeId;
  }

  int version() {
    return version;
  }

  String name() {
    return name;
  }

  LocalDate validFrom() {
    return validFrom;
  }

  String reason() {
    return reason;
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

  String changes() {
    return changes;
  }

  /** Edits that are not kept yet, or null. */
  String draft() {
    return draft;
  }

  Instant createdAt() {
    return createdAt;
  }

  long edition() {
    return edition == null ? Edition.NONE : edition;
  }
}
