package marvek.formats;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import marvek.core.review.StepState;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A whole book as one file. */
public final class BookJson {
  private static final Schema SCHEMA = PublishedSchema.BOOK.compiled();

  private BookJson() {}

  /**
   * The parts of a book's file, kept as they came so that an export gives them back unchanged.
   *
   * @param circuit circuit GeoJSON of the layout version that the newest revision is made for
   * @param earlierLayouts those of earlier revisions, oldest first; as a rule there are none
   * @param car car JSON
   * @param setupSheets of the car, oldest first
   * @param revisions in the order of their numbers, which run from 1
   * @param sessions in the order they were made
   * @param steps how far brake points are worked up to
   * @param debriefNotes remarks on laps and dismissed findings, each with its session's place
   * @param leadDays groups that were led, with what was said to whom, each with its session's place
   * @param learned how far the answers of the pages are learned
   */
  public record Parts(
      String name,
      JsonNode circuit,
      List<JsonNode> earlierLayouts,
      JsonNode car,
      List<JsonNode> setupSheets,
      List<ObjectNode> revisions,
      List<JsonNode> sessions,
      List<JsonNode> steps,
      List<JsonNode> debriefNotes,
      List<JsonNode> leadDays,
      List<JsonNode> learned) {}

  /** Puts the parts together. */
  public static ObjectNode write(Parts parts) {
    ObjectNode book = JsonFiles.MAPPER.createObjectNode();
    book.put("format", "marvek-book").put("version", 1).put("name", parts.name());
    book.set("circuit", parts.circuit());
    put(book, "earlierLayouts", parts.earlierLayouts());
    book.set("car", parts.car());
    put(book, "setupSheets", parts.setupSheets());
    ArrayNode revisions = book.putArray("revisions");
    parts.revisions().forEach(revisions::add);
    put(book, "sessions", parts.sessions());
    put(book, "steps", parts.steps());
    put(book, "debriefNotes", parts.debriefNotes());
    put(book, "leadDays", parts.leadDays());
    put(book, "learned", parts.learned());
    return book;
  }

  /** A member that is empty is left out. */
  private static void put(ObjectNode book, String member, List<JsonNode> entries) {
    if (!entries.isEmpty()) {
      ArrayNode array = book.putArray(member);
      entries.forEach(array::add);
    }
  }

  /**
   * Takes a parsed file apart and checks each of its parts.
   *
   * @throws BadFileException with the JSON pointer
   */
  public static Parts read(JsonNode tree) {
    JsonPlace top = JsonPlace.top(tree);
    checkSchema(top);
    within("/circuit", () -> CircuitGeoJson.read(tree.get("circuit")));
    List<JsonNode> earlier = new ArrayList<>();
    for (JsonNode layout : tree.path("earlierLayouts")) {
      within("/earlierLayouts/" + earlier.size(), () -> CircuitGeoJson.read(layout));
      checkLayoutVersion(tree.get("circuit"), layout, earlier);
      earlier.add(layout);
    }
    within("/car", () -> CarJson.read(tree.get("car")));
    List<JsonNode> sheets = new ArrayList<>();
    for (JsonNode sheet : tree.path("setupSheets")) {
      SetupSheetJson.read(sheet, "/setupSheets/" + sheets.size());
      sheets.add(sheet);
    }
    List<ObjectNode> revisions = new ArrayList<>();
    for (JsonPlace place : top.array("revisions")) {
      checkRevision(place, revisions.size() + 1);
      revisions.add((ObjectNode) place.node());
    }
    List<JsonNode> sessions = new ArrayList<>();
    for (JsonNode session : tree.path("sessions")) {
      String pointer = "/sessions/" + sessions.size();
      checkIssued(SessionJson.read(session, pointer).revision(), revisions.size(), pointer);
      sessions.add(session);
    }
    List<JsonNode> steps = new ArrayList<>();
    Set<String> begun = new HashSet<>();
    for (JsonNode step : tree.path("steps")) {
      String pointer = "/steps/" + steps.size();
      StepState state = StepStateJson.read(step, pointer);
      checkOnce(begun.add(state.corner() + " " + state.surface()), pointer);
      steps.add(step);
    }
    return new Parts(
        top.text("name"),
        tree.get("circuit"),
        earlier,
        tree.get("car"),
        sheets,
        revisions,
        sessions,
        steps,
        debriefNotes(tree, sessions.size()),
        leadDays(tree, sessions.size()),
        learned(tree));
  }

