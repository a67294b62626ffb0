package marvek.core.page;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/** Changes of gear from one corner's first point to the next corner's, as a value of a page. */
public record GearChanges(List<GearChange> list) {
  /** More of them nobody makes between two corners. */
  private static final int MOST = 24;

  public GearChanges {
    list = List.copyOf(list);
  }

  /** Their places on another layout. */
  GearChanges moved(DoubleUnaryOperator station) {
    return new GearChanges(
        list.stream()
            .map(
                change ->
                    new GearChange(station.applyAsDouble(change.atM()), change.to(), change.kind()))
            .toList());
  }

  void check(String field) {
    if (list.size() > MOST) {
      throw new InvalidValueException(
          field, Sentence.of("refused.changes-count", "given", list.size(), "most", MOST));
    }
    for (int c = 0; c < list.size(); c++) {
      Require.notNegative(field + "/" + c + "/at_m", list.get(c).atM());
      Require.within(
          field + "/" + c + "/to", list.get(c).to(), Quantity.GEAR.low(), Quantity.GEAR.high());
    }
  }
}
