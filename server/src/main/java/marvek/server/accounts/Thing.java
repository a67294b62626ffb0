package marvek.server.accounts;

import java.util.Locale;

/**
 * A kind of stored thing that an address names by its id, and whose it is. What belongs to a book
 * is told with the book, as a book may be shared alone.
 */
enum Thing {
  BOOK("select driver_id, id from book where id = :id"),
  CIRCUIT("select driver_id, null from circuit where id = :id"),
  CAR("select driver_id, null from car where id = :id"),
  WALK("select driver_id, null from walk where id = :id"),
  JOB("select owner_id, null from job where id = :id"),
  // Who has a shelf has his devices to himself; those of all others belong to who let them in.
  DEVICE(
      """
      select case when p.has_shelf then p.id else coalesce(p.let_in_by, p.id) end, null
      from device d join driver p on p.id = d.person_id where d.id = :id"""),
  TOKEN("select person_id, null from token where id = :id"),
  SESSION(
      "select b.driver_id, b.id from session s join book b on b.id = s.book_id where s.id = :id"),
  FILE(ofSession("lap_file")),
  DEBRIEF_NOTE(ofSession("debrief_note")),
  LEAD_REMARK(ofSession("group_remark")),
  RUN(ofBook("run_through")),
  IMAGINED_LAP(ofBook("imagined_lap"));

  private final String ownerSql;

  Thing(String ownerSql) {
    this.ownerSql = ownerSql;
  }

  private static String ofBook(String table) {
    return "select b.driver_id, b.id from %s t join book b on b.id = t.book_id where t.id = :id"
        .formatted(table);
  }

  private static String ofSession(String table) {
    return """
        select b.driver_id, b.id from %s t join session s on s.id = t.session_id
          join book b on b.id = s.book_id where t.id = :id"""
        .formatted(table);
  }

  /** SQL of its owner and its book, or null, by {@code :id}. */
  String ownerSql() {
    return ownerSql;
  }

  /** As addresses and the table of rights write it: debrief-note. */
  static Thing named(String name) {
    return valueOf(name.toUpperCase(Locale.ROOT).replace('-', '_'));
  }

  /** As addresses and sentences have it. */
  String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
