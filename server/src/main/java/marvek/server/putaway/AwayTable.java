package marvek.server.putaway;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * What is put away of one table: rows that the rest of a feature does not see. The table has the
 * columns {@code id} and {@code put_away_at}.
 */
public final class AwayTable {
  private final EntityManager entities;
  private final String table;
  private final String named;
  private final String ofDriver;
  private final String ofThing;

  private AwayTable(
      EntityManager entities, String table, String named, String ofDriver, String ofThing) {
    this.entities = entities;
    this.table = table;
    this.named = named;
    this.ofDriver = ofDriver;
    this.ofThing = ofThing;
  }

  /**
   * A table whose rows are things each.
   *
   * @param named SQL of what a row is called
   * @param ofDriver SQL of whether a row is the driver's, who is {@code :driver}
   */
  public static AwayTable of(EntityManager entities, String table, String named, String ofDriver) {
    return new AwayTable(entities, table, named, ofDriver, "id = :id");
  }

  /**
   * The same where several rows are one thing, which is called by its newest row's id.
   *
   * @param ofThing SQL of whether a row is of the thing {@code :id}
   */
  public AwayTable ofThings(String otherOfThing) {
    return new AwayTable(entities, table, named, ofDriver, otherOfThing);
  }

  /** A row that is put away. */
  public record Row(UUID id, String name, Instant at) {}

  /** Those of a driver, the newest first. */
  public List<Row> rows(UUID driver) {
    List<?> rows =
        query(
                "select id, "
                    + named
                    + ", put_away_at from "
                    + table
                    + away()
                    + " order by put_away_at desc, id")
            .setParameter("driver", driver)
            .getResultList();
    return rows.stream()
        .map(Object[].class::cast)
        .map(row -> new Row((UUID) row[0], (String) row[1], (Instant) row[2]))
        .toList();
  }

  private String away() {
    return " where put_away_at is not null and " + ofDriver;
  }

  /** Whether a thing is there and not put away. */
  boolean isThere(UUID id, UUID driver) {
    Number count =
        (Number)
            query(
                    "select count(*) from "
                        + table
                        + " where put_away_at is null and "
                        + ofDriver
                        + " and "
                        + ofThing)
                .setParameter("id", id)
                .setParameter("driver", driver)
                .getSingleResult();
    return count.longValue() > 0;
  }

  /** Puts a thing away; false if there is none. */
  public boolean putAway(UUID id, UUID driver, Instant at) {
    return done(
        query(
                "update "
                    + table
                    + " set put_away_at = :at where put_away_at is null and "
                    + ofDriver
                    + " and "
                    + ofThing)
            .setParameter("at", at),
        id,
        driver);
  }

  /** Takes a thing back; false if it is not put away. */
  public boolean takeBack(UUID id, UUID driver) {
    return done(
        query("update " + table + " set put_away_at = null" + away() + " and " + ofThing),
        id,
        driver);
  }

  /** Removes a thing that is put away; false if it is not. */
  public boolean remove(UUID id, UUID driver) {
    return done(query("delete from " + table + away() + " and " + ofThing), id, driver);
  }

  private boolean done(Query change, UUID id, UUID driver) {
    entities.flush();
    boolean done = change.setParameter("id", id).setParameter("driver", driver).executeUpdate() > 0;
    // What was read before would say the contrary.
    entities.clear();
    return done;
  }

  private Query query(String sql) {
    return entities.createNativeQuery(sql);
  }
}
