package marvek.server.printing;

import static marvek.server.printing.CardContent.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import marvek.server.units.DriverUnits;
import tools.jackson.databind.JsonNode;

/** A card of numbers alone: corner, brake mark, gear, lowest speed. */
final class NumbersCard {
  /** A size of paper with the type that goes with it. */
  enum Size {
    /** A7 across, two columns. */
    DASH("105mm 74mm", 4, 2, 7, 12.5, 17),
    /** A6 upright, one column, read past gloves and a screen. */
    TANK("105mm 148mm", 5, 1, 14, 18, 22);

    private final String page;
    private final int marginMm;
    private final int columns;
    private final int rows;
    private final double textPt;
    private final double numberPt;

    Size(String page, int marginMm, int columns, int rows, double textPt, double numberPt) {
      this.page = page;
      this.marginMm = marginMm;
      this.columns = columns;
      this.rows = rows;
      this.textPt = textPt;
      this.numberPt = numberPt;
    }

    private int perPage() {
      return columns * rows;
    }
  }

  private static final double AT_THE_MARK_M = 2.5;
  private static final Pattern FIGURES = Pattern.compile("\\d+");

  /** A count of time begins with its seconds. */
  private static final Pattern SECONDS = Pattern.compile("^\\d+\\.\\d+ s");

  private static final int LONGEST_MARK = 9;

  private NumbersCard() {}

  /** The card as XHTML, on as many pages as the lap needs. */
  static String html(CardContent card, Size size) {
    List<String> cells = new ArrayList<>();
    card.revision().path("pages").forEach(page -> cells.add(cell(page, card.units())));
    StringBuilder pages = new StringBuilder();
    for (int from = 0; from < cells.size(); from += size.perPage()) {
      int to = Math.min(cells.size(), from + size.perPage());
      pages.append(page(cells.subList(from, to), card, size, from > 0));
    }
    return "<html><head><title>%s</title><style>%s</style></head><body>%s</body></html>"
        .formatted(text(card.title()), style(size), pages);
  }

  private static String style(Size size) {
    return String.format(
        Locale.ROOT,
        """
        @page { size: %s; margin: %dmm; }
        body { font-family: Card, CardExt; font-size: %.1fpt; line-height: 1; color: #000; margin: 0; }
        .head { font-size: 8pt; margin: 0 0 1mm 0; }
        .next { page-break-before: always; }
        table { width: 100%%; border-collapse: collapse; table-layout: fixed; }
        td { border-bottom: 0.2mm solid #555; padding: 0.7mm 0.6mm; vertical-align: middle; white-space: nowrap; }
        .n { font-weight: 600; font-size: %.1fpt; width: 16%%; }
        .b { font-weight: 600; width: 42%%; } .g { width: 14%%; text-align: center; }
        .v { font-weight: 600; text-align: right; width: 20%%; }
        .gap { border: none; width: 5%%; }
        """,
        size.page,
        size.marginMm,
        size.textPt,
        size.numberPt);
  }

  private static String page(List<String> cells, CardContent card, Size size, boolean next) {
    int rows = Math.min(size.rows, cells.size());
    StringBuilder table = new StringBuilder();
    for (int r = 0; r < rows; r++) {
      table.append("<tr>");
      for (int k = r; k < cells.size(); k += size.rows) {
        table.append(k == r ? "" : "<td class=\"gap\"></td>").append(cells.get(k));
      }
      table.append("</tr>");
    }
    return """
        <p class="head%s">%s · r%d · %s · gear · %s</p><table>%s</table>
        """
        .formatted(
            next ? " next" : "",
            text(card.title()),
            card.number(),
            card.units().length(),
            card.units().speed(),
            table);
  }

  private static String cell(JsonNode page, DriverUnits units) {
    double lowest = page.path("lowest").path("speed_mps").asDouble(0);
    return "<td class=\"n\">%s</td><td class=\"b\">%s</td><td class=\"g\">%s</td><td class=\"v\">%s</td>"
        .formatted(
            text(page.path("corner").asString()),
            text(brake(page.path("brake"), units)),
            text(page.path("gears").path("corner").asString()),
            units.speedFigure(lowest));
  }

  /** "150 +16": the mark's own figure and how far past it; a name where it has none. */
  static String brake(JsonNode brake, DriverUnits units) {
    if (!brake.has("at_m")) {
      return brake.path("style").asString().equals("none") ? "flat" : "lift";
    }
    JsonNode target = brake.path("target");
    if (target.isMissingNode() || target.path("weak").asBoolean(false)) {
      Matcher seconds = SECONDS.matcher(target.path("text").asString());
      return seconds.find()
          ? seconds.group()
          : "@" + units.lengthFigure(brake.path("at_m").asDouble(0));
    }
    double past = target.path("offset_m").asDouble(0);
    String sign = past < 0 ? "−" : "+";
    String by = Math.abs(past) < AT_THE_MARK_M ? "" : " " + sign + units.lengthFigure(past);
    return shortMark(target.path("mark").asString()) + by;
  }

  /** What of a mark's name fits: its figure, or its last words, "post 5". */
  private static String shortMark(String label) {
    Matcher figures = FIGURES.matcher(label);
    if (label.endsWith("board") && figures.find()) {
      return figures.group();
    }
    String end = label;
    while (end.length() > LONGEST_MARK && end.contains(" ")) {
      end = end.substring(end.indexOf(' ') + 1);
    }
    return end.length() <= LONGEST_MARK ? end : end.substring(0, LONGEST_MARK - 1) + ".";
  }
}
