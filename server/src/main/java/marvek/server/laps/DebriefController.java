package marvek.server.laps;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import marvek.core.cause.Cause;
import marvek.core.conditions.Conditions;
import marvek.core.say.Sentence;
import marvek.formats.Spelled;
import marvek.server.books.Books;
import marvek.server.contract.OneOf;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What laps did corner by corner, what is said of it, and two laps along a corner. */
@RestController
class DebriefController {
  private final Debriefs debriefs;
  private final LapNotes notes;
  private final Laps laps;
  private final Sessions sessions;
  private final Books books;
  private final SurfaceDriven surfaces;

  DebriefController(
      Debriefs debriefs,
      LapNotes notes,
      Laps laps,
      Sessions sessions,
      Books books,
      SurfaceDriven surfaces) {
    this.debriefs = debriefs;
    this.notes = notes;
    this.laps = laps;
    this.sessions = sessions;
    this.books = books;
    this.surfaces = surfaces;
  }

  /**
   * Laps of one driver in one vehicle against the revision of their session.
   *
   * @param driver whose laps they are; empty for the book's own
   * @param drivers all whose laps the session has
   * @param surface that the session was planned for
   * @param seems another one that the laps look driven on; null where they go with the page
   */
  record DebriefView(
      int revision,
      double lap_s,
      String driver,
      String vehicle,
      List<DriverView> drivers,
      @OneOf(Conditions.Surface.class) String surface,
      @OneOf(Conditions.Surface.class) @Nullable String seems,
      List<LapViews.ReadingView> page,
      List<LapViews.LapView> laps,
      List<LapNotes.Remark> remarks,
      List<LapViews.FileView> files) {
    static DebriefView of(Debriefs.Debrief d) {
      SessionLaps read = d.laps();
      return new DebriefView(
          read.revision(),
          read.computed().reference().lap().timeS(),
          d.whose().driver(),
          d.whose().vehicle(),
          d.drivers().stream().map(w -> new DriverView(w.driver(), w.vehicle())).toList(),
          Spelled.of(read.computed().conditions().surface()),
          Spelled.of(SurfaceDriven.of(read).orElse(null)),
          read.page().corners().stream().map(LapViews.ReadingView::of).toList(),
          read.laps().stream().map(lap -> LapViews.LapView.of(read, lap)).toList(),
          d.remarks(),
          read.files().stream().map(LapViews.FileView::of).toList());
    }
  }

  /** Somebody whose laps a session has, and in what; both empty for the book's own. */
  record DriverView(String driver, String vehicle) {}

  /**
   * What the laps of a session did against the page, and what follows from it.
   *
   * @param driver whose laps; empty for the book's own
   */
  @GetMapping("/api/sessions/{id}/debrief")
  DebriefView getDebrief(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String driver,
      @RequestParam(defaultValue = "") String vehicle) {
    return DebriefView.of(debriefs.debrief(id, new IncomingLaps.Whose(driver, vehicle)));
  }

  /**
   * What cost the laps of a session their time.
   *
   * @param findings over the laps that count, the dearest first
   * @param laps that count, with their accounts
   * @param guesses what the driver said cost time before he saw it
   */
  record CausesView(
      List<LapViews.FindingView> findings,
      List<LapViews.LapAccountsView> laps,
      List<LapNotes.Guess> guesses) {}

  /**
   * What cost the laps of a session their time, and where; asked for apart from what they did,
   * because it takes longer.
   *
   * @param driver whose laps; empty for the book's own
   */
  @GetMapping("/api/sessions/{id}/causes")
  CausesView getCauses(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String driver,
      @RequestParam(defaultValue = "") String vehicle) {
    Debriefs.Debrief debrief = debriefs.debrief(id, new IncomingLaps.Whose(driver, vehicle));
    return new CausesView(
        debriefs.found(debrief).stream().map(LapViews.FindingView::of).toList(),
        debrief.laps().counted().stream()
            .map(lap -> LapViews.LapAccountsView.of(lap.id(), debrief.laps().accounts(lap)))
            .toList(),
        notes.guesses(id));
  }

  /** What somebody thinks cost time in a corner. */
  record GuessBody(int corner, @OneOf(Cause.class) String rule) {}

  /** Says what one thinks cost time, before looking. */
  @PostMapping("/api/sessions/{id}/guesses")
  @ResponseStatus(HttpStatus.CREATED)
  LapNotes.Guess sayGuess(@PathVariable UUID id, @RequestBody GuessBody body) {
    return notes.guess(id, body.corner(), body.rule());
  }

  /** What a session was driven on after all. */
  record SurfaceBody(@OneOf(Conditions.Surface.class) String surface) {}

