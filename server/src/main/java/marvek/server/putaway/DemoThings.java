package marvek.server.putaway;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What came with the demo: it is filled in once, and can be put away in one go. */
@Component
public class DemoThings {
  private final EntityManager entities;

  DemoThings(EntityManager entities) {
    this.entities = entities;
  }

  /**
   * Something of the demo.
   *
   * @param kind as {@link PutsAway#kind()} says it
   */
  public record Thing(String kind, UUID id) {}

  /** Notes that something came with the demo. */
  @Transactional
  public void add(String kind, UUID id) {
    entities
        .createNativeQuery("insert into demo_thing (id, kind) values (:id, :kind)")
        .setParameter("id", id)
        .setParameter("kind", kind)
        .executeUpdate();
  }

  /** Everything that came with it, whether it is still there or not. */
  @Transactional(readOnly = true)
  public List<Thing> all() {
    List<?> rows =
        entities.createNativeQuery("select kind, id from demo_thing order by kind").getResultList();
    return rows.stream()
        .map(Object[].class::cast)
        .map(row -> new Thing((String) row[0], (UUID) row[1]))
        .toList();
  }
}
