package marvek.server.printing;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Set;
import org.springframework.web.util.HtmlUtils;

/** The card of a session: one line a corner on A5, to be read at arm's length. */
final class SessionCard {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH).withZone(ZoneOffset.UTC);

  private static final String STYLE =
      """
      @page { size: 148mm 210mm; margin: 7mm 8mm; }
      body { font-family: Card, CardExt; font-size: 11pt; line-height: 1.08; color: #14171e; margin: 0; }
      h1 { font-size: 19pt; font-weight: 600; margin: 0; line-height: 1; }
      .lap { float: right; font-size: 19pt; font-weight: 600; line-height: 1; }
      .day { margin: 1.5mm 0 0 0; }
      table { width: 100%; border-collapse: collapse; margin-top: 2.5mm; -fs-table-paginate: paginate; }
      th { text-align: left; font-size: 9.5pt; font-weight: 400; border-bottom: 0.5mm solid #14171e; padding: 0 1mm 0.6mm 0; }
      td { border-bottom: 0.2mm solid #8d8779; padding: 1mm 1mm 1mm 0; vertical-align: middle; }
      tr { page-break-inside: avoid; }
      .n { font-size: 16pt; font-weight: 600; width: 8mm; }
      .name { width: 20mm; }
      .pct { width: 11mm; font-weight: 600; font-size: 12pt; white-space: nowrap; }
      th.pct { font-size: 9.5pt; font-weight: 400; }
      .many { font-size: 10pt; } .many .strong { font-size: 10.5pt; } .many td { padding: 0.6mm 1mm 0.6mm 0; }
      .strong { font-weight: 600; font-size: 12pt; }
      .gear { width: 13mm; font-weight: 600; font-size: 13pt; white-space: nowrap; }
      .apex { width: 12mm; font-weight: 600; font-size: 15pt; text-align: right; padding-right: 3mm; }
      th.apex { font-size: 9.5pt; font-weight: 400; }
      th.gear { font-size: 9.5pt; font-weight: 400; }
      .drive { width: 25mm; }
      .cautions { font-size: 9pt; margin: 2.5mm 0 0 0; }
      """;

  /** More corners than this are set smaller, so that the card stays on one page. */
  private static final int MANY = 14;

  private SessionCard() {}

  /**
   * The card as XHTML.
   *
   * @param title name of the book
   * @param place circuit, layout and vehicle
   * @param revision a revision of the book format
   * @param lapM length of the lap [m]
   * @param toCheck corners that are to be checked on track since the layout changed
   */
  static String html(
      String title,
      String place,
      JsonNode revision,
      double lapM,
      PrintUnits units,
      Set<Integer> toCheck) {
    StringBuilder rows = new StringBuilder();
    for (JsonNode page : revision.path("pages")) {
      rows.append(row(CardLine.of(page, lapM, units, toCheck)));
    }
    return """
        <html><head><title>%s, revision %s</title><style>%s</style></head><body>
        <div class="lap">%s</div><h1>%s</h1>
        <p class="day">%s<br/>Revision %s, %s · %s<br/>%s</p>
        <table class="%s"><thead><tr><th></th><th class="name">corner</th><th>brake</th><th class="pct">press</th><th class="gear">gears</th>
        <th class="apex">%s</th><th class="drive">throttle, from the apex</th></tr></thead>
        <tbody>%s</tbody></table>
        <p class="cautions">Estimates of a model: begin at the safe mark, work up in small steps. Closed
        courses only. Flags, officials, the circuit's rules and your instructor come first. Check brakes,
        tyres and belts. Not to be read while driving.</p>
        </body></html>
        """
        .formatted(
            text(title),
            revision.path("number").asInt(),
            STYLE,
            lapTime(revision.path("lap").path("time_s").asDouble()),
            text(title),
            text(place),
            revision.path("number").asInt(),
            DAY.format(Instant.parse(revision.path("createdAt").asText())),
            text(revision.path("reason").asText()),
            text(conditions(revision.path("conditions"), units)),
            revision.path("pages").size() > MANY ? "many" : "",
            units.speed(),
            rows);
  }

  private static String row(CardLine line) {
    return """
        <tr><td class="n">%s</td><td class="name">%s</td><td class="strong">%s</td>\
        <td class="pct">%s</td><td class="gear">%s</td><td class="apex">%s</td><td class="drive">%s</td></tr>
        """
        .formatted(
            text(line.number()),
            text(line.name()) + (line.toCheck() ? "<br/><b>check first</b>" : ""),
            text(line.brake()),
            text(line.pressure()),
            text(line.gears()),
            text(line.apex()),
            text(line.drive()));
  }

  private static String conditions(JsonNode c, PrintUnits units) {
    String wind =
        c.path("windSpeed_mps").asDouble() == 0
            ? "no wind"
            : String.format(
                Locale.ROOT,
                "wind %s from %.0f°",
                units.speedText(c.path("windSpeed_mps").asDouble()),
                c.path("windFrom_deg").asDouble());
    return String.format(
        Locale.ROOT,
        "%s road, tyres %s, grip used %.0f %%, fuel %.0f kg, %.0f °C, %.0f hPa, %s",
        c.path("surface").asText(),
        c.path("tyres").asText(),
        100 * c.path("gripUsed").asDouble(),
        c.path("fuel_kg").asDouble(),
        c.path("airTemperature_c").asDouble(),
        c.path("pressure_hpa").asDouble(),
        wind);
  }

  private static String lapTime(double seconds) {
    long millis = Math.round(seconds * 1000);
    return String.format(
        Locale.ROOT, "%d:%02d.%03d", millis / 60000, millis % 60000 / 1000, millis % 1000);
  }

  /** Escaped for XML; what XML cannot hold at all is left out. */
  private static String text(String raw) {
    return HtmlUtils.htmlEscape(raw, "UTF-8").replaceAll("[\\p{Cntrl}&&[^\\n\\t]]", "");
  }
}
