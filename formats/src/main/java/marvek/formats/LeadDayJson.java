package marvek.formats;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Side;
import marvek.core.lead.LeadDay;
import marvek.core.lead.Member;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A led day as JSON; lists in their order, constants in small letters. */
public final class LeadDayJson {
  private LeadDayJson() {}

  /** Writes a day. */
  public static ObjectNode write(LeadDay day) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    ArrayNode drivers = node.putArray("drivers");
    for (Member m : day.drivers()) {
      ObjectNode d = drivers.addObject().put("key", m.key()).put("name", m.name());
      d.put("vehicle", m.vehicle()).put("fromLap", m.fromLap());
      d.put("goneFromLap", m.goneFromLap());
    }
    node.put("lapsEach", day.lapsEach()).put("laps", day.laps()).put("lap", day.lap());
    node.put("paceShare", day.paceShare());
    ArrayNode words = node.putArray("words");
    day.words().forEach(w -> words.addObject().put("text", w.text()).put("good", w.good()));
    ArrayNode cones = node.putArray("cones");
    for (LeadDay.Cone c : day.cones()) {
      ObjectNode cone = cones.addObject().put("corner", c.corner());
      cone.put("point", Spelled.of(c.point()))
          .put("what", Spelled.of(c.what()))
          .put("at_m", c.atM());
      cone.put("side", Spelled.of(c.side())).put("note", c.note());
    }
    ArrayNode brief = node.putArray("safetyBrief");
    day.safetyBrief().forEach(i -> brief.addObject().put("text", i.text()).put("done", i.done()));
    ArrayNode files = node.putArray("files");
    day.files().entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(
            e ->
                e.getValue().stream()
                    .sorted()
                    .forEach(
                        file ->
                            files
                                .addObject()
                                .put("driver", e.getKey())
                                .put("file", file.toString())));
    return node;
  }

  /**
   * Reads a day.
   *
   * @throws BadFileException with the pointer to what is wrong
   */
  public static LeadDay read(JsonNode node) {
    JsonPlace p = new JsonPlace(node, "");
    try {
      return new LeadDay(
          p.array("drivers").stream().map(LeadDayJson::member).toList(),
          p.integer("lapsEach"),
          p.integer("laps"),
          p.integer("lap"),
          p.number("paceShare"),
          p.array("words").stream()
              .map(w -> new LeadDay.Word(w.text("text"), w.bool("good", false)))
              .toList(),
          p.array("cones").stream().map(LeadDayJson::cone).toList(),
          p.array("safetyBrief").stream()
              .map(i -> new LeadDay.Item(i.text("text"), i.bool("done", false)))
              .toList(),
          files(p.has("files") ? p.array("files") : List.of()));
    } catch (InvalidValueException e) {
      throw p.error(e);
    }
  }

  private static Member member(JsonPlace d) {
    return new Member(
        d.text("key"),
        d.text("name"),
        d.text("vehicle", ""),
        d.has("fromLap") ? d.integer("fromLap") : 1,
        d.has("goneFromLap") ? d.integer("goneFromLap") : null);
  }

  private static LeadDay.Cone cone(JsonPlace c) {
    return new LeadDay.Cone(
        c.integer("corner"),
        c.oneOf("point", LeadDay.Point.class),
        c.oneOf("what", LeadDay.What.class, LeadDay.What.CONE),
        c.number("at_m"),
        c.oneOf("side", Side.class),
        c.text("note", ""));
  }

  private static Map<String, Set<UUID>> files(List<JsonPlace> entries) {
    Map<String, Set<UUID>> files = new HashMap<>();
    for (JsonPlace entry : entries) {
      UUID file;
      try {
        file = UUID.fromString(entry.text("file"));
      } catch (IllegalArgumentException e) {
        throw entry.error(Sentence.of("file.no-file-id"));
      }
      files.computeIfAbsent(entry.text("driver"), d -> new HashSet<>()).add(file);
    }
    return files;
  }
}
