package marvek.server.sessions;

import java.util.List;
import java.util.UUID;
import marvek.core.brief.Preparation;
import marvek.core.brief.Preparation.Change;
import marvek.core.brief.Preparation.Decision;
import marvek.formats.ConditionsJson;
import marvek.formats.LineJson;
import marvek.formats.OwnValuesJson;
import marvek.formats.SessionJson;
import marvek.formats.SetupSheetJson;
import marvek.formats.Spelled;
import marvek.server.contract.InFormat;
import marvek.server.contract.OneOf;
import marvek.server.editions.Edited;
import marvek.server.editions.Edition;
import marvek.server.units.DriverUnits;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Preparing, issuing and briefing a session, and the steps of brake points. */
@RestController
class BriefController {
  private final Preparations preparations;
  private final Briefs briefs;
  private final StepBoard board;

  BriefController(Preparations preparations, Briefs briefs, StepBoard board) {
    this.preparations = preparations;
    this.briefs = briefs;
    this.board = board;
  }

  /** One changed value; the field by its name in the book format. */
  record ChangeView(
      int corner,
      @InFormat("changedField") String field,
      Double before,
      Double after,
      @OneOf(Preparation.Why.class) String why) {
    static ChangeView of(Change c) {
      return new ChangeView(
          c.corner(), c.field().path(), c.before(), c.after(), Spelled.of(c.why()));
    }
  }

  record DecisionView(
      int corner,
      @InFormat("changedField") String field,
      @OneOf(Preparation.Choice.class) String choice,
      Double value) {
    static DecisionView of(Decision d) {
      return new DecisionView(d.corner(), d.field().path(), Spelled.of(d.choice()), d.value());
    }
  }

  record OpenPointView(int corner, String words) {}

  /**
   * What a session changes, with what the revision would be computed from.
   *
   * @param setup null for the car as it is
   */
  record PreparedView(
      int parent,
      long edition,
      double parentLap_s,
      double lap_s,
      @InFormat("conditions") JsonNode parentConditions,
      @InFormat("conditions") JsonNode conditions,
      List<ChangeView> changes,
      List<DecisionView> decisions,
      List<OpenPointView> openPoints,
      @InFormat("line") String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat(value = "ownValues", list = true) JsonNode ownValues,
      @InFormat("setup") @Nullable JsonNode setup)
      implements Edited {
    static PreparedView of(Preparations.Prepared p) {
      return new PreparedView(
          p.parent(),
          p.edition(),
          p.parentLapS(),
          p.lapS(),
          ConditionsJson.write(p.parentConditions()),
          ConditionsJson.write(p.conditions()),
          p.changes().stream().map(ChangeView::of).toList(),
          p.decisions().stream().map(DecisionView::of).toList(),
          p.openPoints().stream().map(o -> new OpenPointView(o.corner(), o.words())).toList(),
          Spelled.of(p.draft().line().choice()),
          LineJson.offsets(p.draft().line()),
          OwnValuesJson.write(p.draft().own()),
          p.draft().setup() == null ? null : SetupSheetJson.write(p.draft().setup()));
    }
  }

  record IssueBody(@Nullable String reason) {}

  record WordBody(@OneOf(StepBoard.Word.class) String word) {}

  /** What a session changes on the pages. */
  @GetMapping("/api/sessions/{id}/preparation")
  PreparedView prepareSession(@PathVariable UUID id) {
    return PreparedView.of(preparations.prepare(id));
  }

  /** What becomes of the changes that a session brings. */
  @PutMapping("/api/sessions/{id}/decisions")
  PreparedView decideChanges(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody @InFormat(value = "decision", list = true) JsonNode decisions) {
    return PreparedView.of(preparations.decide(id, SessionJson.decisions(decisions, ""), seen));
  }

  /** Keeps the prepared pages as the session's revision. */
  @PostMapping("/api/sessions/{id}/issue")
  Sessions.Kept issueRevision(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody IssueBody body) {
    return preparations.issue(id, body.reason(), seen);
  }

  /** What is read before a session. */
  @GetMapping("/api/sessions/{id}/brief")
  BriefView getBrief(@PathVariable UUID id, @RequestParam(defaultValue = "m") String length) {
    return BriefView.of(briefs.brief(id, DriverUnits.of("km/h", length).metresPerUnit()));
  }

  /** How far each brake point of a revision is worked up to. */
  @GetMapping("/api/books/{id}/revisions/{number}/steps")
  List<StepBoard.StepView> listSteps(@PathVariable UUID id, @PathVariable int number) {
    return board.of(id, number);
  }

  /** What the driver says of a lap on a step plan. */
  @PostMapping("/api/books/{id}/revisions/{number}/steps/{corner}")
  List<StepBoard.StepView> noteStep(
      @PathVariable UUID id,
      @PathVariable int number,
      @PathVariable int corner,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody WordBody body) {
    return board.note(
        id, number, corner, Spelled.read(StepBoard.Word.class, "word", body.word()), seen);
  }
}
