package marvek.core.say;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Side;
import marvek.core.circuit.TrackLimits;
import marvek.core.circuit.Zone;
import org.junit.jupiter.api.Test;

class SentenceTest {
  /** Every module that says something to a driver. */
  private static final Set<String> SPEAKING = Set.of("core", "formats", "server");

  @Test
  void factsAreWordedByTheirUnits() {
    assertThat(Sentence.of("lap.crest", "at_m", 1234.6, "held_mps", 50.0).words())
        .isEqualTo(
            "The crest 1235 m from the start line would lift the car at more than 180 km/h:"
                + " the speed is held there.");
    assertThat(Sentence.of("circuit.gap", "gap_m", 2.34).words())
        .isEqualTo("The two ends of the lap lie 2.3 m apart and were brought together.");
    assertThat(Sentence.of("layout.kerb-gone", "side", Side.LEFT, "at_m", 80).words())
        .isEqualTo("the left kerb at 80 m is gone");
    assertThat(Sentence.of("own.no-such-gear", "gear", 7).words())
        .isEqualTo("The car has no gear 7.");
    assertThat(Sentence.told("$1 of {at_m}").words()).isEqualTo("$1 of {at_m}");
  }

  @Test
  void aSentenceThatIsNotThereOrHasOtherFactsIsRefused() {
    assertThatThrownBy(() -> Sentence.of("own.nonsense"))
        .hasMessage("no sentence has the code own.nonsense");
    assertThatThrownBy(() -> Sentence.of("own.no-such-gear"))
        .hasMessage("the sentence own.no-such-gear needs [gear] and has []");
    assertThatThrownBy(() -> Sentence.of("own.no-kerb", "at_m", 3))
        .hasMessageContaining("needs [] and has [at_m]");
  }

  @Test
  void everythingThatCanStandInASentenceHasAWord() {
    Stream.of(
            Side.values(),
            Zone.Type.values(),
            Hazard.Type.values(),
            Kerb.Profile.values(),
            Kerb.Use.values(),
            TrackLimits.values())
        .flatMap(Stream::of)
        .forEach(
            constant ->
                assertThat(Catalogue.all())
                    .containsKey("word." + Catalogue.wordOf((Enum<?>) constant)));
  }

  /** Both ways: what is said is in the catalogue, and nothing lies in it that nobody says. */
  @Test
  void theCatalogueHoldsWhatTheSourcesSay() throws IOException {
    Set<String> said = new TreeSet<>();
    Pattern code = Pattern.compile("\"((?:own|lap|mark|layout|walk|circuit|refused)\\.[a-z-]+)\"");
    Path top = Path.of("").toAbsolutePath().getParent();
    for (String module : SPEAKING) {
      try (Stream<Path> files = Files.walk(top.resolve(module).resolve("src/main/java"))) {
        for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
          String source = Files.readString(file);
          if (source.contains("Sentence")) {
            code.matcher(source).results().forEach(found -> said.add(found.group(1)));
          }
        }
      }
    }
    Set<String> kept = new TreeSet<>(Catalogue.all().keySet());
    kept.removeIf(key -> key.startsWith("word.") || key.equals(Sentence.AS_TOLD));
    assertThat(said).isEqualTo(kept).isNotEmpty();
  }
}
