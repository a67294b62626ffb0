package marvek.server.laps;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.beside.LapsBeside;
import marvek.core.beside.StationedLap;
import marvek.core.beside.ValuesOfLap;
import marvek.core.cause.CornerAccount;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.RecordedLap;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.review.StepPlan;
import marvek.core.review.TriedValue;
import marvek.core.say.Sentence;
import marvek.formats.LapCsvWriter;
import marvek.formats.Spelled;
import marvek.formats.StationCsv;
import marvek.server.books.Books;
import marvek.server.contract.OneOf;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.StepBoard;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The laps of a circuit: listed, laid beside each other, and what one would change of a book. */
@RestController
class LapPairController {
  private static final MediaType CSV = MediaType.valueOf("text/csv;charset=UTF-8");

  private final LapLibrary library;
  private final LapPairs pairs;
  private final LapNotes notes;
  private final StepBoard steps;

  LapPairController(LapLibrary library, LapPairs pairs, LapNotes notes, StepBoard steps) {
    this.library = library;
    this.pairs = pairs;
    this.notes = notes;
    this.steps = steps;
  }

  /**
   * A lap of the library.
   *
   * @param driver empty for the book's own
   * @param sheet that the car was set up by; null for the car as it is
   * @param layout with its version, where it was driven
   * @param time_s null of one that was not recorded from line to line
   * @param best whether it is the fastest of its driver, vehicle, surface and layout
   */
  record LibraryLap(
      String id,
      UUID session,
      String sessionName,
      String startsAt,
      UUID book,
      String bookName,
      String file,
      String driver,
      String vehicle,
      @OneOf(Conditions.Surface.class) String surface,
      @Nullable String sheet,
      String layout,
      int layoutVersion,
      int number,
      @OneOf(RecordedLap.Kind.class) String kind,
      @Nullable Double time_s,
      boolean best) {
    static LibraryLap of(LapLibrary.Entry e) {
      LapLibrary.Shelved s = e.shelved();
      return new LibraryLap(
          e.id(),
          s.session().id(),
          s.session().name(),
          s.session().session().path("startsAt").asString(""),
          s.book().id(),
          s.book().name(),
          s.file().name(),
          s.whose().driver(),
          s.whose().vehicle(),
          s.surface(),
          s.sheet(),
          s.book().layout(),
          s.book().layoutVersion(),
          e.number(),
          Spelled.of(e.kind()),
          e.timeS(),
          e.best());
    }
  }

  /** All laps that were driven at a book's circuit, in any book of the driver's; newest first. */
  @GetMapping("/api/books/{id}/library")
  List<LibraryLap> listLibrary(@PathVariable UUID id) {
    return library.of(id).stream().map(LibraryLap::of).toList();
  }

  /**
   * One of two laps.
   *
   * @param session that it is of; null for the page's own
   * @param sessionName the same in words; null likewise
   * @param driver empty for the book's own
   * @param missing what it has no channel for, in words
   */
  record SideView(
      String id,
      @Nullable UUID session,
      @Nullable String sessionName,
      String driver,
      String vehicle,
      int number,
      @Nullable Double time_s,
      List<Sentence> missing,
      AlongView along) {
    static SideView of(LapPairs.Laid laid, Road road) {
      LapLibrary.Shelved from = laid.shelved();
      AlongView along = AlongView.of(laid.along(), 0, road.lengthM());
      if (from == null) {
        return new SideView(laid.id(), null, null, "", "", 0, laid.timeS(), List.of(), along);
      }
      return new SideView(
          laid.id(),
          from.session().id(),
          from.session().name(),
          from.whose().driver(),
          from.whose().vehicle(),
          laid.lap().lap().number(),
          laid.timeS() == null ? null : LapViews.rounded(laid.timeS(), 3),
          laid.read().files().get(0).laps().missing(),
          along);
    }
  }

  /** A stretch of the road; one that ends before it begins runs over the line. */
  record StretchView(double from_m, double to_m) {}

