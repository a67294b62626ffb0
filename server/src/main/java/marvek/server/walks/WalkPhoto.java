package marvek.server.walks;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** The picture of a note, apart from it: a list of notes must not read them all. */
@Entity
@Table(name = "walk_note")
class WalkPhoto {
  @Id private UUID id;

  /** JPEG; null where the note has none. */
  private byte[] photo;

  protected WalkPhoto() {}

  void keep(byte[] jpeg) {
    photo = jpeg;
  }

  byte[] jpeg() {
    return photo;
  }
}
