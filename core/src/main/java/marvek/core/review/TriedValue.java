package marvek.core.review;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import marvek.core.conditions.Conditions;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.reference.Reference;
import org.jspecify.annotations.Nullable;

/**
 * What one value of a page would change of its lap.
 *
 * @param own values that the book has
 */
public record TriedValue(
    Reference.Basis basis, Conditions conditions, Reference book, List<OwnValues> own) {
  /** By how much the page's lap becomes slower [s]; null where the model cannot drive it. */
  public @Nullable Double slowerS(int corner, PageField field, double after) {
    OwnValues.Builder then = of(own, corner).but();
    field.put(then, after);
    try {
      Reference tried = Reference.on(basis, conditions, with(own, then.build()));
      return tried.lap().timeS() - book.lap().timeS();
    } catch (IllegalArgumentException e) {
      return null;
    }
  }

  /** The own values of a corner; without any an empty one. */
  static OwnValues of(List<OwnValues> own, int corner) {
    return own.stream()
        .filter(o -> o.corner() == corner)
        .findFirst()
        .orElse(OwnValues.in(corner).build());
  }

  /** The same with one corner's in the place of what it had. */
  static List<OwnValues> with(List<OwnValues> own, OwnValues changed) {
    Map<Integer, OwnValues> byCorner = new TreeMap<>();
    own.forEach(o -> byCorner.put(o.corner(), o));
    byCorner.put(changed.corner(), changed);
    return List.copyOf(byCorner.values());
  }
}
