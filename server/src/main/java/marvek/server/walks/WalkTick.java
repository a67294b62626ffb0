package marvek.server.walks;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** An item of a walk's list that was looked at. */
@Entity
@Table(name = "walk_tick")
class WalkTick {
  @Id private UUID id;
  private UUID walkId;
  private String item;

  protected WalkTick() {}

  WalkTick(UUID walkId, String item) {
    this.id = UUID.randomUUID();
    this.walkId = walkId;
    this.item = item;
  }

  String item() {
    return item;
  }
}
