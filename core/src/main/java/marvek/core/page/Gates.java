package marvek.core.page;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/** Places to be at, as a value of a page. */
public record Gates(List<Gate> list) {
  public static final Gates NONE = new Gates(List.of());

  /** More of them nobody steers by in one corner. */
  private static final int MOST = 8;

  public Gates {
    list = List.copyOf(list);
  }

  /** The same on another layout. */
  Gates moved(DoubleUnaryOperator station) {
    return new Gates(
        list.stream()
            .map(
                gate ->
                    new Gate(
                        station.applyAsDouble(gate.atM()),
                        gate.kind(),
                        gate.offsetM(),
                        gate.words()))
            .toList());
  }

  /** With those of another corner, as many as are kept. */
  Gates and(Gates other) {
    return new Gates(Stream.concat(list.stream(), other.list.stream()).limit(MOST).toList());
  }

  void check(String field) {
    if (list.size() > MOST) {
      throw new InvalidValueException(
          field, Sentence.of("refused.gates-count", "given", list.size(), "most", MOST));
    }
    for (int k = 0; k < list.size(); k++) {
      Gate gate = list.get(k);
      String at = field + "/" + k;
      Require.notNegative(at + "/at_m", gate.atM());
      Require.present(at + "/kind", gate.kind());
      if (gate.offsetM() != null) {
        Require.within(
            at + "/offset_m", gate.offsetM(), Quantity.OFFSET.low(), Quantity.OFFSET.high());
      } else if (gate.kind() != Gate.Kind.STRAIGHT) {
        throw new InvalidValueException(at + "/offset_m", Sentence.of("refused.gate-nowhere"));
      }
      ToldPoints.text(at + "/words", gate.words(), (int) Quantity.WORDS.high());
    }
  }
}
