package marvek.server.sessions;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.brief.Focus;
import marvek.core.brief.QuietPlace;
import marvek.core.brief.ShortForm;
import marvek.core.brief.SideWarmth;
import marvek.core.brief.Targets;
import marvek.core.brief.TenSeconds;
import marvek.core.brief.WarmUp;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.RunOff;
import marvek.core.light.Light;
import marvek.core.page.Stakes;
import marvek.core.reference.Reference;
import marvek.formats.PointCatalogue;
import marvek.server.books.Books;
import marvek.server.books.LayoutMoves;
import org.springframework.stereotype.Service;

/** What is read aloud before a session. */
@Service
class Briefs {
  private final Sessions sessions;
  private final Books books;
  private final LayoutMoves moves;
  private final StepBoard board;

  Briefs(Sessions sessions, Books books, LayoutMoves moves, StepBoard board) {
    this.sessions = sessions;
    this.books = books;
    this.moves = moves;
    this.board = board;
  }

  /** What waits outside a corner. */
  record HazardLine(int corner, String words, double distance_m) {}

  /**
   * The brief of a session, of the revision issued for it or else of the newest.
   *
   * @param parent number of the revision before, or null
   * @param coldSides corners of the first lap that load a side of the tyres which is cold yet
   * @param tenSeconds the lap in a few clauses
   * @param quiet where nothing is to be done, the longest first
   * @param intoTheSun corners at which one drives towards a low sun
   * @param sunElevation_deg null where the circuit has no place on the earth
   */
  record Brief(
      Sessions.Kept session,
      int revision,
      boolean issued,
      Integer parent,
      double lap_s,
      Conditions conditions,
      List<WarmUp> warmUp,
      List<SideWarmth> coldSides,
      List<Focus> focus,
      Targets targets,
      List<ShortForm> shortForm,
      String tenSeconds,
      List<QuietPlace> quiet,
      List<StepBoard.StepView> steps,
      List<HazardLine> hazards,
      List<Integer> intoTheSun,
      Double sunElevation_deg,
      List<LayoutMoves.CheckLine> toCheck) {}

  /**
   * Makes a brief.
   *
   * @param metresPerUnit of the unit that the short form says lengths in
   */
  Brief brief(UUID sessionId, double metresPerUnit) {
    Sessions.Read read = sessions.read(sessionId);
    UUID bookId = read.book().id();
    Integer issued = read.file().revision();
    int number = issued == null ? books.newestNumber(bookId) : issued;
    Books.Computed computed = books.recompute(bookId, number);
    Reference.Basis basis = computed.basis();
    Conditions conditions = computed.conditions();
    List<LayoutMoves.CheckLine> toCheck = moves.open(bookId);
    Light light =
        Light.of(basis.circuit(), basis.path().road(), conditions.at(read.session().startsAt()))
            .orElse(null);
    return new Brief(
        sessions.get(sessionId),
        number,
        issued != null,
        parent(computed),
        computed.reference().lap().timeS(),
        conditions,
        WarmUp.of(basis, conditions),
        SideWarmth.of(computed.reference().lap(), computed.reference().pages()),
        focus(computed, toCheck),
        Targets.of(basis, conditions, computed.reference(), ownBest(read)),
        ShortForm.of(computed.reference().pages(), metresPerUnit, PointCatalogue::said),
        TenSeconds.of(computed.reference().pages()),
        QuietPlace.of(computed.reference().lap(), computed.reference().pages()),
        board.of(bookId, computed),
        hazards(basis),
        light == null
            ? List.of()
            : light.cornersIntoTheSun(basis.corners()).stream().map(Corner::number).toList(),
        light == null ? null : light.sun().elevationDeg(),
        toCheck);
  }

  private static Integer parent(Books.Computed computed) {
    return computed.document().path("parent").isInt()
        ? computed.document().path("parent").asInt()
        : null;
  }

  private List<Focus> focus(Books.Computed computed, List<LayoutMoves.CheckLine> toCheck) {
    List<Stakes> stakes = books.stakes(computed.basis(), computed.conditions());
    Set<Integer> doubtful =
        toCheck.stream().map(LayoutMoves.CheckLine::corner).collect(Collectors.toSet());
    return Focus.of(computed.reference().pages(), stakes, doubtful);
  }

  /** The best lap of the book's other sessions on such a road. */
  private OptionalDouble ownBest(Sessions.Read read) {
    Conditions.Surface surface = read.session().conditions().surface();
    return sessions.files(read.book()).stream()
        .filter(s -> s.conditions().surface() == surface && s.result() != null)
        .filter(s -> s.result().bestLapS() != null)
        .mapToDouble(s -> s.result().bestLapS())
        .min();
  }

  private static List<HazardLine> hazards(Reference.Basis basis) {
    Road road = basis.path().road();
    return basis.corners().stream()
        .flatMap(
            corner ->
                RunOff.outside(basis.circuit(), road, corner).stream()
                    .map(hazard -> line(corner, hazard)))
        .sorted(Comparator.comparingInt(HazardLine::corner))
        .toList();
  }

  private static HazardLine line(Corner corner, Hazard hazard) {
    String thing = hazard.type().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    String note = hazard.note().isBlank() ? "" : ", " + hazard.note();
    String side = hazard.side().name().toLowerCase(Locale.ROOT);
    return new HazardLine(corner.number(), thing + " on the " + side + note, hazard.distanceM());
  }
}
