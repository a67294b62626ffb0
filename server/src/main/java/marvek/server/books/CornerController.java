package marvek.server.books;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import marvek.core.line.LinkSweep;
import marvek.core.line.School;
import marvek.core.page.OfferedMarks;
import marvek.core.page.PagePoint;
import marvek.core.reference.CornerGears;
import marvek.core.reference.SchoolLine;
import marvek.formats.RevisionJson;
import marvek.formats.Spelled;
import marvek.server.contract.InFormat;
import marvek.server.contract.OneOf;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.node.ArrayNode;

/** What the model says of one corner beside its page. */
@RestController
class CornerController {
  private final CornerAnswers answers;

  CornerController(CornerAnswers answers) {
    this.answers = answers;
  }

  /** A school's line as it is drawn: offsets and speeds from a station on, one every step. */
  record SchoolView(
      @OneOf(School.class) String school,
      double lost_s,
      boolean tie,
      Double brakeAt_m,
      double entry_mps,
      double lowest_mps,
      double exit_mps,
      double from_m,
      double step_m,
      double[] offset_m,
      double[] speed_mps) {
    static SchoolView of(SchoolLine line) {
      return new SchoolView(
          Spelled.of(line.school()),
          rounded(line.lostS(), 4),
          line.tie(),
          line.brakeAtM() == null ? null : rounded(line.brakeAtM(), 1),
          rounded(line.entryMps(), 2),
          rounded(line.lowestMps(), 2),
          rounded(line.exitMps(), 2),
          line.fromM(),
          line.stepM(),
          rounded(line.offsetsM(), 3),
          rounded(line.speedsMps(), 2));
    }
  }

  /** One way through a link; the offsets from a station on, one every step. */
  record WayView(
      double offset_m,
      double lost_s,
      double firstApexOff_m,
      double secondApexOff_m,
      double firstLowest_mps,
      double secondLowest_mps,
      double[] line_m) {}

  /** The sweep of a link. */
  record LinkView(
      double link_m, double presentOffset_m, double from_m, double step_m, List<WayView> ways) {}

  /** The ways through a corner, quickest first. */
  @PostMapping("/api/books/{id}/corners/{corner}/schools")
  List<SchoolView> compareSchools(
      @PathVariable UUID id, @PathVariable int corner, @RequestBody BookController.DraftBody body) {
    return answers.schools(id, corner, body.draft()).stream().map(SchoolView::of).toList();
  }

  /** What each position between two linked corners costs. */
  @PostMapping("/api/books/{id}/corners/{corner}/link")
  LinkView sweepLink(
      @PathVariable UUID id, @PathVariable int corner, @RequestBody BookController.DraftBody body) {
    LinkSweep.Result sweep = answers.link(id, corner, body.draft());
    List<WayView> ways =
        sweep.ways().stream()
            .map(
                way ->
                    new WayView(
                        rounded(way.offsetM(), 3),
                        rounded(way.lostS(), 4),
                        rounded(way.firstApexOffM(), 2),
                        rounded(way.secondApexOffM(), 2),
                        rounded(way.firstLowestMps(), 2),
                        rounded(way.secondLowestMps(), 2),
                        rounded(way.lineM(), 3)))
            .toList();
    return new LinkView(
        sweep.linkM(), rounded(sweep.presentOffsetM(), 3), sweep.fromM(), sweep.stepM(), ways);
  }

  /** What each gear would cost in a corner. */
  @PostMapping("/api/books/{id}/corners/{corner}/gears")
  CornerGears computeGears(
      @PathVariable UUID id, @PathVariable int corner, @RequestBody BookController.DraftBody body) {
    return answers.gears(id, corner, body.draft());
  }

  /** What a point of a corner can be told by, each kind best first. */
  record OfferedView(
      @OneOf(PagePoint.class) String point,
      double at_m,
      @InFormat(value = "mark", list = true) ArrayNode beside,
      @InFormat(value = "mark", list = true) ArrayNode leaving,
      @InFormat(value = "mark", list = true) ArrayNode aims) {
    static OfferedView of(OfferedMarks offered) {
      return new OfferedView(
          Spelled.of(offered.point()),
          rounded(offered.atM(), 2),
          RevisionJson.marks(offered.beside()),
          RevisionJson.marks(offered.leaving()),
          RevisionJson.marks(offered.aims()));
    }
  }

  /** What the points of a corner can be told by, in driving order. */
  @PostMapping("/api/books/{id}/corners/{corner}/marks")
  List<OfferedView> offerMarks(
      @PathVariable UUID id, @PathVariable int corner, @RequestBody BookController.DraftBody body) {
    return answers.marks(id, corner, body.draft()).stream().map(OfferedView::of).toList();
  }

  private static double rounded(double value, int decimals) {
    double scale = Math.pow(10, decimals);
    return Math.round(value * scale) / scale;
  }

  private static double[] rounded(double[] values, int decimals) {
    return Arrays.stream(values).map(v -> rounded(v, decimals)).toArray();
  }
}