  /**
   * A corner of two laps, from its first point to the next corner's.
   *
   * @param behind_s what the first lost there to the second; negative for a gain
   * @param first what cost the first time, against the page
   * @param second the same of the second
   */
  record PairCornerView(
      int corner,
      double from_m,
      double to_m,
      double behind_s,
      List<LapViews.PartView> first,
      List<LapViews.PartView> second) {}

  /**
   * Two laps along the whole lap.
   *
   * @param behind_s by which the first is behind the second, station by station; null where one of
   *     them was not there
   * @param atLine_s the same at the line
   * @param apart stretches that not both drove
   * @param pins remarks at a metre of either lap
   */
  record PairView(
      double length_m,
      SideView first,
      SideView second,
      Double[] behind_s,
      double atLine_s,
      List<StretchView> apart,
      List<PairCornerView> corners,
      List<LapNotes.Remark> pins) {}

  /**
   * Two laps of the library beside each other on a book's road.
   *
   * @param lap by its id, or {@code page} for the page's own lap
   * @param with the same
   */
  @GetMapping("/api/books/{id}/pair")
  PairView pairLaps(@PathVariable UUID id, @RequestParam String lap, @RequestParam String with) {
    LapPairs.Pair pair = pairs.pair(id, lap, with);
    LapsBeside beside = pair.beside();
    return new PairView(
        pair.road().lengthM(),
        SideView.of(pair.first(), pair.road()),
        SideView.of(pair.second(), pair.road()),
        AlongView.part(k -> behind(beside, k), 0, beside.size() - 1, 3),
        LapViews.rounded(beside.behindAtM(pair.road().lengthM()), 3),
        beside.notShared().stream().map(s -> new StretchView(s.fromM(), s.toM())).toList(),
        corners(pair),
        pins(pair));
  }

  private static double behind(LapsBeside beside, int k) {
    boolean known = beside.isBothFrom(k) || (k > 0 && beside.isBothFrom(k - 1));
    return known ? beside.behindAt(k) : Double.NaN;
  }

