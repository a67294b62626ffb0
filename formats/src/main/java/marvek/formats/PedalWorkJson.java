package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import marvek.core.page.Knot;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Presses of the brake and phases of the throttle, on pages and as own values. */
final class PedalWorkJson {
  private static final Set<String> OF_PRESS = PublishedSchema.BOOK.membersOf("press");
  private static final Set<String> OF_KNOT = PublishedSchema.BOOK.membersOf("knot");
  private static final Set<String> OF_PHASE = PublishedSchema.BOOK.membersOf("phase");

  private PedalWorkJson() {}

  /** Presses under a name; null where there is none. */
  static PedalWork.Presses presses(JsonPlace p, String name) {
    if (!p.has(name)) {
      return null;
    }
    List<Press> presses = new ArrayList<>();
    for (JsonPlace entry : p.array(name)) {
      entry.onlyKnown(OF_PRESS);
      List<Knot> knots = new ArrayList<>();
      if (entry.has("knots")) {
        for (JsonPlace knot : entry.array("knots")) {
          knot.onlyKnown(OF_KNOT);
          knots.add(new Knot(knot.number("at_m"), knot.number("pct")));
        }
      }
      presses.add(
          new Press(entry.number("on_m"), entry.number("peak_pct"), knots, entry.number("off_m")));
    }
    return new PedalWork.Presses(presses);
  }

  /** Phases under a name; null where there is none. */
  static PedalWork.Phases phases(JsonPlace p, String name) {
    if (!p.has(name)) {
      return null;
    }
    List<Phase> phases = new ArrayList<>();
    for (JsonPlace entry : p.array(name)) {
      entry.onlyKnown(OF_PHASE);
      phases.add(
          new Phase(
              entry.oneOf("kind", Phase.Kind.class),
              entry.number("at_m"),
              entry.number("to_pct"),
              entry.optionalNumber("until_m")));
    }
    return new PedalWork.Phases(phases);
  }

  static ArrayNode write(PedalWork.Presses presses) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (Press press : presses.list()) {
      ObjectNode node =
          list.addObject().put("on_m", metres(press.onM())).put("peak_pct", tenth(press.peakPct()));
      ArrayNode knots = node.putArray("knots");
      for (Knot knot : press.knots()) {
        knots.addObject().put("at_m", metres(knot.atM())).put("pct", tenth(knot.pct()));
      }
      node.put("off_m", metres(press.offM()));
    }
    return list;
  }

  static ArrayNode write(PedalWork.Phases phases) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (Phase phase : phases.list()) {
      ObjectNode node =
          list.addObject()
              .put("kind", Spelled.of(phase.kind()))
              .put("at_m", metres(phase.atM()))
              .put("to_pct", tenth(phase.toPct()));
      if (phase.untilM() != null) {
        node.put("until_m", metres(phase.untilM()));
      }
    }
    return list;
  }

  private static double metres(double value) {
    return Math.round(value * 100) / 100.0;
  }

  private static double tenth(double value) {
    return Math.round(value * 10) / 10.0;
  }
}
