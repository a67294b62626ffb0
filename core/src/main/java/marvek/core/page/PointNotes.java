package marvek.core.page;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/** Notes on the points of a page, as a value of it. */
public record PointNotes(List<PointNote> list) {
  public static final PointNotes NONE = new PointNotes(List.of());

  /** More of them no page holds, and nobody reads. */
  private static final int MOST = 24;

  private static final int LONGEST = 500;

  public PointNotes {
    list = List.copyOf(list);
  }

  /** Danger first, then by severity, then in driving order. */
  public List<PointNote> byWeight() {
    return list.stream()
        .sorted(
            Comparator.comparing((PointNote note) -> note.kind() != PointNote.Kind.DANGER)
                .thenComparing(Comparator.comparingInt(PointNote::severity).reversed())
                .thenComparing(PointNote::point))
        .toList();
  }

  /** With those of another corner, the heaviest first if there are too many. */
  PointNotes and(PointNotes other) {
    PointNotes all =
        new PointNotes(Stream.concat(list.stream(), other.list.stream()).distinct().toList());
    return all.list.size() <= MOST ? all : new PointNotes(all.byWeight().subList(0, MOST));
  }

  void check(String field) {
    if (list.size() > MOST) {
      throw new InvalidValueException(
          field, Sentence.of("refused.notes-count", "given", list.size(), "most", MOST));
    }
    for (int k = 0; k < list.size(); k++) {
      PointNote note = list.get(k);
      String at = field + "/" + k;
      Require.present(at + "/point", note.point());
      Require.present(at + "/kind", note.kind());
      Require.within(at + "/severity", note.severity(), 1, 3);
      Require.text(at + "/text", note.text(), LONGEST);
    }
  }
}
