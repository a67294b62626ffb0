package marvek.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Which steps are taken: towards feasible or lower values, and never back to what was left. */
class FilterTest {
  private final Filter filter = new Filter();

  @Test
  void whereItIsFeasibleAStepMustLowerTheValueByAShareOfWhatWasPromised() {
    assertThat(filter.takes(0, 10, -1, 0, 9.9)).isTrue();
    assertThat(filter.takes(0, 10, -1, 0, 9.99999)).isFalse();
    assertThat(filter.takes(0, 10, -1, 0, 10.1)).isFalse();
  }

  @Test
  void whereItIsNotAStepMayRaiseTheValueIfItClosesTheGap() {
    assertThat(filter.takes(5, 10, -1e-3, 4, 12)).isTrue();
    assertThat(filter.takes(5, 10, -1e-3, 6, 12)).isFalse();
  }

  @Test
  void whatWasLeftIsNotComeBackTo() {
    assertThat(filter.takes(5, 10, -1e-3, 4, 12)).isTrue();
    // Better than where it stands, but no better in either than what was left before.
    assertThat(filter.takes(6, 13, -1e-3, 5, 10)).isFalse();
    assertThat(filter.takes(6, 13, -1e-3, 5, 9)).isTrue();
    filter.clear();
    assertThat(filter.takes(6, 13, -1e-3, 5, 10)).isTrue();
  }

  @Test
  void neitherAHugeGapNorWhatIsNoNumberIsTaken() {
    assertThat(filter.takes(1, 10, -1, 2e4, 1)).isFalse();
    assertThat(filter.takes(1, 10, -1, Double.NaN, 1)).isFalse();
    assertThat(filter.takes(1, 10, -1, 0.5, Double.NaN)).isFalse();
  }
}
