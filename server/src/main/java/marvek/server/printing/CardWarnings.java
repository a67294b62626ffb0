package marvek.server.printing;

import java.util.ArrayList;
import java.util.List;
import marvek.core.brief.SpokenPoints;
import marvek.core.page.PagePoint;
import marvek.formats.Spelled;
import tools.jackson.databind.JsonNode;

/** Notes of a page that are to be at hand in the minute when they are needed. */
final class CardWarnings {
  private CardWarnings() {}

  /** A line: danger first, as the page has them; empty without any. */
  static String of(JsonNode page) {
    List<String> words = new ArrayList<>();
    for (JsonNode note : page.path("pointNotes")) {
      boolean danger = note.path("kind").asString().equals("danger");
      if (danger || note.path("severity").asInt(1) > 1) {
        PagePoint point = Spelled.read(PagePoint.class, "point", note.path("point").asString());
        words.add(
            (danger ? "DANGER, " : "")
                + SpokenPoints.name(point)
                + ": "
                + note.path("text").asString());
      }
    }
    return String.join("; ", words);
  }
}
