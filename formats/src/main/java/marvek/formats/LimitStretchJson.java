package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.InvalidValueException;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.LimitStretch.Consequence;
import marvek.core.circuit.LimitStretch.In;
import marvek.core.circuit.LimitStretch.Line;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Stretches of track limits as an organiser writes them, in a circuit's file and on pages. */
final class LimitStretchJson {
  private static final Set<String> KNOWN =
      Set.of(
          "from_m",
          "to_m",
          "side",
          "wheels",
          "line",
          "backBefore_m",
          "consequence",
          "sessions",
          "note");

  /** Members of the file by the names of the core. */
  private static final Map<String, String> MEMBERS =
      Map.of(
          "fromM", "from_m",
          "toM", "to_m",
          "beyondM", "line/beyond_m",
          "backBeforeM", "backBefore_m",
          "penaltyS", "consequence/time_s");

  private LimitStretchJson() {}

  /**
   * The stretches of a {@code trackLimits} member.
   *
   * @param road that they lie on
   */
  static List<LimitStretch> read(JsonPlace limits, Road road) {
    List<LimitStretch> stretches = new ArrayList<>();
    if (limits.has("stretches")) {
      for (JsonPlace entry : limits.array("stretches")) {
        stretches.add(readOne(entry, road));
      }
    }
    return stretches;
  }

  private static LimitStretch readOne(JsonPlace p, Road road) {
    p.onlyKnown(KNOWN);
    boolean beyond = p.node().path("line").isObject();
    boolean time = p.node().path("consequence").isObject();
    List<In> sessions = new ArrayList<>();
    if (p.has("sessions")) {
      p.array("sessions").forEach(each -> sessions.add(session(each)));
    }
    try {
      LimitStretch stretch =
          new LimitStretch(
              p.oneOf("side", Side.class),
              p.number("from_m"),
              p.number("to_m"),
              p.integer("wheels"),
              beyond ? Line.BEYOND : p.oneOf("line", Line.class),
              beyond ? Double.valueOf(p.object("line").number("beyond_m")) : null,
              p.optionalNumber("backBefore_m"),
              time
                  ? Consequence.TIME
                  : p.oneOf("consequence", Consequence.class, Consequence.WARNING),
              time ? Double.valueOf(p.object("consequence").number("time_s")) : null,
              sessions,
              p.text("note", ""));
      stretch.checkOn(road);
      return stretch;
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(
          p.pointer() + "/" + MEMBERS.getOrDefault(e.field(), e.field()), e);
    }
  }

  private static In session(JsonPlace each) {
    try {
      return Spelled.read(In.class, "sessions", each.node().asString(""));
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(each.pointer(), e);
    }
  }

  static ArrayNode write(List<LimitStretch> stretches) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (LimitStretch stretch : stretches) {
      ObjectNode node =
          list.addObject()
              .put("from_m", rounded(stretch.fromM()))
              .put("to_m", rounded(stretch.toM()))
              .put("side", Spelled.of(stretch.side()))
              .put("wheels", stretch.wheels());
      if (stretch.line() == Line.BEYOND) {
        node.putObject("line").put("beyond_m", stretch.beyondM());
      } else {
        node.put("line", Spelled.of(stretch.line()));
      }
      if (stretch.backBeforeM() != null) {
        node.put("backBefore_m", rounded(stretch.backBeforeM()));
      }
      if (stretch.consequence() == Consequence.TIME) {
        node.putObject("consequence").put("time_s", stretch.penaltyS());
      } else {
        node.put("consequence", Spelled.of(stretch.consequence()));
      }
      if (!stretch.sessions().isEmpty()) {
        ArrayNode sessions = node.putArray("sessions");
        stretch.sessions().forEach(in -> sessions.add(Spelled.of(in)));
      }
      if (!stretch.note().isEmpty()) {
        node.put("note", stretch.note());
      }
    }
    return list;
  }

  private static double rounded(double value) {
    return Math.round(value * 100) / 100.0;
  }
}
