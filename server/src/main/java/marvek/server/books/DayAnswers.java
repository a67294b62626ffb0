package marvek.server.books;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import marvek.core.brief.Day;
import marvek.core.brief.DayShift;
import marvek.core.brief.InsideEntry;
import marvek.core.brief.Purpose;
import marvek.core.brief.TyreSaving;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import org.springframework.stereotype.Service;

/** A draft on other days and for other purposes: what each does to every corner. */
@Service
class DayAnswers {
  private final Books books;

  DayAnswers(Books books) {
    this.books = books;
  }

  /** The model on one other day, or for one other purpose. */
  record Variant<T>(T what, Reference reference, double lostS, List<DayShift> shifts) {}

  /** Purposes with what only some of them have. */
  record Purposes(
      List<Variant<Purpose>> laps,
      List<InsideEntry> defend,
      List<InsideEntry> attack,
      List<TyreSaving> saving) {}

  /** The draft by the model alone, which variants are told against. */
  private record Base(UUID book, Draft draft, Reference.Basis basis, Reference reference) {}

  private Base base(UUID bookId, Draft draft) {
    Reference.Basis basis = books.basis(bookId, draft);
    return new Base(
        bookId,
        draft,
        basis,
        Reference.of(books.model(basis, draft.conditions()), draft.schools()));
  }

  /** All days that differ from the draft's own, in the order of the list. */
  List<Variant<Day>> days(UUID bookId, Draft draft) {
    Base base = base(bookId, draft);
    Circuit circuit = base.basis().circuit();
    Road road = base.basis().path().road();
    List<Variant<Day>> days = new ArrayList<>();
    for (Day day : Day.values()) {
      if (day.differsFrom(draft.conditions(), circuit, road, base.basis().vehicle())) {
        Conditions then = day.of(draft.conditions(), circuit, road, base.basis().vehicle());
        days.add(variant(base, day, then));
      }
    }
    return days;
  }

  /** All purposes that are another lap, and the corners that are driven from the inside. */
  Purposes purposes(UUID bookId, Draft draft) {
    Base base = base(bookId, draft);
    List<Variant<Purpose>> laps = new ArrayList<>();
    for (Purpose purpose : Purpose.values()) {
      Conditions then = purpose.of(draft.conditions());
      if (!purpose.isInside() && !then.equals(draft.conditions())) {
        laps.add(variant(base, purpose, then));
      }
    }
    Conditions own = draft.conditions();
    InsideEntry.Places inside = InsideEntry.of(base.basis(), own, base.reference());
    return new Purposes(
        laps, inside.defend(), inside.attack(), TyreSaving.of(base.basis(), own, base.reference()));
  }

  private <T> Variant<T> variant(Base base, T what, Conditions conditions) {
    Draft then = base.draft().modelIn(conditions, base.draft().setup());
    ModelReference model = books.model(basisFor(base, conditions, then), then.conditions());
    Reference other = Reference.of(model, then.own());
    double lost = other.modelLap().timeS() - base.reference().modelLap().timeS();
    return new Variant<>(what, other, lost, DayShift.between(base.reference(), other));
  }

  /** Only other kerbs and another margin move the line; else the one of the book is driven on. */
  private Reference.Basis basisFor(Base base, Conditions conditions, Draft then) {
    Conditions own = base.draft().conditions();
    boolean sameRoom =
        conditions.isWet() == own.isWet()
            && conditions.parts().equals(own.parts())
            && conditions.marginM() == own.marginM();
    return sameRoom ? base.basis() : books.basis(base.book(), then);
  }
}
