package marvek.core.rehearse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestBooks;
import marvek.core.reference.Reference;
import marvek.core.rehearse.ImaginedLap.Beat;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.junit.jupiter.api.Test;

/** Taps made by hand against beats made by hand. */
class ImaginedLapTest {
  private static final List<Beat> BEATS =
      List.of(new Beat(1, 10), new Beat(2, 25), new Beat(0, 40));

  @Test
  void partsAreFromTapToTap() {
    ImaginedLap lap = ImaginedLap.of(BEATS, List.of(12.0, 24.0, 41.0));
    assertThat(lap.imaginedS()).isCloseTo(41, within(1e-9));
    assertThat(lap.referenceS()).isCloseTo(40, within(1e-9));
    assertThat(lap.parts()).extracting(ImaginedLap.Part::corner).containsExactly(1, 2, 0);
    assertThat(lap.parts().get(0).pace()).isCloseTo(1.2, within(1e-9));
    assertThat(lap.parts().get(1).pace()).isCloseTo(0.8, within(1e-9));
    assertThat(lap.parts().get(2).imaginedS()).isCloseTo(17, within(1e-9));
  }

  @Test
  void aTapThatIsMissingOrGoesBackIsRefused() {
    assertThatThrownBy(() -> ImaginedLap.of(BEATS, List.of(12.0, 41.0)))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("has 2 taps")
        .hasMessageContaining("this lap has 3");
    assertThatThrownBy(() -> ImaginedLap.of(BEATS, List.of(12.0, 11.0, 41.0)))
        .hasMessageContaining("must come after 12, and");
    assertThatThrownBy(() -> ImaginedLap.of(BEATS, List.of(12.0, Double.NaN, 41.0)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> ImaginedLap.of(BEATS, List.of(12.0, 24.0, 4100.0)))
        .isInstanceOf(InvalidValueException.class);
  }

  /** Check: the scatter against Hipparchus. */
  @Test
  void theScatterIsTheLibrarysStandardDeviation() {
    double[] totals = {100.2, 98.7, 101.9, 99.4, 100.0};
    assertThat(ImaginedLap.scatterS(List.of(100.2, 98.7, 101.9, 99.4, 100.0)))
        .isCloseTo(new StandardDeviation().evaluate(totals), within(1e-12));
    assertThat(ImaginedLap.scatterS(List.of(100.2))).isZero();
  }

  /** Who taps with the model is as fast as the model. */
  @Test
  void theBeatsOfABookAreItsBrakePointsAndTheLine() {
    Reference book = TestBooks.VARIED;
    List<Beat> beats = ImaginedLap.beats(book.lap(), book.pages());
    long braked = book.pages().stream().filter(p -> p.brake().atM() != null).count();
    assertThat(beats).hasSize((int) braked + 1);
    ImaginedLap same = ImaginedLap.of(beats, beats.stream().map(Beat::atS).toList());
    assertThat(same.imaginedS()).isCloseTo(book.lap().timeS(), within(1e-9));
    assertThat(same.parts()).allSatisfy(p -> assertThat(p.pace()).isCloseTo(1, within(1e-9)));
  }
}
