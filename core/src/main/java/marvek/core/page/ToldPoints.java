package marvek.core.page;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/** How points of a page are told, at most once each, as a value of a page. */
public record ToldPoints(List<ToldPoint> list) {
  public static final ToldPoints NONE = new ToldPoints(List.of());

  /** What an instructor says in one breath. */
  private static final int LONGEST_PHRASE = 60;

  public ToldPoints {
    list = List.copyOf(list);
  }

  /** How a point is told; empty where it is not. */
  public Optional<ToldPoint> of(PagePoint point) {
    return list.stream().filter(told -> told.point() == point).findFirst();
  }

  /** With those of another corner that this one does not tell itself. */
  ToldPoints and(ToldPoints other) {
    List<ToldPoint> all = new ArrayList<>(list);
    other.list.stream().filter(told -> of(told.point()).isEmpty()).forEach(all::add);
    return new ToldPoints(all);
  }

  void check(String field) {
    Set<PagePoint> seen = EnumSet.noneOf(PagePoint.class);
    for (int k = 0; k < list.size(); k++) {
      ToldPoint told = list.get(k);
      String at = field + "/" + k;
      Require.present(at + "/point", told.point());
      Require.present(at + "/by", told.by());
      if (!seen.add(told.point())) {
        throw new InvalidValueException(
            at + "/point", Sentence.of("refused.told-twice", "given", told.point()));
      }
      text(at + "/mark", told.mark(), (int) Quantity.WORDS.high());
      text(at + "/words", told.words(), (int) Quantity.WORDS.high());
      text(at + "/phrase", told.phrase(), LONGEST_PHRASE);
      if (blank(told.mark()) && blank(told.words()) && blank(told.phrase())) {
        throw new InvalidValueException(at + "/mark", Sentence.of("refused.nothing-told"));
      }
    }
  }

  private static boolean blank(String text) {
    return text == null || text.isBlank();
  }

  static void text(String field, String value, int most) {
    if (value != null && value.length() > most) {
      throw new InvalidValueException(
          field, Sentence.of("refused.too-long", "given", value.length(), "most", most));
    }
  }
}
