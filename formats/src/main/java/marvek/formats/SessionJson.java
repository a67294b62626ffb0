package marvek.formats;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import marvek.core.InvalidValueException;
import marvek.core.brief.Preparation.Choice;
import marvek.core.brief.Preparation.Decision;
import marvek.core.brief.Purpose;
import marvek.core.brief.Session;
import marvek.core.brief.Session.ForecastHour;
import marvek.core.brief.Session.OpenPoint;
import marvek.core.brief.TyreSet;
import marvek.core.conditions.Conditions;
import marvek.core.page.PageField;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A session as a JSON object, as books hold it and the interface sends it. */
public final class SessionJson {
  private SessionJson() {}

  /**
   * Reads a session.
   *
   * @throws BadFileException with the pointer below {@code pointer}
   */
  public static SessionFile read(JsonNode node, String pointer) {
    JsonPlace p = new JsonPlace(node, pointer);
    if (node == null || !node.isObject()) {
      throw p.error(Sentence.of("file.object"));
    }
    LocalDateTime startsAt = hour(p, "startsAt");
    Conditions conditions =
        ConditionsJson.read(node.path("conditions"), pointer + "/conditions").at(startsAt);
    try {
      Session session =
          new Session(
              p.text("event"),
              p.oneOf("kind", Session.Kind.class, null),
              p.integer("length_min"),
              p.bool("laterHour", false),
              p.oneOf("purpose", Purpose.class, Purpose.PRACTICE),
              tyres(p.object("tyres")),
              conditions,
              list(p, "forecast", SessionJson::forecast),
              SetupSheetJson.read(node.path("setup"), pointer + "/setup"),
              list(p, "openPoints", o -> new OpenPoint(o.integer("corner"), o.text("words"))),
              p.has("result") ? result(p.object("result")) : null);
      Integer revision = p.has("revision") ? p.integer("revision") : null;
      return new SessionFile(session, decisions(node.path("decisions"), pointer), revision);
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(pointer + "/" + e.field().replace('.', '/'), e);
    }
  }

  /** Reads a list of decisions; a missing node gives an empty one. */
  public static List<Decision> decisions(JsonNode node, String pointer) {
    List<Decision> decisions = new ArrayList<>();
    if (node == null || node.isMissingNode()) {
      return decisions;
    }
    JsonPlace list = new JsonPlace(node, pointer + "/decisions");
    if (!node.isArray()) {
      throw list.error(Sentence.of("file.decisions-expected"));
    }
    for (JsonPlace d : list.elements()) {
      decisions.add(
          new Decision(
              d.integer("corner"),
              PageField.ofSession(d.text("field")),
              d.oneOf("choice", Choice.class, Choice.ACCEPT),
              d.optionalNumber("value")));
    }
    return decisions;
  }

  private static <T> List<T> list(JsonPlace p, String name, Function<JsonPlace, T> entry) {
    return p.has(name) ? p.array(name).stream().map(entry).toList() : List.of();
  }

  private static LocalDateTime hour(JsonPlace p, String name) {
    LocalDateTime hour = p.dayAndHour(name);
    if (hour == null) {
      throw p.at(name).error(Sentence.of("file.day-and-hour"));
    }
    return hour;
  }

  private static TyreSet tyres(JsonPlace p) {
    return new TyreSet(
        p.text("name"), p.integer("laps"), p.integer("goodLaps"), p.day("inUseSince"));
  }

  private static ForecastHour forecast(JsonPlace p) {
    return new ForecastHour(
        hour(p, "at"),
        p.oneOf("surface", Conditions.Surface.class, Conditions.Surface.DRY),
        p.number("airTemperature_c"),
        p.number("trackTemperature_c"),
        p.number("windSpeed_mps"),
        p.number("windFrom_deg"),
        p.number("rain_pct"));
  }

  private static Session.Result result(JsonPlace p) {
    return new Session.Result(
        p.integer("laps"), p.optionalNumber("bestLap_s"), p.text("learned", ""));
  }

  /** Writes a session in a fixed order; what does not apply is absent. */
  public static ObjectNode write(SessionFile file) {
    Session s = file.session();
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("event", s.event());
    node.put("kind", Spelled.of(s.kind()));
    node.put("startsAt", s.startsAt().toString());
    if (s.laterHour()) {
      node.put("laterHour", true);
    }
    node.put("length_min", s.lengthMin());
    node.put("purpose", Spelled.of(s.purpose()));
    node.set("tyres", tyres(s.tyres()));
    node.set("conditions", ConditionsJson.write(s.conditions()));
    if (!s.forecast().isEmpty()) {
      node.set("forecast", forecast(s.forecast()));
    }
    if (s.setup() != null) {
      node.set("setup", SetupSheetJson.write(s.setup()));
    }
    if (!s.openPoints().isEmpty()) {
      ArrayNode points = node.putArray("openPoints");
      s.openPoints()
          .forEach(o -> points.addObject().put("corner", o.corner()).put("words", o.words()));
    }
    if (s.result() != null) {
      node.set("result", result(s.result()));
    }
    if (!file.decisions().isEmpty()) {
      node.set("decisions", decisions(file.decisions()));
    }
    if (file.revision() != null) {
      node.put("revision", file.revision());
    }
    return node;
  }

  private static ObjectNode tyres(TyreSet t) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("name", t.name()).put("laps", t.laps()).put("goodLaps", t.goodLaps());
    return t.inUseSince() == null ? node : node.put("inUseSince", t.inUseSince().toString());
  }

  /** Writes the hours of a forecast. */
  public static ArrayNode forecast(List<ForecastHour> hours) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (ForecastHour h : hours) {
      list.addObject()
          .put("at", h.at().toString())
          .put("surface", Spelled.of(h.surface()))
          .put("airTemperature_c", h.airTemperatureC())
          .put("trackTemperature_c", h.trackTemperatureC())
          .put("windSpeed_mps", h.windSpeedMps())
          .put("windFrom_deg", h.windFromDeg())
          .put("rain_pct", h.rainPct());
    }
    return list;
  }

  private static ObjectNode result(Session.Result r) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode().put("laps", r.laps());
    if (r.bestLapS() != null) {
      node.put("bestLap_s", r.bestLapS());
    }
    return r.learned().isEmpty() ? node : node.put("learned", r.learned());
  }

  private static ArrayNode decisions(List<Decision> decisions) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (Decision d : decisions) {
      ObjectNode node =
          list.addObject()
              .put("corner", d.corner())
              .put("field", d.field().path())
              .put("choice", Spelled.of(d.choice()));
      if (d.value() != null) {
        node.put("value", d.value());
      }
    }
    return list;
  }
}
