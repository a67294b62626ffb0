package marvek.server.books;

import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import marvek.core.car.SetupSheet;
import marvek.core.circuit.CircuitEdits;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.mark.By;
import marvek.core.page.DayKind;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.PagePoint;
import marvek.core.page.PointNote;
import marvek.core.page.PointNotes;
import marvek.core.page.ToldPoint;
import marvek.core.page.ToldPoints;
import marvek.core.page.Variants;
import marvek.formats.CircuitEditsJson;
import marvek.formats.ImportSettings;
import marvek.formats.SetupSheetJson;
import marvek.server.cars.Cars;
import marvek.server.cars.SetupSheets;
import marvek.server.circuits.Circuits;
import marvek.server.circuits.LayoutVersions;
import marvek.server.editions.Edition;
import marvek.server.jobs.JobWork;
import marvek.server.jobs.StartReport;
import marvek.server.putaway.DemoThings;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty install with an invented circuit, a car, and a book of two revisions. */
@Component
@ConditionalOnProperty("marvek.demo")
class DemoBook implements ApplicationRunner {
  private static final Instant FIRST = Instant.parse("2026-04-18T08:10:00Z");
  private static final Instant SECOND = Instant.parse("2026-04-18T11:45:00Z");
  private static final Instant THIRD = Instant.parse("2026-06-07T07:30:00Z");

  private final Books books;
  private final Circuits circuits;
  private final Cars cars;
  private final SetupSheets sheets;
  private final LayoutVersions layouts;
  private final TransactionTemplate transaction;
  private final ApplicationEventPublisher events;
  private final StartReport report;
  private final DemoThings things;

  DemoBook(
      Books books,
      Circuits circuits,
      Cars cars,
      SetupSheets sheets,
      LayoutVersions layouts,
      TransactionTemplate transaction,
      ApplicationEventPublisher events,
      StartReport report,
      DemoThings things) {
    this.books = books;
    this.circuits = circuits;
    this.cars = cars;
    this.sheets = sheets;
    this.layouts = layouts;
    this.transaction = transaction;
    this.events = events;
    this.report = report;
    this.things = things;
  }

  @Override
  public void run(ApplicationArguments arguments) throws IOException {
    if (!books.isEmpty() || !things.all().isEmpty()) {
      return;
    }
    byte[] circuit = file("harrowfen-park.circuit.geojson");
    byte[] car = file("teal-coupe.car.json");
    byte[] roadCourse = file("skarrow-round.circuit.geojson");
    byte[] motorcycle = file("kestrel-litre.car.json");
    byte[] singleSeater = file("sandpiper-single.car.json");
    // All or nothing, so that a start that is killed here leaves no half of a demo behind.
    transaction.executeWithoutResult(
        status -> {
          done(0);
          UUID park = fill(circuit, car);
          done(0.5);
          UUID round =
              noted("circuit", circuits.importFile(roadCourse, null, ImportSettings.NONE).id());
          UUID bike = noted("car", cars.importFile(motorcycle).id());
          UUID single = noted("car", cars.importFile(singleSeater).id());
          done(0.55);
          UUID riders = another(park, bike, "Harrowfen Park, Kestrel Litre", ChosenLine.FASTEST);
          another(park, single, "Harrowfen Park, Sandpiper Single-Seater", ChosenLine.FASTEST);
          // The fastest line of 37 km would keep who starts Marvek for the first time waiting.
          another(round, bike, "Skarrow Round, Kestrel Litre", ChosenLine.SMOOTH);
          done(0.75);
          events.publishEvent(new DemoShelved(riders));
        });
  }

  private UUID noted(String kind, UUID id) {
    things.add(kind, id);
    return id;
  }

  /** The shares are of the time that the parts took when they were measured. */
  private void done(double share) {
    report.at("filling the demo", share);
  }

  private UUID another(UUID circuit, UUID car, String name, ChosenLine line) {
    Draft model = new Draft(Conditions.OF_NEW_BOOKS.withGripUsed(0.92), line, List.of());
    return noted(
        "book",
        books
            .create(
                UUID.randomUUID(), circuit, car, name, "First computed", model, THIRD, share -> {})
            .id());
  }

  /** The first book of all; answers its circuit's newest layout version. */
  private UUID fill(byte[] circuitFile, byte[] carFile) {
    UUID circuit =
        noted("circuit", circuits.importFile(circuitFile, null, ImportSettings.NONE).id());
    UUID car = noted("car", cars.importFile(carFile).id());
    Conditions clubDriver = Conditions.OF_NEW_BOOKS.withGripUsed(0.92);
    Draft model = new Draft(clubDriver, ChosenLine.FASTEST, List.of());
    JobWork.Made book =
        books.create(
            UUID.randomUUID(),
            circuit,
            car,
            "Harrowfen Park, Teal Coupé",
            "First computed, before the track walk",
            model,
            FIRST,
            share -> {});
    noted("book", book.id());
    Draft afterPractice = new Draft(clubDriver, ChosenLine.FASTEST, ownValues());
    books.keep(
        book.id(),
        1,
        "After first practice: Sluice and Chapel Drop earlier, Long Hythe in second",
        afterPractice,
        SECOND);
    done(0.1);
    events.publishEvent(new DemoFilled(book.id(), 2));
    newLayout(circuit);
    sheets.add(car, SetupSheetJson.write(sheet("As it came", 0.66, null, 24.0, 5.0)));
    sheets.add(
        car, SetupSheetJson.write(sheet("Less wing, brakes forward", 0.69, 0.22, 20.0, 3.0)));
    // The shelf shows a place by its newest version.
    return noted("circuit", circuits.facts(circuit).newestId());
  }

