package marvek.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What somebody is to a driver's things: to all of them, or to one book. */
@Entity
class Share {
  @Id private UUID id;
  private UUID ownerId;
  private UUID personId;

  @Enumerated(EnumType.STRING)
  private Role role;

  private @Nullable UUID bookId;
  private Instant madeAt;

  protected Share() {}

  Share(UUID ownerId, UUID personId, Role role, @Nullable UUID bookId, Instant now) {
    this.id = UUID.randomUUID();
    this.ownerId = ownerId;
    this.personId = personId;
    this.role = role;
    this.bookId = bookId;
    this.madeAt = now;
  }

  UUID personId() {
    return personId;
  }

  Role role() {
    return role;
  }

  @Nullable UUID bookId() {
    return bookId;
  }
}
