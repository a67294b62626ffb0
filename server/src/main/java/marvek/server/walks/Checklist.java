package marvek.server.walks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.mark.MarkChooser;
import marvek.core.say.Sentence;
import marvek.server.books.LayoutMoves;
import tools.jackson.databind.JsonNode;

/** What to look at on a walk, in driving order: where the notes are thin, old or in doubt. */
final class Checklist {
  private static final double KERB_REACH_M = 25;

  private final Circuit circuit;
  private final Road road;
  private final List<Corner> corners;
  private final List<Item> items = new ArrayList<>();

  /** Why an item is on the list. */
  enum Why {
    MARK_MISSING,
    MARK_MOVES,
    BOARD_UNTRUE,
    KERB_UNKNOWN,
    KERB_UNMEASURED,
    SHADOW_UNDATED,
    PAGE_TO_CHECK
  }

  /**
   * @param key stays the same from one look to the next, so that it can be ticked off
   * @param corner number of the corner it belongs to, or null
   */
  record Item(String key, double station_m, Integer corner, Why why, Sentence said) {}

  private Checklist(Circuit circuit) {
    this.circuit = circuit;
    this.road = circuit.road();
    this.corners = CornerFinder.find(circuit, road);
  }

  /**
   * The list for a circuit.
   *
   * @param revisions newest revisions of the books on it, as documents
   * @param checks pages that wait to be checked
   */
  static List<Item> of(
      Circuit circuit, List<? extends JsonNode> revisions, List<LayoutMoves.CheckLine> checks) {
    Checklist list = new Checklist(circuit);
    revisions.forEach(list::marks);
    if (revisions.isEmpty()) {
      list.marksWithoutBook();
    }
    list.boards();
    list.kerbs();
    list.shadows();
    checks.forEach(list::check);
    return list.items.stream()
        .collect(
            java.util.stream.Collectors.toMap(
                Item::key, item -> item, (a, b) -> a, java.util.LinkedHashMap::new))
        .values()
        .stream()
        .sorted(Comparator.comparingDouble(Item::station_m))
        .toList();
  }

  private void add(String key, double station, Integer corner, Why why, Sentence said) {
    items.add(new Item(key, road.wrapStation(station), corner, why, said));
  }

  /** Points of a book that no good mark tells. */
  private void marks(JsonNode revision) {
    for (JsonNode page : revision.path("pages")) {
      int corner = page.path("corner").asInt(0);
      point(corner, "brake", page.path("brake"), page.path("brake").path("at_m"));
      point(corner, "turn-in", page.path("turnIn"), page.path("turnIn").path("at_m"));
    }
  }

  private void point(int corner, String what, JsonNode place, JsonNode at) {
    if (!at.isNumber()) {
      return;
    }
    JsonNode target = place.path("target");
    String key = "mark-" + corner + "-" + what;
    if (target.isMissingNode() || target.path("weak").asBoolean(false)) {
      add(
          key,
          at.asDouble(0),
          corner,
          Why.MARK_MISSING,
          Sentence.of("walk.no-mark", "corner", corner, "point", what));
    } else if (permanence(target) >= 2) {
      String label = target.path("mark").asString();
      add(
          key,
          at.asDouble(0),
          corner,
          Why.MARK_MOVES,
          Sentence.of("walk.passing-mark", "corner", corner, "point", what, "label", label));
    }
  }

  private static int permanence(JsonNode target) {
    String type = target.path("type").asString("other").toUpperCase(Locale.ROOT).replace('-', '_');
    try {
      return MarkType.valueOf(type).permanence();
    } catch (IllegalArgumentException e) {
      return MarkType.OTHER.permanence();
    }
  }

  private void marksWithoutBook() {
    for (Corner corner : corners) {
      boolean any =
          circuit.marks().stream()
              .mapToDouble(m -> road.offsetBetween(m.fromM(), corner.fromM()))
              .anyMatch(way -> way > -20 && way < 220);
      if (!any) {
        add(
            "mark-" + corner.number() + "-approach",
            corner.fromM() - 100,
            corner.number(),
            Why.MARK_MISSING,
            Sentence.of("walk.no-mark-before", "corner", corner.number()));
      }
    }
  }

  private void boards() {
    for (MarkChooser.Board board : MarkChooser.untrueBoards(circuit.marks(), road, corners)) {
      Sentence said =
          Sentence.of(
              "walk.board",
              "label",
              board.label(),
              "stands_m",
              board.standsM(),
              "corner",
              board.corner());
      String key = "board-" + Math.round(board.stationM());
      add(key, board.stationM(), board.corner(), Why.BOARD_UNTRUE, said);
    }
  }

  private void kerbs() {
    for (Corner corner : corners) {
      if (circuit.kerbs().stream().noneMatch(k -> near(k, corner))) {
        add(
            "kerb-" + corner.number(),
            corner.tightestM(),
            corner.number(),
            Why.KERB_UNKNOWN,
            Sentence.of("walk.no-kerb", "corner", corner.number()));
      }
    }
    for (Kerb kerb : circuit.kerbs()) {
      if (kerb.heightMm() == 0) {
        add(
            "kerb-height-" + Math.round(kerb.fromM()),
            kerb.fromM(),
            null,
            Why.KERB_UNMEASURED,
            Sentence.of("walk.kerb-height"));
      }
    }
  }

  private boolean near(Kerb kerb, Corner corner) {
    double way = road.offsetBetween(corner.fromM(), kerb.fromM());
    double length = road.distance(kerb.fromM(), kerb.toM());
    return way < corner.lengthM() + KERB_REACH_M && way + length > -KERB_REACH_M;
  }

  private void shadows() {
    for (Mark mark : circuit.marks()) {
      boolean undated = mark.notedAt() == null || mark.heightM() == null;
      if (mark.type() == MarkType.SHADOW && undated) {
        add(
            "shadow-" + Math.round(mark.fromM()),
            mark.fromM(),
            null,
            Why.SHADOW_UNDATED,
            Sentence.of("walk.shadow", "label", mark.label()));
      }
    }
  }

  private void check(LayoutMoves.CheckLine check) {
    double station =
        corners.stream()
            .filter(c -> c.number() == check.corner())
            .mapToDouble(Corner::fromM)
            .findFirst()
            .orElse(0);
    add(
        "check-" + check.corner() + "-" + check.reason().words().hashCode(),
        station,
        check.corner(),
        Why.PAGE_TO_CHECK,
        check.reason());
  }
}
