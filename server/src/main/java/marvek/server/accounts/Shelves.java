package marvek.server.accounts;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import marvek.core.say.Sentence;
import marvek.server.problems.NotFoundException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Whose things somebody sees: his own, or those of a driver who lets him; he chooses among them.
 */
@Component
class Shelves {
  private final Access access;
  private final CurrentDriver driver;
  private final PersonRepository people;

  Shelves(Access access, CurrentDriver driver, PersonRepository people) {
    this.access = access;
    this.driver = driver;
    this.people = people;
  }

  /**
   * Things that somebody sees.
   *
   * @param owner whose they are
   * @param name of the owner
   * @param role what he is to them
   * @param bookId the one book that he sees, or null for all
   */
  record Shelf(UUID owner, String name, Role role, @Nullable UUID bookId) {}

  /** Owner of the things that are seen now: as chosen, else his own, else what was shared first. */
  UUID seenBy(SignedIn who) {
    UUID person = who.person();
    UUID chosen = who.shelf();
    if (chosen != null && (chosen.equals(person) || isShared(chosen, person))) {
      return chosen;
    }
    // Whose machine this is sees his own, and nothing need be asked for it.
    return person.equals(driver.first()) || access.hasBooks(person)
        ? person
        : access.sharedWith(person).stream().findFirst().map(Access.Shared::owner).orElse(person);
  }

  private boolean isShared(UUID owner, UUID person) {
    return access.sharedWith(person).stream().anyMatch(shared -> shared.owner().equals(owner));
  }

  /** All that somebody may choose from, his own first. */
  List<Shelf> of(UUID person) {
    List<Shelf> shelves = new ArrayList<>();
    if (people.findById(person).filter(Person::hasShelf).isPresent() || access.hasBooks(person)) {
      shelves.add(new Shelf(person, nameOf(person), Role.DRIVER, null));
    }
    for (Access.Shared shared : access.sharedWith(person)) {
      // Who sees a whole shelf sees each book of it; who sees books alone sees the first of them.
      if (shelves.stream().noneMatch(shelf -> shelf.owner().equals(shared.owner()))) {
        shelves.add(
            new Shelf(shared.owner(), nameOf(shared.owner()), shared.role(), shared.book()));
      }
    }
    return shelves;
  }

  /** The one of them that is seen now. */
  Shelf nowOf(SignedIn who) {
    UUID owner = seenBy(who);
    return of(who.person()).stream()
        .filter(shelf -> shelf.owner().equals(owner))
        .findFirst()
        .orElseGet(() -> new Shelf(owner, nameOf(owner), Role.DRIVER, null));
  }

  /**
   * One that may be chosen.
   *
   * @throws NotFoundException if there is none for him
   */
  Shelf chosen(UUID person, UUID owner) {
    return of(person).stream()
        .filter(shelf -> shelf.owner().equals(owner))
        .findFirst()
        .orElseThrow(() -> new NotFoundException(Sentence.of("missing.shelf", "owner", owner)));
  }

  private String nameOf(UUID person) {
    return people.findById(person).map(Person::name).orElse("");
  }
}
