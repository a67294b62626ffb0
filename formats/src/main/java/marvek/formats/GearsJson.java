package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import marvek.core.page.CornerPage;
import marvek.core.page.GearChange;
import marvek.core.page.GearChanges;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Gears of a corner and their changes, on pages and as own values. */
final class GearsJson {
  private static final Set<String> OF_CHANGE = PublishedSchema.BOOK.membersOf("gearChange");

  private GearsJson() {}

  /** Changes under a name; null where there is none. */
  static GearChanges changes(JsonPlace p, String name) {
    if (!p.has(name)) {
      return null;
    }
    List<GearChange> changes = new ArrayList<>();
    for (JsonPlace entry : p.array(name)) {
      entry.onlyKnown(OF_CHANGE);
      changes.add(
          new GearChange(
              entry.number("at_m"),
              entry.integer("to"),
              entry.oneOf("kind", GearChange.Kind.class, null)));
    }
    return new GearChanges(changes);
  }

  static ArrayNode write(GearChanges changes) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (GearChange change : changes.list()) {
      ObjectNode node =
          list.addObject()
              .put("at_m", Math.round(change.atM() * 100) / 100.0)
              .put("to", change.to());
      if (change.kind() != null) {
        node.put("kind", Spelled.of(change.kind()));
      }
    }
    return list;
  }

  static void write(ObjectNode node, CornerPage.Gears gears) {
    node.put("approach", gears.approach())
        .put("in", gears.in())
        .put("corner", gears.corner())
        .put("out", gears.out());
    ArrayNode downshifts = node.putArray("downshifts_m");
    gears.downshiftsM().forEach(at -> downshifts.add(Math.round(at * 100) / 100.0));
    node.set("changes", write(new GearChanges(gears.changes())));
  }
}
