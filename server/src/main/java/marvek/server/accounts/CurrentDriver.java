package marvek.server.accounts;

import java.time.Instant;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Who asks, and whose things he is at. Alone on one's own machine that is the one driver there is;
 * otherwise the {@link Guard} says it of each request, and a job runs for who asked for it.
 */
@Component
public class CurrentDriver {
  private final PersonRepository people;
  private final ThreadLocal<Asking> asking = new ThreadLocal<>();
  private volatile UUID first;

  /**
   * A request.
   *
   * @param person who asks
   * @param owner whose things are asked for
   */
  private record Asking(UUID person, UUID owner) {}

  CurrentDriver(PersonRepository people) {
    this.people = people;
  }

  /** Id of the driver whose things are asked for. */
  public UUID id() {
    Asking now = asking.get();
    return now == null ? first() : now.owner();
  }

  /** Id of who asks: the driver himself, or somebody whom he lets see them. */
  public UUID person() {
    Asking now = asking.get();
    return now == null ? first() : now.person();
  }

  /** Does work of a driver's. */
  public <T> T as(UUID owner, Supplier<T> work) {
    Asking before = asking.get();
    begin(owner, owner);
    try {
      return work.get();
    } finally {
      asking.set(before);
    }
  }

  void begin(UUID person, UUID owner) {
    asking.set(new Asking(person, owner));
  }

  void end() {
    asking.remove();
  }

  /** The driver whose machine this is; made on first use. */
  UUID first() {
    if (first == null) {
      first = firstOrNew();
    }
    return first;
  }

  private synchronized UUID firstOrNew() {
    return people
        .findFirstByOrderByCreatedAt()
        .orElseGet(
            () ->
                people.saveAndFlush(
                    new Person(UUID.randomUUID(), "Driver", Instant.now(), null, true)))
        .id();
  }
}
