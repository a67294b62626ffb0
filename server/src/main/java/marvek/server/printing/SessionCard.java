package marvek.server.printing;

import static marvek.server.printing.CardContent.text;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.server.sessions.OnCard;

/** The card of a session: one line a corner on A5, to be read at arm's length. */
final class SessionCard {
  private static final String STYLE =
      """
      @page { size: 148mm 210mm; margin: 7mm 8mm; }
      body { font-family: Card, CardExt; font-size: 11pt; line-height: 1.08; color: #14171e; margin: 0; }
      b { font-weight: 600; }
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
      .many { font-size: 10pt; } .many .strong { font-size: 10.5pt; } .many td { padding: 0.6mm 1mm 0.6mm 0; } .many .step { font-size: 8.5pt; line-height: 1; }
      .strong { font-weight: 600; font-size: 12pt; }
      .gear { width: 13mm; font-weight: 600; font-size: 13pt; white-space: nowrap; }
      .apex { width: 12mm; font-weight: 600; font-size: 15pt; text-align: right; padding-right: 3mm; }
      th.apex { font-size: 9.5pt; font-weight: 400; }
      th.gear { font-size: 9.5pt; font-weight: 400; }
      .drive { width: 25mm; }
      .focus .n { border-left: 1.4mm solid #14171e; padding-left: 1mm; }
      .first td { border-bottom: 0; padding-bottom: 0; }
      .step { font-size: 9.5pt; font-weight: 400; }
      .targets { margin: 1mm 0 0 0; font-weight: 600; }
      .cautions { font-size: 9pt; margin: 2.5mm 0 0 0; }
      """;

  /** More lines than this are set smaller, so that the card stays on one page. */
  private static final int MANY = 14;

  /** Up to so many lines there is room for turn-in and kerbs below each of them. */
  private static final int FEW = 9;

  private SessionCard() {}

  /** The card as XHTML. */
  static String html(CardContent card) {
    List<CardLine> lines = card.lines();
    boolean roomy = count(card, lines) <= FEW;
    String rows = lines.stream().map(line -> row(line, card, roomy)).collect(Collectors.joining());
    return """
        <html><head><title>%s, revision %s</title><style>%s</style></head><body>
        <div class="lap">%s</div><h1>%s</h1>
        <p class="day">%s<br/>%s%s · %s<br/>%s</p>%s
        <table class="%s"><thead><tr><th></th><th class="name">corner</th><th>brake</th><th class="pct">press</th><th class="gear">gears</th>
        <th class="apex">%s</th><th class="drive">throttle, from the apex</th></tr></thead>
        <tbody>%s</tbody></table>
        <p class="cautions">Estimates of a model: begin at the safe mark, work up in small steps. Closed
        courses only. Flags, officials, the circuit's rules and your instructor come first. Check brakes,
        tyres and belts. Not to be read while driving.</p>
        </body></html>
        """
        .formatted(
            text(card.title()),
            card.number(),
            STYLE,
            card.lapTime(),
            text(card.title()),
            text(card.place()),
            card.added().title().isEmpty() ? "" : "<b>" + text(card.added().title()) + "</b><br/>",
            text(card.numberAndDay()),
            text(card.revision().path("reason").asText()),
            text(card.conditions()),
            targets(card.added()),
            isLong(card, lines) ? "many" : "",
            card.units().speed(),
            rows);
  }

  private static boolean isLong(CardContent card, List<CardLine> lines) {
    return count(card, lines) > MANY;
  }

  /** Lines of the card, those below a corner and of the session among them. */
  private static long count(CardContent card, List<CardLine> lines) {
    OnCard added = card.added();
    long own = lines.stream().filter(line -> !below(line, false).isEmpty()).count();
    return lines.size() + own + added.steps().size() + (added.title().isEmpty() ? 0 : 2);
  }

  private static String targets(OnCard added) {
    if (added.targets().isEmpty()) {
      return "";
    }
    return added.targets().stream()
        .map(t -> t.whose() + " " + CardContent.lapTime(t.lapS()))
        .collect(Collectors.joining(" · ", "<p class=\"targets\">Targets: ", "</p>"));
  }

  private static String row(CardLine line, CardContent card, boolean roomy) {
    int corner = line.corner();
    String below = below(line, roomy);
    boolean more = !below.isEmpty();
    String rest =
        more ? "<tr><td></td><td class=\"step\" colspan=\"6\">" + below + "</td></tr>" : "";
    return """
        <tr class="%s"><td class="n">%s</td><td class="name">%s</td><td class="strong">%s%s</td>\
        <td class="pct">%s</td><td class="gear">%s</td><td class="apex">%s</td><td class="drive">%s</td></tr>
        """
            .formatted(
                (card.added().focus().contains(corner) ? "focus" : "") + (more ? " first" : ""),
                text(line.number()),
                "%s <b>%s</b>".formatted(text(line.name()), line.side())
                    + (line.toCheck() ? "<br/><b>check first</b>" : ""),
                text(line.brake()),
                step(card.added().steps().get(corner), card),
                text(line.pressure()),
                text(line.gears()),
                text(line.apex()),
                text(line.drive()))
        + rest;
  }

  /** Over the whole width below a corner: what hangs on its points, the warning last and bold. */
  private static String below(CardLine line, boolean roomy) {
    String words =
        Stream.of(roomy ? line.rest() : "", line.own(), line.otherDays())
            .filter(each -> !each.isEmpty())
            .map(CardContent::text)
            .collect(Collectors.joining(" · "));
    String warning = line.warning().isEmpty() ? "" : "<b>! " + text(line.warning()) + "</b>";
    return words.isEmpty() || warning.isEmpty() ? words + warning : words + " · " + warning;
  }

  /** Where the brakes go on at the present step of the plan; the target stands above it. */
  private static String step(OnCard.Step step, CardContent card) {
    if (step == null) {
      return "";
    }
    return "<div class=\"step\">now, step %d of %d: %s</div>"
        .formatted(
            step.number(), step.of(), text(CardLine.place(step.mark(), step.atM(), card.units())));
  }
}
