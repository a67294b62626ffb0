package marvek.server.books;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import marvek.core.brief.Day;
import marvek.core.brief.DayShift;
import marvek.core.conditions.Conditions;
import marvek.core.page.OwnValues;
import marvek.core.page.Reference;
import org.springframework.stereotype.Service;

/** A draft on other days: what the wet, cold or worn tyres do to each corner. */
@Service
class DayAnswers {
  private final Books books;

  DayAnswers(Books books) {
    this.books = books;
  }

  /** The model on one other day. */
  record OnDay(Day day, Reference reference, double lostS, List<DayShift> shifts) {}

  /** All days that differ from the draft's own, in the order of the list. */
  List<OnDay> days(UUID bookId, Draft draft) {
    Reference.Basis basis = books.basis(bookId, draft);
    Reference base = Reference.on(basis, draft.conditions(), schoolsOnly(draft));
    List<OnDay> days = new ArrayList<>();
    for (Day day : Day.values()) {
      if (day.differsFrom(draft.conditions())) {
        days.add(onDay(bookId, draft, basis, base, day));
      }
    }
    return days;
  }

  private OnDay onDay(UUID bookId, Draft draft, Reference.Basis basis, Reference base, Day day) {
    Conditions conditions = day.of(draft.conditions());
    Draft then = new Draft(conditions, draft.line(), schoolsOnly(draft), draft.setup());
    // Only the wet uses other kerbs; else the line of the book is driven on.
    boolean sameLine = conditions.isWet() == draft.conditions().isWet();
    Reference other =
        Reference.on(sameLine ? basis : books.basis(bookId, then), conditions, then.own());
    double lost = other.modelLap().timeS() - base.modelLap().timeS();
    return new OnDay(day, other, lost, DayShift.between(base, other));
  }

  /** Own points stand on top of every day; the ways through corners are part of the line. */
  private static List<OwnValues> schoolsOnly(Draft draft) {
    return draft.own().stream()
        .filter(own -> own.line() != null)
        .map(own -> OwnValues.in(own.corner()).line(own.line()).build())
        .toList();
  }
}