  private static SetupSheet sheet(
      String name, double brakes, Double downforce, double fuel, double wing) {
    return new SetupSheet(
        name,
        LocalDate.parse("2026-04-18"),
        brakes,
        null,
        downforce == null ? null : 0.69,
        downforce,
        null,
        null,
        null,
        fuel,
        185.0,
        178.0,
        3.0,
        2.0,
        74.0,
        81.0,
        wing,
        "medium, 11 laps",
        "");
  }

  /** A track walk since: what changed is a layout version that the book has not moved to yet. */
  private void newLayout(UUID circuitId) {
    CircuitEdits now = CircuitEdits.of(circuits.load(circuitId).circuit());
    CircuitEdits edits =
        new CircuitEdits(
            now.name(),
            now.layout(),
            now.validFrom(),
            now.timeZone(),
            now.trackLimits(),
            Stream.concat(now.marks().stream().map(DemoBook::asFound), Stream.of(PAINT)).toList(),
            now.kerbs().stream().map(DemoBook::groundDown).toList(),
            now.zones(),
            now.hazards(),
            now.corners(),
            List.of(),
            Stream.concat(now.stretches().stream(), Stream.of(PAINTED)).toList());
    layouts.keepDraft(circuitId, CircuitEditsJson.write(edits), Edition.ANY);
    layouts.keep(circuitId, "Track walk in June", WALKED, true, Edition.ANY);
  }

  private static Mark asFound(Mark mark) {
    boolean moved = mark.label().equals("100 board") && mark.fromM() > 3190 && mark.fromM() < 3210;
    double at = mark.fromM() + (moved ? -14 : 0);
    return moved
        ? new Mark(
            mark.label(),
            mark.type(),
            mark.side(),
            at,
            at,
            mark.offsetM(),
            mark.valueM(),
            mark.heightM(),
            "moved back in spring",
            mark.notedAt())
        : mark;
  }

  private static Kerb groundDown(Kerb kerb) {
    return kerb.profile() == Kerb.Profile.SAUSAGE
        ? new Kerb(
            kerb.side(),
            kerb.fromM(),
            kerb.toM(),
            Kerb.Profile.RAMP,
            45,
            kerb.widthM(),
            Kerb.Use.TYRE,
            Kerb.Use.NONE,
            "the hump is gone")
        : kerb;
  }

  private static final LocalDate WALKED = LocalDate.parse("2026-06-06");

  /** Seen on that walk, where there was no mark before. */
  private static final Mark PAINT =
      new Mark("yellow paint", MarkType.PAINT_LINE, Side.LEFT, 1957, 1957, 7.5, null, null, "");

  /** And the organiser's line across the inside of Chapel Drop, new with it. */
  private static final LimitStretch PAINTED =
      new LimitStretch(
          Side.RIGHT,
          3270,
          3330,
          4,
          LimitStretch.Line.BEYOND,
          -1.5,
          null,
          LimitStretch.Consequence.LAP_DELETED,
          null,
          List.of(),
          "painted since the resurfacing");

  /** What the invented driver changed after the first practice. */
  private List<OwnValues> ownValues() {
    return List.of(
        own(1, 304.0, null, null, 3, "Two ridges on the inside: brake before them, not on them.")
            .pointNotes(new PointNotes(List.of(SLUICE_WALL, SLUICE_DAMP)))
            .variants(colder(PageField.BRAKE, 295.0, PageField.EXIT_KERB, Kerb.Use.NONE))
            .build(),
        OwnValues.in(3).told(told(PagePoint.EXIT, By.AIM, "hythe wall", null)).build(),
        own(4, null, 2, 1462.0, 4, "Leave the inside kerb alone. Wait for the car to turn.")
            .told(told(PagePoint.FLAT, By.LEAVES_SIGHT, "lamp 4", null))
            .build(),
        OwnValues.in(8)
            .told(told(PagePoint.THROTTLE, By.BESIDE, null, "patience, then squeeze"))
            .build(),
        own(11, 3176.0, null, null, 2, "Falls away under braking. Rear goes light: squeeze.")
            .build(),
        own(13, null, null, 3810.0, 3, "Road tips outward after the apex: late throttle.")
            .variants(colder(PageField.GEAR, 3, PageField.THROTTLE_FIRST, 3822.0))
            .build());
  }

  private static final PointNote SLUICE_WALL =
      new PointNote(PagePoint.EXIT, PointNote.Kind.DANGER, 3, "wall close beyond the exit kerb");

  private static final PointNote SLUICE_DAMP =
      new PointNote(PagePoint.BRAKE, PointNote.Kind.SURFACE, 1, "two ridges on the inside");

  private static ToldPoints told(PagePoint point, By by, String mark, String phrase) {
    return new ToldPoints(List.of(new ToldPoint(point, by, mark, null, phrase)));
  }

  /** What is otherwise on the first laps. */
  private static Variants colder(PageField one, Object value, PageField other, Object another) {
    return new Variants(Map.of(DayKind.COLD, Map.of(one, value, other, another)));
  }

  private static OwnValues.Builder own(
      int corner,
      Double brakeAtM,
      Integer gear,
      Double throttleFirstM,
      int confidence,
      String notes) {
    return OwnValues.in(corner)
        .brakeAtM(brakeAtM)
        .cornerGear(gear)
        .throttleFirstM(throttleFirstM)
        .confidence(confidence)
        .notes(notes);
  }

  private static byte[] file(String name) throws IOException {
    try (InputStream in = DemoBook.class.getResourceAsStream("/marvek/demo/" + name)) {
      return in.readAllBytes();
    }
  }
}
