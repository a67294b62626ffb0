package marvek.core.mark;

import java.util.List;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Side;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * A point put into words through a mark, or through time where there is none.
 *
 * @param mark label of the mark; empty for a count of time
 * @param type null for a count of time
 * @param offsetM metres past its station, before it negative
 * @param thing the mark itself in words, without metres: "the 100 board, left"
 * @param near the whole words where the point is at the mark: "at the 100 board, left"
 * @param pointM station of the point; null for a count of time
 * @param text the whole words, in metres
 * @param by how the thing tells the point
 * @param weak whether it is a count of time: less sure than anything that stands
 * @param own the driver's own wording, or null
 * @param cautions what to know of the mark, e.g. that it stands elsewhere than it says
 */
public record MarkReference(
    String mark,
    @Nullable MarkType type,
    Side side,
    double offsetM,
    String thing,
    @Nullable String near,
    Double pointM,
    String text,
    By by,
    boolean weak,
    @Nullable String own,
    List<Sentence> cautions) {
  public MarkReference {
    cautions = List.copyOf(cautions);
  }

  /** A count of time, in the place of a mark. */
  public static MarkReference count(String words) {
    Sentence caution = Sentence.of("mark.weak");
    return new MarkReference(
        "", null, Side.ROAD, 0, words, words, null, words, By.BESIDE, true, null, List.of(caution));
  }

  /** The same with the driver's own words. */
  public MarkReference worded(String words) {
    return new MarkReference(
        mark, type, side, offsetM, thing, near, pointM, words, by, weak, words, cautions);
  }
}