  private static void checkLayoutVersion(
      JsonNode circuit, JsonNode layout, List<JsonNode> earlier) {
    int version = versionOf(layout);
    boolean known = earlier.stream().anyMatch(e -> versionOf(e) == version);
    if (known || version >= versionOf(circuit)) {
      throw BadFileException.atPointer(
          "/earlierLayouts/" + earlier.size() + "/marvek/layoutVersion",
          Sentence.of("file.earlier-version", "version", version));
    }
  }

  private static int versionOf(JsonNode layout) {
    return layout.path("marvek").path("layoutVersion").asInt(1);
  }

  private static void checkOnce(boolean first, String pointer) {
    if (!first) {
      throw BadFileException.atPointer(pointer, Sentence.of("file.twice-in-list"));
    }
  }

  private static void checkIssued(Integer revision, int revisions, String pointer) {
    if (revision != null && (revision < 1 || revision > revisions)) {
      throw BadFileException.atPointer(
          pointer + "/revision", Sentence.of("file.no-revision-here", "revision", revision));
    }
  }

  private static void checkSchema(JsonPlace top) {
    SCHEMA.validate(top.node()).stream()
        .min(Comparator.comparing((Error m) -> m.getInstanceLocation().toString()))
        .ifPresent(
            message -> {
              throw BadFileException.atPointer(
                  message
                      .getInstanceLocation()
                      .toString()
                      .replaceFirst("^\\$", "")
                      .replaceAll("\\[(\\d+)\\]", "/$1")
                      .replace('.', '/'),
                  Sentence.of("file.schema", "why", message.getMessage()));
            });
  }

  private static void within(String pointer, Runnable reading) {
    try {
      reading.run();
    } catch (BadFileException e) {
      throw e.within(pointer);
    }
  }

  private static void checkRevision(JsonPlace place, int number) {
    if (place.integer("number") != number) {
      throw place.at("number").error(Sentence.of("file.revisions-order"));
    }
    if (place.has("parent") && !(place.integer("parent") < number && place.integer("parent") > 0)) {
      throw place.at("parent").error(Sentence.of("file.earlier-revision"));
    }
    if (place.moment("createdAt") == null) {
      throw place.at("createdAt").error(Sentence.of("file.moment-second"));
    }
    ConditionsJson.read(place.node().get("conditions"), place.at("conditions").pointer());
    OwnValuesJson.read(place.node().path("ownValues"), place.at("ownValues").pointer());
    SetupSheetJson.read(place.node().path("setup"), place.at("setup").pointer());
  }

  private static List<JsonNode> debriefNotes(JsonNode tree, int sessions) {
    List<JsonNode> notes = new ArrayList<>();
    for (JsonNode note : tree.path("debriefNotes")) {
      JsonPlace place = new JsonPlace(note, "/debriefNotes/" + notes.size());
      checkSession(place, sessions);
      place.text("kind");
      notes.add(note);
    }
    return notes;
  }

  private static List<JsonNode> learned(JsonNode tree) {
    List<JsonNode> answers = new ArrayList<>();
    Set<String> questions = new HashSet<>();
    for (JsonNode answer : tree.path("learned")) {
      checkOnce(questions.add(answer.path("question").asString()), "/learned/" + answers.size());
      answers.add(answer);
    }
    return answers;
  }

  private static List<JsonNode> leadDays(JsonNode tree, int sessions) {
    List<JsonNode> days = new ArrayList<>();
    Set<Integer> led = new HashSet<>();
    for (JsonNode day : tree.path("leadDays")) {
      String pointer = "/leadDays/" + days.size();
      checkOnce(led.add(day.path("session").asInt(0)), pointer);
      checkSession(new JsonPlace(day, pointer), sessions);
      within(pointer + "/day", () -> LeadDayJson.read(day.path("day")));
      days.add(day);
    }
    return days;
  }

  private static void checkSession(JsonPlace place, int sessions) {
    int session = place.integer("session");
    if (session < 0 || session >= sessions) {
      throw place.at("session").error(Sentence.of("file.no-session-here", "session", session));
    }
  }
}
