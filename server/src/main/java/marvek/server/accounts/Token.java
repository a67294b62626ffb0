package marvek.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A key by which a script does something for somebody, until a day. */
@Entity
class Token {
  @Id private UUID id;
  private UUID personId;
  private String name;
  private String digest;

  @Enumerated(EnumType.STRING)
  private Scope scope;

  private Instant madeAt;
  private Instant expiresAt;
  private @Nullable Instant seenAt;

  protected Token() {}

  Token(UUID personId, String name, String digest, Scope scope, Instant now, Instant expiresAt) {
    this.id = UUID.randomUUID();
    this.personId = personId;
    this.name = name;
    this.digest = digest;
    this.scope = scope;
    this.madeAt = now;
    this.expiresAt = expiresAt;
  }

  UUID id() {
    return id;
  }

  UUID personId() {
    return personId;
  }

  String name() {
    return name;
  }

  Scope scope() {
    return scope;
  }

  Instant expiresAt() {
    return expiresAt;
  }

  @Nullable Instant seenAt() {
    return seenAt;
  }
}
