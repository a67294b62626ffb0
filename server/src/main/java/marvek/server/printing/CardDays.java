package marvek.server.printing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.page.DayKind;
import marvek.formats.Spelled;
import marvek.server.units.DriverUnits;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a driver does on other days, in a line of the card. */
final class CardDays {
  /** Less than this is the same place. */
  private static final double SAME_M = 0.5;

  private static final Map<DayKind, String> WHEN = new EnumMap<>(DayKind.class);

  static {
    WHEN.put(DayKind.COLD, "laps 1 to " + DayKind.COLD_LAPS);
    WHEN.put(DayKind.DAMP, "damp");
    WHEN.put(DayKind.WET, "wet");
    WHEN.put(DayKind.WORN, "worn tyres");
    WHEN.put(DayKind.HEAVY, "heavy");
  }

  private CardDays() {}

  /**
   * The days of a page, one after the other; empty where it says nothing of them. What is bolder
   * than the page itself is not said.
   */
  static String of(JsonNode page, double lapM, DriverUnits units, Set<DayKind> days) {
    List<String> words = new ArrayList<>();
    for (DayKind day : days) {
      String then = words(page, told(page, Spelled.of(day)), lapM, units);
      if (!then.isEmpty()) {
        words.add(WHEN.get(day) + ": " + then);
      }
    }
    return String.join("; ", words);
  }

  private static JsonNode told(JsonNode page, String day) {
    JsonNode told = page.path("variants").path(day).deepCopy();
    if (told instanceof ObjectNode values) {
      values.remove(page.path("variantsBolder").path(day).propertyNames());
    }
    return told;
  }

  private static String words(JsonNode page, JsonNode values, double lapM, DriverUnits units) {
    List<String> words = new ArrayList<>();
    moved(words, "brake", values.path("brake.at_m"), page.path("brake").path("at_m"), lapM, units);
    if (values.has("brake.initial_pct")) {
      words.add(Math.round(values.get("brake.initial_pct").asDouble(0)) + "\u00a0% at first");
    }
    if (values.has("gears.corner")) {
      words.add("gear " + values.get("gears.corner").asInt(0));
    }
    moved(
        words,
        "turn in",
        values.path("turnIn.at_m"),
        page.path("turnIn").path("at_m"),
        lapM,
        units);
    if (values.has("apexes.speed_mps")) {
      words.add(units.speedText(values.get("apexes.speed_mps").asDouble(0)) + " at the slowest");
    }
    for (String kerb : List.of("apex", "exit")) {
      if (values.has("kerbs." + kerb)) {
        String use = values.get("kerbs." + kerb).asString();
        words.add(
            use.equals("none") ? "no " + kerb + " kerb" : kerb + " kerb " + use.replace('-', ' '));
      }
    }
    JsonNode throttle = page.path("throttle");
    moved(
        words, "throttle", values.path("throttle.first_m"), throttle.path("first_m"), lapM, units);
    moved(words, "flat", values.path("throttle.full_m"), throttle.path("full_m"), lapM, units);
    return String.join(", ", words);
  }

  /** By how much a point is another one, earlier or later; the short way round the lap. */
  private static void moved(
      List<String> words,
      String what,
      JsonNode then,
      JsonNode now,
      double lapM,
      DriverUnits units) {
    if (then.isMissingNode()) {
      return;
    }
    if (now.isMissingNode()) {
      words.add(what + " " + units.lengthText(then.asDouble(0)) + " after the start line");
      return;
    }
    double way = then.asDouble(0) - now.asDouble(0);
    way -= lapM * Math.rint(way / lapM);
    if (Math.abs(way) >= SAME_M) {
      words.add(what + " " + units.lengthText(Math.abs(way)) + (way < 0 ? " earlier" : " later"));
    }
  }
}
