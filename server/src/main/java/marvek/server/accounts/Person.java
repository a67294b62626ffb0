package marvek.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Somebody who owns circuits, cars and books, or whom a driver lets see his. */
@Entity
@Table(name = "driver")
class Person {
  @Id private UUID id;
  private String name;
  private Instant createdAt;
  private @Nullable String signIn;
  private @Nullable String password;
  private @Nullable UUID letInBy;
  private boolean hasShelf;

  protected Person() {}

  /**
   * @param letInBy who lets him in; null for the first, who needs nobody
   * @param hasShelf whether he has books of his own, or is to have some
   */
  Person(UUID id, String name, Instant createdAt, @Nullable UUID letInBy, boolean hasShelf) {
    this.id = id;
    this.name = name;
    this.createdAt = createdAt;
    this.letInBy = letInBy;
    this.hasShelf = hasShelf;
  }

  UUID id() {
    return id;
  }

  Instant createdAt() {
    return createdAt;
  }

  String name() {
    return name;
  }

  /** Name by which he signs in; null without a password. */
  @Nullable String signIn() {
    return signIn;
  }

  /** His password as it is kept, or null. */
  @Nullable String password() {
    return password;
  }

  @Nullable UUID letInBy() {
    return letInBy;
  }

  boolean hasShelf() {
    return hasShelf;
  }

  /** Whether he is a driver himself: his devices are his own affair then. */
  boolean isHisOwn() {
    return hasShelf || letInBy == null;
  }

  /**
   * Gives him a name, by which others see him too, and a password of his own; from now on only who
   * keeps the server lets him in.
   */
  void ownAccount(String signIn, String password, UUID keeper) {
    this.name = signIn;
    this.signIn = signIn;
    this.password = password;
    this.hasShelf = true;
    if (letInBy != null) {
      this.letInBy = keeper;
    }
  }

  /** Takes his password away, so that he comes in by a code only. */
  void lockOut() {
    this.signIn = null;
    this.password = null;
  }
}
