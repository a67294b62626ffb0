package marvek.formats;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.mark.By;
import marvek.core.page.Annotations;
import marvek.core.page.CornerPage;
import marvek.core.page.DayKind;
import marvek.core.page.Gate;
import marvek.core.page.GateOnLap;
import marvek.core.page.Gates;
import marvek.core.page.PageField;
import marvek.core.page.PagePoint;
import marvek.core.page.PointNote;
import marvek.core.page.PointNotes;
import marvek.core.page.ToldPoint;
import marvek.core.page.ToldPoints;
import marvek.core.page.Variants;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a driver adds to the points of a page, on pages and as own values. */
final class AnnotationsJson {
  private static final Set<String> OF_TOLD = PublishedSchema.BOOK.membersOf("told");
  private static final Set<String> OF_GATE = PublishedSchema.BOOK.membersOf("gate");
  private static final Set<String> OF_NOTE = PublishedSchema.BOOK.membersOf("pointNote");
  private static final Set<String> OF_VARIANTS = PublishedSchema.BOOK.membersOf("variants");

  private AnnotationsJson() {}

  /** How points are told, under a name; null where there is none. */
  static ToldPoints told(JsonPlace p, String name) {
    if (!p.has(name)) {
      return null;
    }
    List<ToldPoint> told = new ArrayList<>();
    for (JsonPlace entry : p.array(name)) {
      entry.onlyKnown(OF_TOLD);
      told.add(
          new ToldPoint(
              entry.oneOf("point", PagePoint.class),
              entry.oneOf("by", By.class, By.BESIDE),
              entry.text("mark", null),
              entry.text("words", null),
              entry.text("phrase", null)));
    }
    return new ToldPoints(told);
  }

  static Gates gates(JsonPlace p, String name) {
    if (!p.has(name)) {
      return null;
    }
    List<Gate> gates = new ArrayList<>();
    for (JsonPlace entry : p.array(name)) {
      entry.onlyKnown(OF_GATE);
      gates.add(
          new Gate(
              entry.number("at_m"),
              entry.oneOf("kind", Gate.Kind.class),
              entry.optionalNumber("offset_m"),
              entry.text("words", null)));
    }
    return new Gates(gates);
  }

  static PointNotes notes(JsonPlace p, String name) {
    if (!p.has(name)) {
      return null;
    }
    List<PointNote> notes = new ArrayList<>();
    for (JsonPlace entry : p.array(name)) {
      entry.onlyKnown(OF_NOTE);
      notes.add(
          new PointNote(
              entry.oneOf("point", PagePoint.class),
              entry.oneOf("kind", PointNote.Kind.class),
              entry.integer("severity"),
              entry.text("text")));
    }
    return new PointNotes(notes);
  }

  static Variants variants(JsonPlace p, String name) {
    if (!p.has(name)) {
      return null;
    }
    JsonPlace days = p.object(name);
    days.onlyKnown(OF_VARIANTS);
    Map<DayKind, Map<PageField, Object>> variants = new EnumMap<>(DayKind.class);
    for (DayKind day : DayKind.values()) {
      if (days.has(Spelled.of(day))) {
        variants.put(day, values(days.object(Spelled.of(day))));
      }
    }
    return new Variants(variants);
  }

  private static Map<PageField, Object> values(JsonPlace day) {
    day.onlyKnown(PublishedSchema.BOOK.membersOf("variant"));
    Map<PageField, Object> values = new EnumMap<>(PageField.class);
    for (PageField field : Variants.FIELDS) {
      Object value = OwnValuesJson.value(day, field);
      if (value != null) {
        values.put(field, value);
      }
    }
    return values;
  }

  static ArrayNode write(ToldPoints told) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    told.list().forEach(each -> put(list.addObject(), each));
    return list;
  }

  private static ObjectNode put(ObjectNode node, ToldPoint told) {
    node.put("point", Spelled.of(told.point())).put("by", Spelled.of(told.by()));
    text(node, "mark", told.mark());
    text(node, "words", told.words());
    text(node, "phrase", told.phrase());
    return node;
  }

  static ArrayNode write(Gates gates) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    gates.list().forEach(gate -> put(list.addObject(), gate));
    return list;
  }

  private static ObjectNode put(ObjectNode node, Gate gate) {
    node.put("at_m", rounded(gate.atM())).put("kind", Spelled.of(gate.kind()));
    if (gate.offsetM() != null) {
      node.put("offset_m", rounded(gate.offsetM()));
    }
    text(node, "words", gate.words());
    return node;
  }

  static ArrayNode write(PointNotes notes) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (PointNote note : notes.list()) {
      list.addObject()
          .put("point", Spelled.of(note.point()))
          .put("kind", Spelled.of(note.kind()))
          .put("severity", note.severity())
          .put("text", note.text());
    }
    return list;
  }

  static ObjectNode write(Variants variants) {
    ObjectNode days = JsonFiles.MAPPER.createObjectNode();
    variants
        .days()
        .forEach(
            (day, values) -> {
              ObjectNode node = days.putObject(Spelled.of(day));
              values.forEach((field, value) -> OwnValuesJson.put(node, field.path(), value));
            });
    return days;
  }

  /** On a page: each with what became of it there; left out where there is nothing. */
  static void write(ObjectNode page, CornerPage p) {
    Annotations of = p.annotations();
    if (!of.told().isEmpty()) {
      ArrayNode told = page.putArray("at");
      of.told().forEach(each -> told(told.addObject(), each));
    }
    if (!of.gates().isEmpty()) {
      ArrayNode gates = page.putArray("gates");
      of.gates().forEach(gate -> onLap(gates.addObject(), gate));
    }
    if (!of.notes().list().isEmpty()) {
      page.set("pointNotes", write(new PointNotes(of.notes().byWeight())));
    }
    if (!of.variants().days().isEmpty()) {
      page.set("variants", write(of.variants()));
    }
    if (!of.bolder().days().isEmpty()) {
      page.set("variantsBolder", write(of.bolder()));
    }
  }

  private static void told(ObjectNode node, Annotations.Told each) {
    put(node, each.as());
    if (each.atM() != null) {
      node.put("at_m", rounded(each.atM()));
    }
    if (each.target() != null) {
      node.set("target", RevisionJson.mark(each.target()));
    }
  }

  private static void onLap(ObjectNode node, GateOnLap gate) {
    put(node, gate.gate())
        .put("place", gate.words())
        .put("lap_m", rounded(gate.lapOffsetM()))
        .put("across_g", rounded(gate.acrossG()))
        .put("kept", gate.kept());
  }

  private static void text(ObjectNode node, String name, String value) {
    if (value != null && !value.isBlank()) {
      node.put(name, value);
    }
  }

  private static double rounded(double value) {
    return Math.round(value * 100) / 100.0;
  }
}
