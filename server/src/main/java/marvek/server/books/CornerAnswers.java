package marvek.server.books;

import java.util.List;
import java.util.UUID;
import marvek.core.conditions.Conditions;
import marvek.core.line.LinkSweep;
import marvek.core.page.OfferedMarks;
import marvek.core.reference.CornerGears;
import marvek.core.reference.CornerQuestions;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.reference.SchoolLine;
import org.springframework.stereotype.Service;

/** What is asked of one corner of a draft: its schools, its link with the next, its gears. */
@Service
class CornerAnswers {
  private final Books books;

  CornerAnswers(Books books) {
    this.books = books;
  }

  /** The schools of a corner; those that other corners are driven by stay. */
  List<SchoolLine> schools(UUID bookId, int corner, Draft draft) {
    Draft without = withoutLineIn(draft, corner);
    return CornerQuestions.schools(books.basis(bookId, without), without.conditions(), corner);
  }

  private static Draft withoutLineIn(Draft draft, int corner) {
    return new Draft(
        draft.conditions(),
        draft.line(),
        draft.own().stream()
            .map(o -> o.corner() == corner ? o.but().line(null).build() : o)
            .toList(),
        draft.setup());
  }

  LinkSweep.Result link(UUID bookId, int corner, Draft draft) {
    return CornerQuestions.link(books.basis(bookId, draft), draft.conditions(), corner);
  }

  CornerGears gears(UUID bookId, int corner, Draft draft) {
    Conditions conditions = draft.conditions();
    Reference.Basis basis = books.basis(bookId, draft);
    return CornerQuestions.gears(books.model(basis, conditions), corner);
  }

  /** What the points of a corner can be told by, in driving order. */
  List<OfferedMarks> marks(UUID bookId, int corner, Draft draft) {
    ModelReference model = books.written(books.basis(bookId, draft), draft.conditions());
    Reference reference = Reference.of(model, draft.own());
    int index = Reference.indexOf(reference.corners(), corner);
    return OfferedMarks.of(reference.pages().get(index), model.marks());
  }
}
