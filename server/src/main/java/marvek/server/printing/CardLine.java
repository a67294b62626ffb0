package marvek.server.printing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.brief.CornerLabel;
import marvek.core.brief.SpokenPoints;
import marvek.core.page.DayKind;
import marvek.core.page.PageField;
import marvek.core.page.PagePoint;
import marvek.formats.PointCatalogue;
import marvek.formats.Spelled;
import marvek.server.units.DriverUnits;
import tools.jackson.databind.JsonNode;

/**
 * One corner on the card, as words.
 *
 * @param corner its number on the circuit
 * @param number as it is shown: that, or a label such as 5A
 * @param side to which it bends: L or R
 * @param brake where
 * @param own points and gates that only the driver gave
 * @param warning what can hurt there, or that he is to mind
 * @param otherDays what he does on cold tyres, and on such a day as this one
 * @param pressure how hard at first; empty without braking
 * @param drive first throttle and flat, told from the apex
 * @param rest turn-in and kerbs, for a card that has room for them
 * @param toCheck whether the page is to be checked on track first
 */
record CardLine(
    int corner,
    String number,
    String name,
    String side,
    String brake,
    String own,
    String warning,
    String otherDays,
    String pressure,
    String gears,
    String apex,
    String drive,
    String rest,
    boolean toCheck) {
  private static final double AT_THE_MARK_M = 2.5;

  /** Of a kerb that is left alone nothing need be said. */
  private static final Map<String, String> USED =
      Map.of("touch", "touched", "tyre", "one tyre", "half-car", "half the car", "full", "in full");

  private static final Map<String, String> FEET =
      Map.of(
          "left", "left foot",
          "right", "right foot",
          "cover", "cover the brake",
          "heel-and-toe", "heel and toe");

  /**
   * Words for a page of the book format.
   *
   * @param lapM length of the lap, for what lies on both sides of the line
   * @param toCheck corners that are to be checked on track
   * @param days kinds of day that are told
   */
  static CardLine of(
      JsonNode page, double lapM, DriverUnits units, Set<Integer> toCheck, Set<DayKind> days) {
    String name = page.path("name").asString();
    boolean isLabelled = CornerLabel.isLabel(name);
    return new CardLine(
        page.path("corner").asInt(0),
        isLabelled ? name : page.path("corner").asString(),
        isLabelled ? "" : name,
        page.path("direction").asString().equals("left") ? "L" : "R",
        brake(page, lapM, units),
        ownPoints(page, units),
        CardWarnings.of(page),
        CardDays.of(page, lapM, units, days),
        pressure(page),
        gears(page),
        units.speedFigure(page.path("lowest").path("speed_mps").asDouble(0)),
        drive(page, lapM, units),
        rest(page, units),
        toCheck.contains(page.path("corner").asInt(0)));
  }

  private static String brake(JsonNode page, double lapM, DriverUnits units) {
    JsonNode brake = page.path("brake");
    JsonNode lift = page.path("lift");
    if (!brake.has("at_m") && lift.has("at_m")) {
      double past = lift.get("at_m").asDouble(0) - apexM(page);
      String where =
          lift.has("target")
              ? words(lift.get("target"), units)
              : fromApex(past, lapM, units) + " from the apex";
      return "lift to " + Math.round(lift.get("to_pct").asDouble(0)) + "\u00a0%, " + where;
    }
    if (!brake.has("at_m")) {
      return brake.path("style").asString().equals("none") ? "flat, no brake" : "lift, no brake";
    }
    return place(brake.get("target"), brake.get("at_m").asDouble(0), units);
  }

  private static String rest(JsonNode page, DriverUnits units) {
    JsonNode turnIn = page.path("turnIn");
    String where =
        turnIn.has("at_m")
            ? "turn in " + place(turnIn.get("target"), turnIn.get("at_m").asDouble(0), units)
            : "";
    String kerbs =
        Stream.of("apex", "exit")
            .filter(at -> USED.containsKey(page.path("kerbs").path(at).asString("")))
            .map(at -> at + " kerb " + USED.get(page.path("kerbs").path(at).asString()))
            .collect(Collectors.joining(", "));
    return Stream.of(where, kerbs)
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(" · "));
  }

  /** Places that only the driver gave, one after the other; empty without one. */
  private static String ownPoints(JsonNode page, DriverUnits units) {
    List<String> words = new ArrayList<>();
    for (PageField field : PageField.typed()) {
      JsonNode point = page.path(field.group());
      if (point.has("at_m")) {
        String where = place(point.get("target"), point.get("at_m").asDouble(0), units);
        words.add(PointCatalogue.said(field) + " " + where);
      }
    }
    for (JsonNode told : page.path("at")) {
      PagePoint point = Spelled.read(PagePoint.class, "point", told.path("point").asString());
      if (told.has("target") && point != PagePoint.BRAKE && point != PagePoint.LIFT) {
        words.add(SpokenPoints.name(point) + " " + words(told.get("target"), units));
      }
    }
    page.path("gates").forEach(gate -> words.add(gate.path("place").asString()));
    return String.join("; ", words);
  }

  /** A point by its mark; by its station where nothing is seen in time. */
  static String place(JsonNode mark, double atM, DriverUnits units) {
    return mark == null ? units.lengthText(atM) + " after the start line" : words(mark, units);
  }

  /** First pressure; of a shape of one's own all of its pressures. */
  private static String pressure(JsonNode page) {
    JsonNode brake = page.path("brake");
    if (!brake.has("at_m")) {
      return "";
    }
    if (!isOwn(page, "presses")) {
      return Math.round(brake.path("initial_pct").asDouble(0)) + "\u00a0%";
    }
    List<String> presses = new ArrayList<>();
    for (JsonNode press : page.path("presses")) {
      List<String> falls = new ArrayList<>();
      falls.add(whole(press.path("peak_pct")));
      press.path("knots").forEach(knot -> falls.add(whole(knot.path("pct"))));
      presses.add(String.join("–", falls));
    }
    return String.join(", ", presses) + "\u00a0%";
  }

  private static String whole(JsonNode pct) {
    return Long.toString(Math.round(pct.asDouble(0)));
  }

  /** A throttle that the driver holds before he opens it; empty without one of his own. */
  private static String held(JsonNode page) {
    if (isOwn(page, "phases")) {
      for (JsonNode phase : page.path("phases")) {
        if (phase.path("kind").asString().equals("hold")) {
          return "hold " + whole(phase.path("to_pct")) + "\u00a0%, ";
        }
      }
    }
    return "";
  }

  /** A mark in words. */
  static String words(JsonNode mark, DriverUnits units) {
    if (mark.has("own")) {
      return mark.get("own").asString();
    }
    if (mark.path("weak").asBoolean(false)) {
      return mark.path("text").asString();
    }
    String thing = mark.path("thing").asString(mark.path("mark").asString());
    double past = mark.path("offset_m").asDouble(0);
    if (Math.abs(past) < AT_THE_MARK_M) {
      String word = mark.path("side").asString().equals("over") ? "under " : "at ";
      return mark.path("near").asString(word + thing);
    }
    return units.lengthText(past) + (past > 0 ? " past " : " before ") + thing;
  }

  /** From which gear to which, and what of it or of the feet is the driver's own. */
  private static String gears(JsonNode page) {
    JsonNode gears = page.path("gears");
    String corner = gears.path("corner").asString();
    String approach = gears.path("approach").asString();
    boolean changes = isOwn(page, "gears.changes");
    List<String> words = new ArrayList<>();
    words.add(approach.equals(corner) ? corner : approach + " – " + corner);
    if (isOwn(page, "gears.in") || changes && !gears.path("in").asString().equals(corner)) {
      words.add("in " + gears.path("in").asString());
    }
    if (isOwn(page, "gears.out") || changes && !gears.path("out").asString().equals(corner)) {
      words.add("out " + gears.path("out").asString());
    }
    if (isOwn(page, "feet")) {
      words.add(FEET.get(page.path("feet").asString()));
    }
    return String.join(", ", words);
  }

  private static boolean isOwn(JsonNode page, String field) {
    return !page.path("sources").path(field).asString("model").equals("model");
  }

  private static String drive(JsonNode page, double lapM, DriverUnits units) {
    JsonNode throttle = page.path("throttle");
    if (!throttle.has("first_m")) {
      return "stays on";
    }
    double apex = apexM(page);
    String first = held(page) + fromApex(throttle.get("first_m").asDouble(0) - apex, lapM, units);
    if (!throttle.has("full_m")) {
      return first;
    }
    return first + ", flat " + fromApex(throttle.get("full_m").asDouble(0) - apex, lapM, units);
  }

  static double apexM(JsonNode page) {
    return page.path("apexes").path(0).path("at_m").asDouble(0);
  }

  /** Metres past the apex with their sign, the short way round. */
  static String fromApex(double metres, double lapM, DriverUnits units) {
    double way = metres - lapM * Math.rint(metres / lapM);
    return (way < 0 ? "−" : "+") + units.lengthText(way);
  }
}
