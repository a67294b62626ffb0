package marvek.server.printing;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Notes of a page that are to be at hand in the minute when they are needed. */
final class CardWarnings {
  private CardWarnings() {}

  /** A line: danger first, as the page has them, the way out last; empty without any. */
  static String of(JsonNode page) {
    List<String> words = new ArrayList<>();
    for (JsonNode note : page.path("pointNotes")) {
      boolean danger = note.path("kind").asString().equals("danger");
      if (danger || note.path("severity").asInt(1) > 1) {
        String point = note.path("point").asString().replace('-', ' ');
        words.add((danger ? "DANGER, " : "") + point + ": " + note.path("text").asString());
      }
    }
    if (!page.path("wayOut").asString("").isBlank()) {
      words.add("way out: " + page.get("wayOut").asString());
    }
    return String.join("; ", words);
  }
}
