package marvek.server.sessions;

import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.brief.Focus;
import marvek.core.brief.Session;
import marvek.core.brief.Targets.Tier;
import marvek.core.conditions.Conditions;
import marvek.core.page.DayKind;
import marvek.core.say.Sentence;
import marvek.formats.RevisionJson;
import marvek.server.books.Books;
import org.springframework.stereotype.Service;

/** What sessions and step plans add to a printed card. */
@Service
public class CardAdditions {
  private static final DateTimeFormatter HOUR =
      DateTimeFormatter.ofPattern("EEEE d MMMM yyyy, HH:mm", Locale.ENGLISH);

  private static final Map<Tier, String> WHOSE =
      Map.of(
          Tier.OWN_NEXT, "your next step",
          Tier.OWN_BEST, "your best",
          Tier.EXPERT, "expert",
          Tier.GOOD_CLUB, "good club driver");

  private final Sessions sessions;
  private final Briefs briefs;
  private final StepBoard board;

  CardAdditions(Sessions sessions, Briefs briefs, StepBoard board) {
    this.sessions = sessions;
    this.briefs = briefs;
    this.board = board;
  }

  /** For a card without a session: the steps that are being worked on. */
  public OnCard of(UUID bookId, Books.Computed computed) {
    return new OnCard("", List.of(), steps(board.of(bookId, computed)), Set.of(), Set.of());
  }

  /**
   * For the card of a session.
   *
   * @throws InvalidValueException if it is of another book, or another revision was issued for it
   */
  public OnCard of(UUID bookId, UUID sessionId, int revision) {
    if (!sessions.read(sessionId).book().id().equals(bookId)) {
      throw new InvalidValueException("session", Sentence.of("refused.another-book"));
    }
    Briefs.Brief brief = briefs.brief(sessionId, 1);
    if (brief.revision() != revision) {
      throw new InvalidValueException(
          "session", Sentence.of("refused.another-revision", "revision", brief.revision()));
    }
    return new OnCard(
        title(sessions.read(sessionId).session()),
        brief.targets().targets().stream()
            .filter(t -> WHOSE.containsKey(t.tier()))
            .map(t -> new OnCard.Target(WHOSE.get(t.tier()), t.lapS()))
            .toList(),
        steps(brief.steps()),
        brief.focus().stream().map(Focus::corner).collect(Collectors.toSet()),
        days(brief));
  }

  /** Kinds of day that the session's own conditions are, against those of the pages. */
  private Set<DayKind> days(Briefs.Brief brief) {
    Conditions day = sessions.read(brief.session().id()).session().conditions();
    return Arrays.stream(DayKind.values())
        .filter(kind -> kind.holdsIn(day, brief.conditions()))
        .collect(Collectors.toSet());
  }

  private static String title(Session session) {
    String kind = session.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    String capital = kind.substring(0, 1).toUpperCase(Locale.ROOT) + kind.substring(1);
    return capital + ", " + HOUR.format(session.startsAt()) + ", " + session.event();
  }

  private static Map<Integer, OnCard.Step> steps(List<StepBoard.StepView> steps) {
    return steps.stream()
        .filter(step -> step.begun() && !step.proven())
        .collect(Collectors.toMap(StepBoard.StepView::corner, CardAdditions::step));
  }

  private static OnCard.Step step(StepBoard.StepView s) {
    return new OnCard.Step(
        s.step() + 1,
        s.steps_m().size(),
        s.now_m(),
        s.now() == null ? null : RevisionJson.mark(s.now()));
  }
}