  private static List<PairCornerView> corners(LapPairs.Pair pair) {
    List<CornerPage> pages = pair.computed().reference().pages();
    Road road = pair.road();
    List<PairCornerView> corners = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      boolean first = !road.closed() && p == 0;
      double from = first ? 0 : CornerTime.beginsAtM(pages.get(p), road);
      boolean last = !road.closed() && p + 1 == pages.size();
      double to =
          last ? road.lengthM() : CornerTime.beginsAtM(pages.get((p + 1) % pages.size()), road);
      corners.add(
          new PairCornerView(
              pages.get(p).corner(),
              from,
              to,
              LapViews.rounded(pair.beside().between(from, to).behindS(), 3),
              parts(pair.first(), p),
              parts(pair.second(), p)));
    }
    return corners;
  }

  private static List<LapViews.PartView> parts(LapPairs.Laid laid, int p) {
    if (laid.accounts() == null) {
      return List.of();
    }
    List<CornerAccount.Part> parts = laid.accounts().corners().get(p).parts();
    return parts.stream().map(LapViews.PartView::of).toList();
  }

  private List<LapNotes.Remark> pins(LapPairs.Pair pair) {
    return Stream.of(pair.first(), pair.second())
        .map(LapPairs.Laid::shelved)
        .filter(Objects::nonNull)
        .map(shelved -> shelved.session().id())
        .distinct()
        .flatMap(session -> notes.remarks(session).stream())
        .filter(r -> r.at_m() != null)
        .filter(r -> pair.first().id().equals(r.lap()) || pair.second().id().equals(r.lap()))
        .toList();
  }

  /** The difference of two laps, station by station. */
  @GetMapping("/api/books/{id}/pair.csv")
  ResponseEntity<byte[]> getPairCsv(
      @PathVariable UUID id, @RequestParam String lap, @RequestParam String with) {
    LapPairs.Pair pair = pairs.pair(id, lap, with);
    return csv(
        StationCsv.difference(pair.first().along(), pair.second().along(), pair.beside()),
        "difference.csv");
  }

  /** A lap at even stations, as a file of laps. */
  @GetMapping("/api/books/{id}/stations.laps.csv")
  ResponseEntity<byte[]> getStationsCsv(@PathVariable UUID id, @RequestParam String lap) {
    LapPairs.Laid laid = pairs.laid(id, lap);
    Road road = SessionLaps.road(laid.read().computed());
    return csv(LapCsvWriter.write(StationedLap.of(laid.along(), road)), "lap.laps.csv");
  }

  private static ResponseEntity<byte[]> csv(byte[] text, String name) {
    return ResponseEntity.ok()
        .contentType(CSV)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(text);
  }

  /**
   * A value of the pages as a lap has it.
   *
   * @param field by its name in the book format
   * @param theirs what the lap did
   * @param after what it comes to for oneself
   * @param page_s by which the page's lap becomes slower; null where the model does not tell
   * @param cautions scaled, kept-back, kept-in, other-vehicle or other-surface
   * @param copy whether it may be taken over
   */
  record LapValueView(
      int corner,
      String field,
      double before,
      double theirs,
      double after,
      @Nullable Double page_s,
      List<String> cautions,
      boolean copy) {
    static LapValueView of(ValuesOfLap.Value v) {
      return new LapValueView(
          v.corner(),
          v.field().path(),
          LapViews.rounded(v.before(), 2),
          LapViews.rounded(v.theirs(), 2),
          LapViews.rounded(v.after(), 2),
          LapViews.rounded(v.slowerS(), 3),
          v.cautions().stream().sorted().map(Spelled::of).toList(),
          v.isToCopy());
    }
  }

  /**
   * What a lap would change on the pages.
   *
   * @param revision that it was compared with, the newest
   * @param name by which values that are taken over name the lap
   * @param grip of it against the page's, 1 for the same
   * @param otherVehicle whether it was driven in another one than the book's
   * @param surface that it was driven on
   */
  record LapValuesView(
      int revision,
      String name,
      double grip,
      boolean otherVehicle,
      @OneOf(Conditions.Surface.class) String surface,
      List<LapValueView> values) {}

  /** What a lap of the library would change on a book's newest pages, brought to one's own grip. */
  @GetMapping("/api/books/{id}/lap-values")
  LapValuesView valuesOfLap(@PathVariable UUID id, @RequestParam String lap) {
    LapPairs.Laid laid = pairs.laid(id, lap);
    if (laid.lap() == null || laid.lap().read() == null) {
      throw new NotFoundException(Sentence.of("missing.lap-untimed"));
    }
    Books.Computed computed = laid.read().computed();
    Map<Integer, StepPlan> plans =
        steps.plans(id, computed).stream().collect(Collectors.toMap(StepPlan::corner, p -> p));
    String surface = laid.shelved().surface();
    ValuesOfLap.Case of =
        new ValuesOfLap.Case(
            new TriedValue(
                computed.basis(),
                computed.conditions(),
                computed.reference(),
                Books.draftOf(computed.document()).own()),
            laid.read().page().corners(),
            laid.corners(),
            isOtherVehicle(laid),
            !surface.equals(Spelled.of(computed.conditions().surface())),
            plans);
    return new LapValuesView(
        laid.read().revision(),
        name(laid),
        LapViews.rounded(ValuesOfLap.grip(of), 3),
        of.otherVehicle(),
        surface,
        ValuesOfLap.of(of).stream().map(LapValueView::of).toList());
  }

  private boolean isOtherVehicle(LapPairs.Laid laid) {
    String own = laid.read().computed().basis().vehicle().name();
    return !laid.shelved().whose().vehicle().equals(own);
  }

  private static String name(LapPairs.Laid laid) {
    String driver = laid.shelved().whose().driver();
    return (driver.isEmpty() ? "" : driver + ", ")
        + laid.shelved().session().name()
        + ", lap "
        + laid.lap().lap().number();
  }
}
