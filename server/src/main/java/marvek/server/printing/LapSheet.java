package marvek.server.printing;

import static marvek.server.printing.CardContent.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;
import marvek.formats.PointCatalogue;
import marvek.server.books.Books;
import marvek.server.sessions.OnCard;
import tools.jackson.databind.JsonNode;

/** The whole lap on a sheet of A4, each corner with its strip. */
final class LapSheet {
  private static final int COLUMNS = 7;
  private static final int PER_PAGE = 2 * COLUMNS;

  private static final String STYLE =
      """
      @page { size: 297mm 210mm; margin: 7mm 8mm; }
      body { font-family: Card, CardExt; font-size: 9.5pt; line-height: 1.05; color: #14171e; margin: 0; }
      .head { font-size: 10pt; margin: 0 0 1.5mm 0; }
      .head b { font-size: 15pt; font-weight: 600; }
      table { border-collapse: collapse; table-layout: fixed; }
      .next { page-break-before: always; }
      td { width: 39.6mm; padding: 0 0.4mm 1.2mm 0.4mm; vertical-align: top; border-top: 0.35mm solid #14171e; border-right: 0.15mm solid #b9b3a5; }
      td.none { border: none; }
      h2 { font-size: 13pt; font-weight: 600; margin: 0.6mm 0 0.4mm 0; white-space: nowrap; overflow: hidden; }
      .strip { position: relative; width: 39mm; height: 66mm; }
      .plate { position: absolute; width: 3.2mm; height: 3.2mm; background: #fff; border: 0.2mm solid #14171e; font-size: 7.5pt; font-weight: 600; line-height: 3.2mm; text-align: center; }
      .mark { position: absolute; width: 9mm; font-size: 7pt; line-height: 2.5mm; }
      .mark.left { left: 0; } .mark.right { right: 0; text-align: right; }
      .brake { font-weight: 600; min-height: 9.5mm; }
      .figures { font-size: 11pt; font-weight: 600; }
      .step { font-weight: 400; }
      .own { font-size: 7.5pt; font-weight: 400; line-height: 1; }
      .foot { font-size: 8pt; margin: 1mm 0 0 0; }
      """;

  private LapSheet() {}

  /**
   * The sheet as XHTML; a lap of more corners than a sheet has room for goes on on the next.
   *
   * @param computed the revision of the card, computed
   */
  static String html(CardContent card, Books.Computed computed) {
    List<String> cells = new ArrayList<>();
    List<CardLine> lines = card.lines();
    List<CornerPage> pages = computed.reference().pages();
    for (int p = 0; p < pages.size(); p++) {
      cells.add(cell(card, lines.get(p), pages.get(p), computed));
    }
    StringBuilder sheets = new StringBuilder();
    for (int from = 0; from < cells.size(); from += PER_PAGE) {
      List<String> some = cells.subList(from, Math.min(cells.size(), from + PER_PAGE));
      sheets.append(sheet(card, some, from > 0));
    }
    return "<html><head><title>%s, revision %d</title><style>%s</style></head><body>%s</body></html>"
        .formatted(text(card.title()), card.number(), STYLE, sheets);
  }

  private static String sheet(CardContent card, List<String> cells, boolean next) {
    StringBuilder rows = new StringBuilder();
    for (int from = 0; from < cells.size(); from += COLUMNS) {
      rows.append("<tr>");
      for (int k = from; k < from + COLUMNS; k++) {
        rows.append(k < cells.size() ? cells.get(k) : "<td class=\"none\"></td>");
      }
      rows.append("</tr>");
    }
    OnCard added = card.added();
    return """
        <p class="head%s"><b>%s · %s</b> %s · %s%s<br/>%s</p><table>%s</table>
        <p class="foot">From the bottom up as it is driven; along the road to scale, across widened. %s.
        Estimates of a model: begin at the safe marks. Flags, officials, rules and your instructor come first. Not to be read while driving.</p>
        """
        .formatted(
            next ? " next" : "",
            text(card.title()),
            card.lapTime(),
            text(card.numberAndDay()),
            text(card.place()),
            added.title().isEmpty() ? "" : " · " + text(added.title()),
            text(card.conditions()),
            rows,
            legend(card.revision()));
  }

  /** "B brake, T turn in": what the letters on the strips stand for, as far as a page has them. */
  private static String legend(JsonNode revision) {
    Map<Boolean, String> places =
        Arrays.stream(PageField.values())
            .filter(field -> field.isStation() && isOnAny(revision.path("pages"), field))
            .collect(
                Collectors.partitioningBy(
                    field -> field.group().equals("throttle"),
                    Collectors.mapping(
                        field -> PointCatalogue.letter(field) + " " + PointCatalogue.plate(field),
                        Collectors.joining(", "))));
    return text(places.get(false) + ", A apex, " + places.get(true));
  }

  private static boolean isOnAny(JsonNode pages, PageField field) {
    String pointer = "/" + field.shownAt().replace('.', '/');
    return pages.valueStream().anyMatch(page -> !page.at(pointer).isMissingNode());
  }

  private static String cell(
      CardContent card, CardLine line, CornerPage page, Books.Computed computed) {
    OnCard.Step step = card.added().steps().get(page.corner());
    String now =
        step == null
            ? ""
            : "<span class=\"step\">; now "
                + text(CardLine.place(step.mark(), step.atM(), card.units()))
                + "</span>";
    return """
        <td><h2>%s%s %s%s</h2>%s<div class="brake">%s%s%s</div>
        <div class="figures">%s · %s %s</div></td>
        """
        .formatted(
            card.added().focus().contains(page.corner()) ? "<u>" : "",
            text(line.number()),
            text(line.name()),
            card.added().focus().contains(page.corner()) ? "</u>" : "",
            StripDrawing.of(computed.reference(), computed.circuit(), page),
            text(line.brake()),
            now,
            line.own().isEmpty() ? "" : "<div class=\"own\">" + text(line.own()) + "</div>",
            text(line.gears()),
            text(line.apex()),
            text(card.units().speed()));
  }
}
