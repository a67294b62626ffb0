package marvek.server.lead;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.cause.Cause;
import marvek.core.lead.GroupRemark;
import marvek.core.lead.LeadDay;
import marvek.core.lead.Member;
import marvek.core.lead.Rotation;
import marvek.core.say.Sentence;
import marvek.formats.LeadDayJson;
import marvek.formats.Spelled;
import marvek.server.books.Books;
import marvek.server.contract.InFormat;
import marvek.server.contract.OneOf;
import marvek.server.editions.Edited;
import marvek.server.editions.Edition;
import marvek.server.laps.LapsOfDriver;
import marvek.server.printing.Pdf;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** A session that an instructor leads a group through. */
@RestController
class LeadController {
  private final LeadDays days;
  private final Books books;
  private final Pdf pdf;

  LeadController(LeadDays days, Books books, Pdf pdf) {
    this.days = days;
    this.books = books;
    this.pdf = pdf;
  }

  /**
   * A remark with what came of it: open, taken or not-taken.
   *
   * @param own whether the driver says it himself
   */
  record RemarkView(
      long edition,
      UUID id,
      String driver,
      int corner,
      int lap,
      String words,
      boolean good,
      @OneOf(GroupRemark.State.class) String state,
      Integer closedOnLap,
      boolean own) {
    static RemarkView of(StoredGroupRemark stored) {
      GroupRemark r = stored.remark();
      return new RemarkView(
          stored.edition(),
          stored.id(),
          r.driver(),
          r.corner(),
          r.lap(),
          r.words(),
          r.good(),
          Spelled.of(r.state()),
          r.closedOnLap(),
          r.by() == GroupRemark.By.DRIVER);
    }
  }

  record TurnView(int fromLap, int toLap, List<String> order) {
    static TurnView of(Rotation.Turn turn) {
      return new TurnView(turn.fromLap(), turn.toLap(), turn.order());
    }
  }

  /** A finding of a driver's laps. */
  record FoundView(
      String driver,
      int corner,
      @OneOf(Cause.class) String rule,
      double amount,
      int laps,
      int of,
      Double cost_s) {
    static FoundView of(String driver, LapsOfDriver.Found f) {
      return new FoundView(driver, f.corner(), f.rule(), f.amount(), f.laps(), f.of(), f.costS());
    }
  }

  /**
   * A led day.
   *
   * @param edition to be sent back with the next change
   */
  record LeadView(
      @InFormat("leadDay") JsonNode day,
      long edition,
      List<TurnView> turns,
      List<RemarkView> remarks,
      List<LapsOfDriver.File> files,
      List<FoundView> findings)
      implements Edited {
    static LeadView of(LeadDays.Led led) {
      return new LeadView(
          LeadDayJson.write(led.day()),
          led.edition(),
          led.day().turns().stream().map(TurnView::of).toList(),
          led.remarks().stream().map(RemarkView::of).toList(),
          led.files(),
          led.said().entrySet().stream()
              .sorted(Map.Entry.comparingByKey())
              .flatMap(e -> e.getValue().found().stream().map(f -> FoundView.of(e.getKey(), f)))
              .toList());
    }
  }

  /** A led session: the group, its turns, and what was said. */
  @GetMapping("/api/sessions/{id}/lead")
  LeadView getLead(@PathVariable UUID id) {
    return LeadView.of(days.led(id));
  }

  /** Another state of the day. */
  record DayBody(@InFormat("leadDay") JsonNode day) {}

  /** Changes a led session. */
  @PutMapping("/api/sessions/{id}/lead")
  LeadView changeLead(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody DayBody body) {
    if (body.day() == null) {
      throw new InvalidValueException("day", Sentence.of("refused.missing"));
    }
    LeadDay day = LeadDayJson.read(body.day());
    return LeadView.of(days.change(id, day, seen));
  }

  /** Something said to a driver, or by himself; corner 0 is the lap as a whole. */
  record SaidBody(String driver, int corner, String words, boolean good, boolean own) {}

  /** A remark on a driver of the group. */
  @PostMapping("/api/sessions/{id}/lead/remarks")
  @ResponseStatus(HttpStatus.CREATED)
  RemarkView sayToDriver(@PathVariable UUID id, @RequestBody SaidBody body) {
    return RemarkView.of(
        days.say(id, body.driver(), body.corner(), body.words(), body.good(), body.own()));
  }

  /** What was seen of a remark. */
  record SeenBody(@OneOf(GroupRemark.State.class) String state) {}

  /** Whether the driver took a remark. */
  @PutMapping("/api/lead-remarks/{id}")
  RemarkView seeRemark(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody SeenBody body) {
    GroupRemark.State state = Spelled.read(GroupRemark.State.class, "state", body.state());
    return RemarkView.of(days.see(id, state, seen));
  }

  /** Takes a remark on a driver back. */
  @DeleteMapping("/api/lead-remarks/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBackRemark(@PathVariable UUID id) {
    days.takeBack(id);
  }

  /** A driver's day on one page. */
  @GetMapping(
      value = "/api/sessions/{id}/lead/{driver}/sheet.pdf",
      produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> printDriverSheet(@PathVariable UUID id, @PathVariable String driver) {
    LeadDays.Led led = days.led(id);
    Member member =
        led.day().drivers().stream().filter(d -> d.key().equals(driver)).findFirst().orElse(null);
    SheetPage page =
        new SheetPage(
            led,
            days.sheet(led, driver),
            member,
            books.recompute(led.session().bookId(), books.newestNumber(led.session().bookId())));
    String file = member.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".pdf";
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.inline().filename(file, StandardCharsets.UTF_8).build().toString())
        .body(pdf.render(page.html()));
  }
}
