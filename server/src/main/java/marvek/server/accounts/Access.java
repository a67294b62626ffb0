package marvek.server.accounts;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whose a thing is, and what somebody is to it. */
@Component
class Access {
  private final EntityManager entities;

  Access(EntityManager entities) {
    this.entities = entities;
  }

  /**
   * A thing's owner.
   *
   * @param book that it belongs to, or null
   */
  record Owned(UUID owner, @Nullable UUID book) {}

  /** Whose a thing is; empty if there is none, or it is nobody's. */
  Optional<Owned> ownerOf(Thing thing, UUID id) {
    List<?> rows =
        entities.createNativeQuery(thing.ownerSql()).setParameter("id", id).getResultList();
    return rows.stream()
        .map(Object[].class::cast)
        .filter(row -> row[0] != null)
        .map(row -> new Owned((UUID) row[0], (UUID) row[1]))
        .findFirst();
  }

  /** What somebody is to all that a driver owns. */
  Optional<Role> roleOnShelf(UUID person, UUID owner) {
    return person.equals(owner)
        ? Optional.of(Role.DRIVER)
        : role("book_id is null", person, owner, null);
  }

  /** What somebody is to a thing: by the whole shelf, by its book, or by a book that uses it. */
  Optional<Role> role(UUID person, Owned owned, UUID thing) {
    if (person.equals(owned.owner())) {
      return Optional.of(Role.DRIVER);
    }
    return owned.book() != null
        ? role("(book_id is null or book_id = :thing)", person, owned.owner(), owned.book())
        : role("(book_id is null or book_id in " + USING + ")", person, owned.owner(), thing);
  }

  /** Books with a car, or with a revision made for a circuit. */
  private static final String USING =
      """
      (select b.id from book b where b.car_id = :thing or b.circuit_id = :thing
        or exists (select 1 from revision r where r.book_id = b.id and r.circuit_id = :thing))""";

  private Optional<Role> role(String which, UUID person, UUID owner, @Nullable UUID thing) {
    var query =
        entities
            .createNativeQuery(
                "select role from share where person_id = :person and owner_id = :owner"
                    + " and ended_at is null and (until is null or until > now()) and "
                    + which,
                String.class)
            .setParameter("person", person)
            .setParameter("owner", owner);
    if (thing != null) {
      query.setParameter("thing", thing);
    }
    List<?> roles = query.getResultList();
    // Who has two of them has what the greater one gives: they stand in that order.
    return roles.stream().map(role -> Role.valueOf((String) role)).min(Role::compareTo);
  }

  /** What somebody is let see of another driver's: everything, or one book. */
  record Shared(UUID owner, Role role, @Nullable UUID book) {}

  /** What is shared with somebody; whole shelves first. */
  List<Shared> sharedWith(UUID person) {
    List<?> rows =
        entities
            .createNativeQuery(
                "select owner_id, role, book_id from share where person_id = :person"
                    + " and ended_at is null and (until is null or until > now())"
                    + " order by book_id nulls first, made_at")
            .setParameter("person", person)
            .getResultList();
    return rows.stream()
        .map(Object[].class::cast)
        .map(row -> new Shared((UUID) row[0], Role.valueOf((String) row[1]), (UUID) row[2]))
        .toList();
  }

  /** Whether somebody has a book of his own. */
  boolean hasBooks(UUID person) {
    return (boolean)
        entities
            .createNativeQuery(
                "select exists (select 1 from book where driver_id = :person)", Boolean.class)
            .setParameter("person", person)
            .getSingleResult();
  }
}
