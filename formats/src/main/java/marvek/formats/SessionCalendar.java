package marvek.formats;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import marvek.core.brief.Session;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistry;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Uid;

/** Sessions as a calendar, RFC 5545, in the time zones of their circuits. */
public final class SessionCalendar {
  static {
    // The library would ask the network for newer rules of time zones.
    System.setProperty("net.fortuna.ical4j.timezone.update.enabled", "false");
    System.setProperty(
        "net.fortuna.ical4j.timezone.cache.impl", "net.fortuna.ical4j.util.MapTimeZoneCache");
  }

  private SessionCalendar() {}

  /**
   * One session in its calendar.
   *
   * @param uid that stays the same when the session changes
   * @param circuit where it is
   * @param zone of the circuit
   * @param book that it is revised in
   */
  public record Entry(String uid, SessionFile file, String circuit, ZoneId zone, String book) {}

  /**
   * Writes the calendar.
   *
   * @param stamp time of writing
   */
  public static byte[] write(List<Entry> entries, Instant stamp) {
    Calendar calendar =
        new Calendar().withProdId("-//Marvek//Marvek 1//EN").withDefaults().getFluentTarget();
    TimeZoneRegistry zones = TimeZoneRegistryFactory.getInstance().createRegistry();
    Set<String> used = new TreeSet<>();
    entries.forEach(entry -> used.add(entry.zone().getId()));
    for (String id : used) {
      TimeZone zone = zones.getTimeZone(id);
      if (zone != null) {
        calendar.add(zone.getVTimeZone());
      }
    }
    entries.forEach(entry -> calendar.add(event(entry, stamp)));
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try {
      new CalendarOutputter(true).output(calendar, file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return file.toByteArray();
  }

  private static VEvent event(Entry entry, Instant stamp) {
    Session session = entry.file().session();
    ZonedDateTime begins = session.begins(entry.zone());
    // A local time that comes twice means its first one (RFC 5545, section 3.3.5): the second is
    // UTC.
    Temporal start = session.laterHour() ? begins.toInstant() : begins;
    VEvent event =
        new VEvent(
            start,
            Duration.ofMinutes(session.lengthMin()),
            session.event() + ", " + words(session.kind()));
    event.removeAll("DTSTAMP");
    event.add(new DtStamp(stamp));
    event.add(new Uid(entry.uid()));
    event.add(new Location(entry.circuit()));
    event.add(new Description(description(entry)));
    return event;
  }

  private static String description(Entry entry) {
    Session session = entry.file().session();
    Integer revision = entry.file().revision();
    return String.format(
        Locale.ROOT,
        "%s, %s. %s",
        entry.book(),
        revision == null ? "no revision issued yet" : "revision " + revision,
        "Road expected "
            + words(session.conditions().surface())
            + ", for "
            + words(session.purpose())
            + ".");
  }

  private static String words(Enum<?> constant) {
    return Spelled.of(constant).replace('-', ' ');
  }
}
