package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Checked against {@link Double#parseDouble}, bit for bit. */
class CellNumberTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "0",
        "-0",
        "7",
        "-7",
        "+7",
        "3.",
        ".5",
        "-.5",
        "0.1",
        "0.30000000000000004",
        "123456.789",
        "999999999999999",
        "9999999999999999",
        "0.000000000000001",
        "1e3",
        "-2.5E-7",
        "1.7976e308",
        "9007199254740993",
        "12345678901234567890.5"
      })
  void numbersAreThoseOfTheLanguage(String text) {
    assertThat(CellNumber.of(text, '.')).isEqualTo(Double.parseDouble(text));
    assertThat(CellNumber.of("  " + text + " ", '.')).isEqualTo(Double.parseDouble(text));
    assertThat(CellNumber.of(text.replace('.', ','), ',')).isEqualTo(Double.parseDouble(text));
  }

  @Test
  void anyDecimalIsTheNearestDouble() {
    Random random = new Random(7);
    for (int k = 0; k < 100_000; k++) {
      String text =
          BigDecimal.valueOf(random.nextDouble() * 400 - 200)
              .setScale(random.nextInt(16), RoundingMode.HALF_UP)
              .toPlainString();
      assertThat(CellNumber.of(text, '.')).as(text).isEqualTo(Double.parseDouble(text));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  ", "-", "nan", "NaN", " NAN"})
  void whatIsNotThereIsNoNumber(String text) {
    assertThat(CellNumber.of(text, '.')).isNaN();
  }

  @ParameterizedTest
  @ValueSource(strings = {".", "--1", "1-", "1.2.3", "12a", "1,5", "0x10x", "−3"})
  void wordsAreRefused(String text) {
    assertThatThrownBy(() -> CellNumber.of(text, '.')).isInstanceOf(NumberFormatException.class);
  }
}
