package marvek.server.lead;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import marvek.core.lead.DriverSheet;
import marvek.core.lead.GroupRemark;
import marvek.core.lead.Member;
import marvek.core.page.CornerPage;
import marvek.server.books.Books;
import org.springframework.web.util.HtmlUtils;

/** A driver's sheet as one page of A5. */
record SheetPage(LeadDays.Led led, DriverSheet sheet, Member member, Books.Computed computed) {
  private static final String STYLE =
      """
      @page { size: 148mm 210mm; margin: 9mm 10mm; }
      body { font-family: Card, CardExt; font-size: 11.5pt; line-height: 1.2; color: #14171e; margin: 0; }
      h1 { font-size: 21pt; font-weight: 600; margin: 0; line-height: 1; }
      h2 { font-size: 14pt; font-weight: 600; margin: 4mm 0 1mm 0; border-bottom: 0.4mm solid #14171e; }
      p, ol, ul { margin: 0 0 1mm 0; } ol, ul { padding-left: 5mm; }
      li { margin: 0.6mm 0; } b { font-weight: 600; }
      .three li { font-size: 13.5pt; }
      table { width: 100%; border-collapse: collapse; }
      th { text-align: left; font-weight: 400; font-size: 9.5pt; }
      td { border-top: 0.2mm solid #8d8779; padding: 0.7mm 2mm 0.7mm 0; }
      .caution { font-size: 9pt; margin-top: 4mm; }
      """;

  /** Less than this is as it was [s]. */
  private static final double LEAST_S = 0.02;

  String html() {
    return """
        <html><head><title>%s</title><style>%s</style></head><body>
        <h1>%s</h1><p>%s%s, %d laps in the group, led at %d %% of the page's speed</p>
        <h2>What was good</h2>%s
        <h2>Three things to work on</h2>%s
        <h2>Corner by corner</h2>%s
        <p class="caution">From what was seen from the car ahead, and from laps where they were read in. Closed courses only;
        flags, officials and the circuit's rules come first. Begin the next day where this one ended, not faster.</p>
        </body></html>
        """
        .formatted(
            text(member.name()),
            STYLE,
            text(member.name()),
            text(led.session().name()),
            member.vehicle().isBlank() ? "" : " · " + text(member.vehicle()),
            lapsThere(),
            Math.round(100 * led.day().paceShare()),
            good(),
            workOn(),
            corners());
  }

  private int lapsThere() {
    int last = member.goneFromLap() == null ? led.day().lap() : member.goneFromLap() - 1;
    return Math.max(0, Math.min(last, led.day().lap()) - member.fromLap() + 1);
  }

  private String good() {
    List<String> lines =
        sheet.good().stream()
            .map(r -> "<li>" + place(r.corner()) + told(r) + ", lap " + r.lap() + "</li>")
            .toList();
    return lines.isEmpty()
        ? "<p>Nothing was noted.</p>"
        : "<ul>" + String.join("", lines) + "</ul>";
  }

  private static String told(GroupRemark r) {
    String words = text(r.words()) + (r.by() == GroupRemark.By.DRIVER ? " (own words)" : "");
    return r.good() ? words : "took \"" + words + "\" on";
  }

  private String workOn() {
    if (sheet.workOn().isEmpty()) {
      return "<p>All that was said was taken.</p>";
    }
    return sheet.workOn().stream()
        .map(
            w ->
                "<li><b>"
                    + place(w.corner())
                    + "</b>"
                    + text(w.words())
                    + (w.times() > 1 ? ", said " + w.times() + " times" : "")
                    + "</li>")
        .collect(Collectors.joining("", "<ol class=\"three\">", "</ol>"));
  }

  private String corners() {
    if (sheet.corners().isEmpty()) {
      return "<p>Nothing was said of a corner, and no laps were read in.</p>";
    }
    return sheet.corners().stream()
        .map(
            c ->
                "<tr><td>"
                    + place(c.corner()).replaceFirst(": $", "")
                    + "</td><td>"
                    + (c.said() == 0 ? "–" : c.taken() + " of " + c.said() + " taken")
                    + "</td><td>"
                    + progress(c)
                    + "</td></tr>")
        .collect(
            Collectors.joining(
                "",
                "<table><thead><tr><th>corner</th><th>remarks</th><th>laps, first two to last"
                    + " two</th></tr></thead><tbody>",
                "</tbody></table>"));
  }

  private static String progress(DriverSheet.CornerDay c) {
    if (c.firstLostS() == null) {
      return "";
    }
    double by = c.lastLostS() - c.firstLostS();
    return Math.abs(by) < LEAST_S
        ? "as it was"
        : String.format(Locale.ROOT, "%.2f s %s", Math.abs(by), by < 0 ? "quicker" : "slower");
  }

  private String place(int corner) {
    return computed.reference().pages().stream()
        .filter(page -> page.corner() == corner)
        .map(CornerPage::name)
        .findFirst()
        .map(name -> corner + " " + text(name) + ": ")
        .orElse(corner == 0 ? "" : corner + ": ");
  }

  private static String text(String raw) {
    return HtmlUtils.htmlEscape(raw, "UTF-8").replaceAll("\\p{Cntrl}", "");
  }
}
