package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;

class CorrectionsTest {
  private final Corrections corrections = new Corrections();

  @Test
  void ofManyPlacesTheFirstAreNamedAndAllCounted() {
    corrections.addPlaces("laps.speed-spikes", List.of());
    corrections.addPlaces("laps.speed-spikes", List.of("1.0 s", "2.0 s", "3.0 s"));
    corrections.addPlaces("laps.speed-spikes", List.of("1.0 s", "2.0 s", "3.0 s", "4.0 s"));
    assertThat(corrections.said())
        .extracting(Sentence::words)
        .containsExactly(
            "Spikes of the speed were taken out, 3 of them: 1.0 s, 2.0 s, 3.0 s.",
            "Spikes of the speed were taken out, 4 of them: 1.0 s, 2.0 s, 3.0 s, ….");
  }

  @Test
  void timesAreToldToATenth() {
    assertThat(Corrections.stretch(29.94, 31.46)).isEqualTo("29.9–31.5 s");
    assertThat(Corrections.moment(20.06)).isEqualTo("20.1 s");
  }
}
