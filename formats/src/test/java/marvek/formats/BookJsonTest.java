package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.Instant;
import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.OwnValues;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class BookJsonTest {
  private static ObjectNode revision;

  @BeforeAll
  static void compute() {
    Circuit circuit = CircuitGeoJson.read(DemoFiles.circuit()).value();
    Vehicle car = CarJson.read(DemoFiles.car()).value();
    List<OwnValues> own =
        List.of(OwnValues.in(1).brakeAtM(300.0).confidence(3).notes("ridges").build());
    Reference.Basis basis = Reference.basis(circuit, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
    Reference reference = Reference.on(basis, Conditions.DEFAULT, own);
    revision =
        RevisionJson.write(
            new RevisionJson.Header(
                1,
                null,
                Instant.parse("2026-05-01T09:00:00Z"),
                "first",
                Conditions.DEFAULT,
                ChosenLine.SMOOTH,
                own,
                null,
                3),
            reference);
  }

  private static ObjectNode book() {
    return BookJson.write(
        new BookJson.Parts(
            "Demo",
            DemoFiles.circuit(),
            List.of(),
            DemoFiles.car(),
            List.of(),
            List.of(revision.deepCopy()),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of()));
  }

  @Test
  void aLedDayThatCannotBeIsRefusedWithItsPlace() {
    ObjectNode tree = book();
    ObjectNode entry = tree.putArray("leadDays").addObject().put("session", 0);
    entry.putArray("remarks");
    ObjectNode day = LeadDayJson.write(marvek.core.lead.LeadDay.fresh());
    entry.set("day", day);
    assertThat(refused(tree).getMessage()).contains("/leadDays/0/session").contains("no session");
    day.put("paceShare", 7);
    entry.put("session", 0);
    tree.putArray("sessions");
    assertThat(refused(tree).getMessage()).contains("/leadDays/0");
  }

  @Test
  void aLedDayReadsAsItWasWritten() {
    ObjectNode day = LeadDayJson.write(marvek.core.lead.LeadDay.fresh());
    day.withArray("drivers").addObject().put("key", "a").put("name", "A").put("goneFromLap", 3);
    day.withArray("cones")
        .addObject()
        .put("corner", 1)
        .put("point", "turn-in")
        .put("at_m", 120.5)
        .put("side", "left");
    ObjectNode once = LeadDayJson.write(LeadDayJson.read(day));
    assertThat(LeadDayJson.write(LeadDayJson.read(once))).isEqualTo(once);
    assertThat(once.at("/drivers/0/goneFromLap").asInt(0)).isEqualTo(3);
    assertThat(once.at("/cones/0/what").asString()).isEqualTo("cone");
    ObjectNode twice = (ObjectNode) day.deepCopy();
    twice.withArray("cones").add(twice.at("/cones/0").deepCopy());
    assertThat(catchThrowableOfType(BadFileException.class, () -> LeadDayJson.read(twice)))
        .hasMessageContaining("TURN_IN of corner 1 twice");
    ((ObjectNode) day.at("/cones/0")).put("point", "exit");
    assertThat(catchThrowableOfType(BadFileException.class, () -> LeadDayJson.read(day)))
        .hasMessageContaining("/cones/0/point");
  }

  @Test
  void aNoteOfASessionThatIsNotThereIsRefused() {
    ObjectNode tree = book();
    tree.putArray("debriefNotes").addObject().put("session", 2).put("kind", "remark");
    assertThat(refused(tree).getMessage())
        .contains("/debriefNotes/0/session")
        .contains("no session");
  }

  private static BadFileException refused(JsonNode tree) {
    return catchThrowableOfType(BadFileException.class, () -> BookJson.read(tree));
  }

  @Test
  void writtenAgainItIsTheSameByteForByte() {
    byte[] first = JsonFiles.writeFile(book());
    byte[] second = JsonFiles.writeFile(BookJson.write(BookJson.read(JsonFiles.parse(first))));
    assertThat(second).isEqualTo(first);
  }

  /** The shape of formats section 5: members that the file format promises. */
  @Test
  void aPageHasTheMembersOfTheFormat() {
    JsonNode page = revision.path("pages").get(0);
    for (String pointer :
        List.of(
            "/corner",
            "/name",
            "/direction",
            "/from_m",
            "/to_m",
            "/approach/offset_m",
            "/approach/speed_mps",
            "/brake/at_m",
            "/brake/initial_pct",
            "/brake/style",
            "/brake/target/mark",
            "/brake/target/side",
            "/brake/target/offset_m",
            "/brake/target/text",
            "/brake/safe/text",
            "/gears/approach",
            "/gears/corner",
            "/gears/downshifts_m",
            "/turnIn/at_m",
            "/trailBrake/atTurnIn_pct",
            "/trailBrake/half_pct",
            "/trailBrake/nearApex_pct",
            "/trailBrake/release_m",
            "/apexes/0/at_m",
            "/apexes/0/offset_m",
            "/apexes/0/kind",
            "/apexes/0/speed_mps",
            "/kerbs/entry",
            "/kerbs/apex",
            "/kerbs/exit",
            "/throttle/first_m",
            "/throttle/first_pct",
            "/throttle/full_m",
            "/exit/trackOut_m",
            "/exit/offset_m",
            "/exit/speed_mps",
            "/sources",
            "/notes",
            "/wayOut")) {
      assertThat(page.at(pointer).isMissingNode()).as(pointer).isFalse();
    }
    assertThat(page.at("/sources/brake.at_m").asString()).isEqualTo("driver");
    assertThat(page.at("/sources/turnIn.at_m").asString()).isEqualTo("model");
    assertThat(page.at("/confidence").asInt(0)).isEqualTo(3);
    assertThat(revision.at("/lap/time_s").asDouble(0)).isBetween(100.0, 130.0);
    assertThat(revision.at("/lap/curvatureSquared_perM").asDouble(0)).isPositive();
  }

  /** "A corner with no braking has style none or lift and no at_m": absent, never zero. */
  @Test
  void whatDoesNotApplyIsAbsent() {
    int without = 0;
    for (JsonNode page : revision.path("pages")) {
      String style = page.at("/brake/style").asString();
      boolean brakes = !style.equals("none") && !style.equals("lift");
      assertThat(page.path("brake").has("at_m")).isEqualTo(brakes);
      without += brakes ? 0 : 1;
    }
    assertThat(without).isPositive();
  }

  @Test
  void valuesAndConditionsComeBackAsTheyWere() {
    assertThat(ConditionsJson.read(revision.get("conditions"), "/conditions"))
        .isEqualTo(Conditions.DEFAULT);
    OwnValues own = OwnValuesJson.read(revision.get("ownValues"), "/ownValues").get(0);
    assertThat(own.brakeAtM()).isEqualTo(300);
    assertThat(own.notes()).isEqualTo("ridges");
    assertThat(own.turnInM()).isNull();
  }

  @Test
  void aBadPartIsNamedWithItsPlaceInTheBook() {
    ObjectNode book = book();
    ((ObjectNode) book.at("/car/gearbox")).remove("ratios");
    assertThat(refused(book).pointer()).isEqualTo("/car/gearbox/ratios");
  }

  @Test
  void revisionsMustFollowEachOther() {
    ObjectNode book = book();
    ((ObjectNode) book.at("/revisions/0")).put("number", 4);
    assertThat(refused(book).pointer()).isEqualTo("/revisions/0/number");
  }

  @Test
  void aTimeThatIsNoneIsRefused() {
    ObjectNode book = book();
    ((ObjectNode) book.at("/revisions/0")).put("createdAt", "yesterday");
    assertThat(refused(book).pointer()).isEqualTo("/revisions/0/createdAt");
  }

  @Test
  void somethingElseIsNoBook() {
    assertThat(refused(DemoFiles.car())).isNotNull();
    ObjectNode book = book();
    book.putArray("revisions");
    assertThat(refused(book)).isNotNull();
  }

  @Test
  void aPageSaysWhatComesOfDrivingItAndWhoseItsValuesAre() {
    JsonNode page = revision.at("/pages/0");
    assertThat(page.at("/driven/made").asBoolean(false)).isTrue();
    assertThat(page.at("/driven/gripNeeded").asDouble(0)).isBetween(0.9, 1.02);
    assertThat(page.at("/sources/brake.at_m").asString()).isEqualTo("driver");
    assertThat(page.at("/sources/kerbs.exit").asString()).isEqualTo("model");
    assertThat(page.has("lean_deg")).isFalse();
    assertThat(page.has("line")).isFalse();
  }

  @Test
  void sheetsOfTheCarGoWithTheBookAndABadOneIsNamed() {
    ObjectNode tree = book();
    tree.putArray("setupSheets").addObject().put("name", "Wet").put("wing", 7);
    assertThat(BookJson.read(tree).setupSheets()).hasSize(1);
    ((ObjectNode) tree.at("/setupSheets/0")).put("fuel_kg", -4);
    assertThat(refused(tree).pointer()).isEqualTo("/setupSheets/0/fuel_kg");
    tree.remove("setupSheets");
    ((ObjectNode) tree.at("/revisions/0")).putObject("setup").put("name", "A").put("wing", 900);
    assertThat(refused(tree).pointer()).contains("setup").contains("wing");
  }
}
