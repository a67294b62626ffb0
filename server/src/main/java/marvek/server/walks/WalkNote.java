package marvek.server.walks;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Formula;

/** Something seen on a walk, at a station and a side, with a photo if there is one. */
@Entity
@Table(name = "walk_note")
class WalkNote {
  @Id private UUID id;
  private UUID walkId;

  @jakarta.persistence.Column(name = "station_m")
  private double stationM;

  private String side;
  private String words;
  private Instant madeAt;
  private Double latDeg;
  private Double lonDeg;

  /** The picture itself is read by {@link WalkPhoto} alone, where somebody looks at it. */
  @Formula("photo is not null")
  private boolean pictured;

  protected WalkNote() {}

  WalkNote(UUID walkId, double stationM, String side, String words, Double latDeg, Double lonDeg) {
    this.id = UUID.randomUUID();
    this.walkId = walkId;
    this.stationM = stationM;
    this.side = side;
    this.words = words;
    this.madeAt = Instant.now();
    this.latDeg = latDeg;
    this.lonDeg = lonDeg;
  }

  UUID id() {
    return id;
  }

  UUID walkId() {
    return walkId;
  }

  double stationM() {
    return stationM;
  }

  String side() {
    return side;
  }

  String words() {
    return words;
  }

  Instant madeAt() {
    return madeAt;
  }

  Double latDeg() {
    return latDeg;
  }

  Double lonDeg() {
    return lonDeg;
  }

  /** JPEG without anything but the picture, or null. */
  boolean pictured() {
    return pictured;
  }
}
