package marvek.server.printing;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.StreamSupport;
import marvek.server.sessions.OnCard;
import marvek.server.units.DriverUnits;
import org.springframework.web.util.HtmlUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a card is made from.
 *
 * @param title name of the book
 * @param place circuit, layout and vehicle
 * @param revision a revision of the book format
 * @param lapM length of the lap [m]
 * @param toCheck corners that are to be checked on track since the layout changed
 */
record CardContent(
    String title,
    String place,
    JsonNode revision,
    double lapM,
    DriverUnits units,
    Set<Integer> toCheck,
    OnCard added) {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH).withZone(ZoneOffset.UTC);

  int number() {
    return revision.path("number").asInt(0);
  }

  /** Time of the lap as m:ss.mmm. */
  String lapTime() {
    return lapTime(revision.path("lap").path("time_s").asDouble(0));
  }

  static String lapTime(double seconds) {
    long millis = Math.round(seconds * 1000);
    return String.format(
        Locale.ROOT, "%d:%02d.%03d", millis / 60000, millis % 60000 / 1000, millis % 1000);
  }

  /** "Revision 3, 1 May 2026". */
  String numberAndDay() {
    Instant created =
        java.time.OffsetDateTime.parse(revision.path("createdAt").asString()).toInstant();
    return "Revision " + number() + ", " + DAY.format(created);
  }

  List<CardLine> lines() {
    return StreamSupport.stream(revision.path("pages").spliterator(), false)
        .map(page -> CardLine.of(withOwnWayOut(page), lapM, units, toCheck, added.days()))
        .toList();
  }

  /** The driver's own words for the way out; what the circuit's file says of it is not his. */
  private JsonNode withOwnWayOut(JsonNode page) {
    ObjectNode copy = (ObjectNode) page.deepCopy();
    copy.remove("wayOut");
    for (JsonNode own : revision.path("ownValues")) {
      if (own.path("corner").asInt(0) == page.path("corner").asInt(-1) && own.has("wayOut")) {
        copy.set("wayOut", own.get("wayOut"));
      }
    }
    return copy;
  }

  /** The day in a line. */
  String conditions() {
    JsonNode c = revision.path("conditions");
    String wind =
        c.path("windSpeed_mps").asDouble(0) == 0
            ? "no wind"
            : String.format(
                Locale.ROOT,
                "wind %s from %.0f°",
                units.speedText(c.path("windSpeed_mps").asDouble(0)),
                c.path("windFrom_deg").asDouble(0));
    return String.format(
        Locale.ROOT,
        "%s road%s, tyres %s, grip used %.0f %%, fuel %.0f kg, %.0f °C, %.0f hPa, %s",
        c.path("surface").asString(),
        parts(c.path("parts")),
        c.path("tyres").asString(),
        100 * c.path("gripUsed").asDouble(0),
        c.path("fuel_kg").asDouble(0),
        c.path("airTemperature_c").asDouble(0),
        c.path("pressure_hpa").asDouble(0),
        wind);
  }

  private String parts(JsonNode parts) {
    StringBuilder words = new StringBuilder();
    for (JsonNode part : parts) {
      words
          .append(", ")
          .append(part.path("surface").asString())
          .append(" from ")
          .append(units.lengthText(part.path("from_m").asDouble(0)))
          .append(" to ")
          .append(units.lengthText(part.path("to_m").asDouble(0)));
    }
    return words.toString();
  }

  /** Escaped for XML; what XML cannot hold at all is left out. */
  static String text(String raw) {
    return HtmlUtils.htmlEscape(raw, "UTF-8").replaceAll("[\\p{Cntrl}&&[^\\n\\t]]", "");
  }
}