  /** Reads the laps of a session against the pages of another surface from now on. */
  @PutMapping("/api/sessions/{id}/surface")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void saySurface(@PathVariable UUID id, @RequestBody SurfaceBody body) {
    surfaces.drivenOn(id, Spelled.read(Conditions.Surface.class, "surface", body.surface()));
  }

  /** The promise to scripts: what a lap of a book did in its corners. */
  @GetMapping("/api/books/{id}/laps/{lapId}/readings")
  List<LapViews.ReadingView> listReadings(@PathVariable UUID id, @PathVariable String lapId) {
    Sessions.Kept session = sessions.get(laps.file(fileOf(lapId)).sessionId());
    if (!session.bookId().equals(id)) {
      throw new NotFoundException(Sentence.of("missing.lap-of-book", "lap", lapId));
    }
    SessionLaps read = debriefs.read(session);
    return read.laps().stream()
        .filter(lap -> lap.id().equals(lapId))
        .findFirst()
        .map(lap -> LapViews.readings(read, lap))
        .orElseThrow(() -> new NotFoundException(Sentence.of("missing.lap-of-book", "lap", lapId)));
  }

  static UUID fileOf(String lapId) {
    int point = lapId.indexOf('.');
    try {
      return UUID.fromString(point < 0 ? lapId : lapId.substring(0, point));
    } catch (IllegalArgumentException e) {
      throw NotFoundException.of("lap", lapId);
    }
  }

  /** A finding with the session that it is from. */
  record SessionFinding(UUID session, LapViews.FindingView finding) {}

  /** The promise to scripts: findings over the laps read so far, by corner. */
  @GetMapping("/api/books/{id}/findings")
  List<SessionFinding> listFindings(@PathVariable UUID id) {
    List<SessionFinding> found = new ArrayList<>();
    for (Sessions.Kept session : sessions.of(books.get(id))) {
      if (laps.any(session.id())) {
        Debriefs.Debrief read = debriefs.debrief(session.id());
        debriefs.found(read).stream()
            .filter(f -> f.dismissed() == null && read.whose().equals(IncomingLaps.Whose.OWN))
            .forEach(f -> found.add(new SessionFinding(session.id(), LapViews.FindingView.of(f))));
      }
    }
    found.sort(java.util.Comparator.comparingInt(f -> f.finding().corner()));
    return found;
  }

  /** A finding that is not to be shown again, and why. */
  record DismissBody(
      int corner,
      @OneOf(Cause.class) String rule,
      @Nullable String reason,
      @Nullable List<String> laps) {}

  /** Sets a finding aside. */
  @PostMapping("/api/sessions/{id}/dismissed")
  @ResponseStatus(HttpStatus.CREATED)
  LapNotes.Dismissed dismissFinding(@PathVariable UUID id, @RequestBody DismissBody body) {
    List<String> shown = body.laps() == null ? List.of() : body.laps();
    return notes.dismiss(id, body.corner(), body.rule(), body.reason(), Set.copyOf(shown));
  }

  /** A remark on a corner, a lap and a metre of it; each may be left out. */
  record RemarkBody(
      Integer corner,
      @Nullable String lap,
      @Nullable Double at_m,
      @OneOf(LapNotes.Author.class) @Nullable String author,
      String words) {}

  /** A remark on a corner and a lap. */
  @PostMapping("/api/sessions/{id}/remarks")
  @ResponseStatus(HttpStatus.CREATED)
  LapNotes.Remark sayOfLaps(@PathVariable UUID id, @RequestBody RemarkBody body) {
    LapNotes.Where where = new LapNotes.Where(body.corner(), body.lap(), body.at_m());
    return notes.say(id, where, author(body.author()), body.words());
  }

  private static LapNotes.Author author(String name) {
    return name == null
        ? LapNotes.Author.DRIVER
        : Spelled.read(LapNotes.Author.class, "author", name);
  }

  /** Takes a remark or a dismissal back. */
  @DeleteMapping("/api/debrief-notes/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeDebriefNote(@PathVariable UUID id) {
    notes.remove(id);
  }

  /**
   * A lap along a stretch of the road.
   *
   * @param lap by its id, or {@code page} for the page's own lap
   */
  @GetMapping("/api/sessions/{id}/along")
  AlongView getAlong(
      @PathVariable UUID id,
      @RequestParam String lap,
      @RequestParam(defaultValue = "0") double from_m,
      @RequestParam(required = false) Double to_m) {
    SessionLaps read = debriefs.read(sessions.get(id));
    double until = to_m == null ? SessionLaps.road(read.computed()).lengthM() : to_m;
    return AlongView.of(Debriefs.along(read, lap), from_m, until);
  }
}
