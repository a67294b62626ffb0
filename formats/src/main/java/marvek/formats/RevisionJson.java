package marvek.formats;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import marvek.core.car.SetupSheet;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.School;
import marvek.core.mark.By;
import marvek.core.mark.MarkReference;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerPage.Source;
import marvek.core.page.Driven;
import marvek.core.page.Lean;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.PedalWork;
import marvek.core.page.PhaseLimits;
import marvek.core.page.Stakes;
import marvek.core.profile.Limiting;
import marvek.core.reference.Reference;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a revision of a book: its conditions, its lap and the page of each corner. */
public final class RevisionJson {
  private RevisionJson() {}

  /** What is known of a revision besides the reference itself. */
  public record Header(
      int number,
      Integer parent,
      Instant createdAt,
      String reason,
      Conditions conditions,
      ChosenLine line,
      List<OwnValues> own,
      SetupSheet setup,
      int layoutVersion) {}

  /** The revision as the book format has it, without stakes. */
  public static ObjectNode write(Header header, Reference reference) {
    return write(header, reference, List.of());
  }

  /**
   * The revision as the book format has it.
   *
   * @param stakes one for each page, or none at all
   */
  public static ObjectNode write(Header header, Reference reference, List<Stakes> stakes) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("number", header.number());
    if (header.parent() == null) {
      node.putNull("parent");
    } else {
      node.put("parent", header.parent());
    }
    node.put("createdAt", header.createdAt().toString());
    node.put("reason", header.reason());
    node.put("layoutVersion", header.layoutVersion());
    node.set("conditions", ConditionsJson.write(header.conditions()));
    LineJson.write(node, header.line());
    if (header.setup() != null) {
      node.set("setup", SetupSheetJson.write(header.setup()));
    }
    ObjectNode lap = node.putObject("lap");
    lap.put("time_s", rounded(reference.lap().timeS(), 4));
    lap.put("topSpeed_mps", rounded(reference.lap().topSpeedMps(), 3));
    lap.put("curvatureSquared_perM", rounded(reference.path().curvatureSquaredPerM(), 8));
    lap.put("modelTime_s", rounded(reference.modelLap().timeS(), 4));
    node.set("ownValues", OwnValuesJson.write(header.own()));
    Map<Integer, School> schools = Reference.schoolsOf(header.own());
    ArrayNode pages = node.putArray("pages");
    for (int i = 0; i < reference.pages().size(); i++) {
      ObjectNode page = page(reference.pages().get(i), i < stakes.size() ? stakes.get(i) : null);
      School line = schools.get(reference.pages().get(i).corner());
      if (line != null) {
        page.put("line", Spelled.of(line));
      }
      driven(page.putObject("driven"), reference.driven().get(i));
      Lean.deg(reference.lap(), reference.pages().get(i))
          .ifPresent(lean -> page.put("lean_deg", rounded(lean, 1)));
      PhaseLimits.of(reference.lap(), reference.pages().get(i))
          .ifPresent(limits -> limiting(page.putObject("limiting"), limits));
      pages.add(page);
    }
    return node;
  }

  private static ObjectNode page(CornerPage p, Stakes stakes) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("corner", p.corner()).put("name", p.name());
    node.put("direction", Spelled.of(p.direction()));
    node.put("from_m", metres(p.fromM())).put("to_m", metres(p.toM()));
    node.putObject("approach")
        .put("offset_m", metres(p.approach().offsetM()))
        .put("speed_mps", speed(p.approach().speedMps()));
    brake(node.putObject("brake"), p.brake());
    node.put("feet", Spelled.of(p.feet()));
    GearsJson.write(node.putObject("gears"), p.gears());
    ObjectNode turnIn = node.putObject("turnIn");
    turnIn.put("at_m", metres(p.turnIn().atM())).put("speed_mps", speed(p.turnIn().speedMps()));
    mark(turnIn, "target", p.turnIn().target());
    choices(turnIn, p.turnIn().choices());
    if (p.trailBrake() != null) {
      node.putObject("trailBrake")
          .put("atTurnIn_pct", rounded(p.trailBrake().atTurnInPct(), 1))
          .put("half_pct", rounded(p.trailBrake().halfPct(), 1))
          .put("nearApex_pct", rounded(p.trailBrake().nearApexPct(), 1))
          .put("release_m", metres(p.trailBrake().releaseM()));
    }
    apexes(node.putArray("apexes"), p.apexes());
    node.putObject("kerbs")
        .put("entry", Spelled.of(p.kerbs().entry()))
        .put("apex", Spelled.of(p.kerbs().apex()))
        .put("exit", Spelled.of(p.kerbs().exit()));
    limits(node.putObject("limits"), p.limits());
    throttle(node.putObject("throttle"), p.throttle());
    node.set("presses", PedalWorkJson.write(new PedalWork.Presses(p.pedals().presses())));
    node.set("phases", PedalWorkJson.write(new PedalWork.Phases(p.pedals().phases())));
    lift(node, p);
    node.putObject("exit")
        .put("trackOut_m", metres(p.exit().trackOutM()))
        .put("offset_m", metres(p.exit().offsetM()))
        .put("speed_mps", speed(p.exit().speedMps()));
    ownPoints(node, p);
    AnnotationsJson.write(node, p);
    node.put("time_s", rounded(p.timeS(), 3));
    node.putObject("lowest")
        .put("at_m", metres(p.lowestSpeedAtM()))
        .put("speed_mps", speed(p.lowestSpeedMps()));
    if (stakes != null) {
      stakes(node.putObject("stakes"), stakes);
    }
    sources(node.putObject("sources"), p);
    if (p.confidence() != null) {
      node.put("confidence", p.confidence());
    }
    node.put("notes", p.notes()).put("wayOut", p.wayOut());
    return node;
  }

  private static void lift(ObjectNode node, CornerPage p) {
    if (p.lift() != null) {
      ObjectNode lift = node.putObject("lift");
      lift.put("at_m", metres(p.lift().atM())).put("to_pct", rounded(p.lift().toPct(), 1));
      place(lift, "back_m", p.lift().backM());
      mark(lift, "target", p.lift().target());
      choices(lift, p.lift().choices());
    }
  }

  private static void ownPoints(ObjectNode node, CornerPage p) {
    for (PageField field : PageField.typed()) {
      CornerPage.OwnPoint point = p.points().get(field);
      if (point != null) {
        ObjectNode written = node.putObject(field.group()).put("at_m", metres(point.atM()));
        mark(written, "target", point.target());
        choices(written, point.choices());
      }
    }
  }

  private static void limiting(ObjectNode node, PhaseLimits limits) {
    put(node, "braking", limits.braking());
    put(node, "entry", limits.entry());
    put(node, "exit", limits.exit());
  }

  private static void put(ObjectNode node, String name, @Nullable Limiting limiting) {
    if (limiting != null) {
      node.put(name, Spelled.of(limiting));
    }
  }

  private static void driven(ObjectNode node, Driven d) {
    node.put("made", d.made()).put("gripNeeded", rounded(d.gripNeeded(), 3));
    node.put("gripAt_m", metres(d.gripAtM())).put("wide_m", metres(d.wideM()));
    place(node, "wideAt_m", d.wideAtM());
    node.put("beyond_m", metres(d.beyondM()));
    place(node, "beyondAt_m", d.beyondAtM());
    node.put("locked_m", metres(d.lockedM()));
    place(node, "lockedAt_m", d.lockedAtM());
    node.put("spun_m", metres(d.spunM()));
    place(node, "spunAt_m", d.spunAtM());
    place(node, "brakeFound_m", d.brakeFoundM());
    if (d.pressFactor() != null) {
      node.put("pressFactor", rounded(d.pressFactor(), 3));
    }
  }

  private static void place(ObjectNode node, String name, Double station) {
    if (station != null) {
      node.put(name, metres(station));
    }
  }

  private static void stakes(ObjectNode node, Stakes s) {
    seconds(node, "brake5mEarly_s", s.brake5mEarlyS());
    seconds(node, "apex2kmhSlower_s", s.apex2kmhSlowerS());
    seconds(node, "throttle10mLate_s", s.throttle10mLateS());
    seconds(node, "apexHalfMetreOff_s", s.apexHalfMetreOffS());
    seconds(node, "exit1kmhSlower_s", s.exit1kmhSlowerS());
    seconds(node, "lift5mEarly_s", s.lift5mEarlyS());
    seconds(node, "lift10pctDeeper_s", s.lift10PctDeeperS());
  }

  private static void seconds(ObjectNode node, String name, Double value) {
    if (value != null) {
      node.put(name, rounded(value, 4));
    }
  }

  private static void brake(ObjectNode node, CornerPage.Brake brake) {
    if (brake.atM() != null) {
      node.put("at_m", metres(brake.atM()));
    }
    if (brake.initialPct() != null) {
      node.put("initial_pct", rounded(brake.initialPct(), 1));
    }
    node.put("style", Spelled.of(brake.style()));
    mark(node, "target", brake.target());
    mark(node, "safe", brake.safe());
    choices(node, brake.choices());
  }

  /** A point told by its mark, as the pages write it. */
  public static ObjectNode mark(MarkReference mark) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    write(node, mark);
    return node;
  }

  /** Several of them. */
  public static ArrayNode marks(List<MarkReference> marks) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    marks.forEach(mark -> write(list.addObject(), mark));
    return list;
  }

  private static void mark(ObjectNode node, String name, MarkReference mark) {
    if (mark != null) {
      write(node.putObject(name), mark);
    }
  }

  private static void choices(ObjectNode node, List<MarkReference> choices) {
    if (!choices.isEmpty()) {
      ArrayNode list = node.putArray("choices");
      choices.forEach(choice -> write(list.addObject(), choice));
    }
  }

  private static void write(ObjectNode node, MarkReference mark) {
    node.put("mark", mark.mark());
    if (mark.type() != null) {
      node.put("type", Spelled.of(mark.type()));
    }
    node.put("side", Spelled.of(mark.side()))
        .put("offset_m", rounded(mark.offsetM(), 1))
        .put("thing", mark.thing())
        .put("near", mark.near())
        .put("text", mark.text());
    if (mark.by() != By.BESIDE) {
      node.put("by", Spelled.of(mark.by()));
    }
    if (mark.weak()) {
      node.put("weak", true);
    }
    if (mark.own() != null) {
      node.put("own", mark.own());
    }
    if (!mark.cautions().isEmpty()) {
      ArrayNode cautions = node.putArray("cautions");
      mark.cautions().forEach(caution -> cautions.add(caution.words()));
      ArrayNode said = node.putArray("cautionsSaid");
      mark.cautions().forEach(caution -> said.add(SentenceJson.write(caution)));
    }
  }

  private static void limits(ObjectNode node, CornerPage.Limits limits) {
    node.put("rule", Spelled.of(limits.rule()));
    edge(node.putObject("entry"), limits.entry());
    edge(node.putObject("apex"), limits.apex());
    edge(node.putObject("exit"), limits.exit());
    if (!limits.notices().isEmpty()) {
      node.set("notices", LimitStretchJson.write(limits.notices()));
    }
  }

  private static void edge(ObjectNode node, CornerPage.Edge edge) {
    if (edge.allowedM() != null) {
      node.put("allowed_m", metres(edge.allowedM()));
    }
    if (edge.kerb() != null) {
      Kerb kerb = edge.kerb();
      node.put("kerb", Spelled.of(kerb.profile()));
      node.put("kerbHeight_mm", kerb.heightMm()).put("kerbWidth_m", kerb.widthM());
      node.put("use", Spelled.of(kerb.use()));
      node.put("useWet", Spelled.of(kerb.useWet()));
    }
  }

  private static void apexes(ArrayNode list, List<CornerPage.Apex> apexes) {
    for (CornerPage.Apex apex : apexes) {
      list.addObject()
          .put("at_m", metres(apex.atM()))
          .put("offset_m", metres(apex.offsetM()))
          .put("kind", Spelled.of(apex.kind()))
          .put("speed_mps", speed(apex.speedMps()));
    }
  }

  private static void throttle(ObjectNode node, CornerPage.Throttle throttle) {
    if (throttle.firstM() != null) {
      node.put("first_m", metres(throttle.firstM()));
      node.put("first_pct", rounded(throttle.firstPct(), 1));
    }
    if (throttle.fullM() != null) {
      node.put("full_m", metres(throttle.fullM()));
    }
  }

  /** Every number of the page that somebody can own, with where it comes from. */
  private static void sources(ObjectNode node, CornerPage p) {
    for (PageField field : PageField.values()) {
      if (field.hasSource()) {
        source(node, p, field.path(), field.isOn(p));
      }
    }
    source(node, p, "brake.target", p.brake().target() != null);
    source(node, p, "turnIn.target", p.turnIn().target() != null);
    p.points().keySet().stream()
        .map(field -> field.group() + ".target")
        .forEach(target -> source(node, p, target, p.sources().containsKey(target)));
  }

  private static void source(ObjectNode node, CornerPage page, String field, boolean there) {
    if (there) {
      Source source = page.sources().getOrDefault(field, Source.MODEL);
      node.put(field, Spelled.of(source));
    }
  }

  private static double metres(double value) {
    return rounded(value, 2);
  }

  private static double speed(double value) {
    return rounded(value, 3);
  }

  private static double rounded(double value, int decimals) {
    double scale = Math.pow(10, decimals);
    return Math.round(value * scale) / scale;
  }
}
