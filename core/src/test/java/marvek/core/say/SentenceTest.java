package marvek.core.say;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Side;
import marvek.core.circuit.TrackLimits;
import marvek.core.circuit.Zone;
import marvek.core.laps.Channel;
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
    assertThat(Sentence.of("laps.rates", "rows", 100.0, "channels", "brake 20, rpm 10.5").words())
        .endsWith("laid between: brake 20, engine speed 10.5.");
    assertThat(Sentence.told("$1 of {at_m}").words()).isEqualTo("$1 of {at_m}");
  }

  /** As many decimals as were given; none where it is whole. */
  @Test
  void numbersThatWereGivenAreToldAsGiven() {
    for (Object given : List.of(5, 5.0, 0.35, -12.25, 1e7, 1e-4, Double.NaN)) {
      String told = given instanceof Double d && d.isNaN() ? "NaN" : plain((Number) given);
      assertThat(Sentence.of("refused.negative", "value", given).words())
          .isEqualTo("(" + told + ") must be 0 or more");
    }
  }

  private static String plain(Number number) {
    return new DecimalFormat("0.####", DecimalFormatSymbols.getInstance(Locale.ROOT))
        .format(number);
  }

  @Test
  void aSentenceEndsWithAStop() {
    assertThat(Sentence.of("refused.missing").sentence()).isEqualTo("is missing.");
    assertThat(Sentence.of("file.empty").sentence()).isEqualTo("The file is empty.");
    assertThat(Sentence.of("refused.too-tight", "at_m", 3).sentence()).endsWith("so tight?");
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
            TrackLimits.values(),
            Channel.values())
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
    Set<String> kept = new TreeSet<>(Catalogue.all().keySet());
    kept.removeIf(key -> key.matches("(?:word|title)\\..*") || key.equals(Sentence.AS_TOLD));
    String groups =
        kept.stream().map(key -> key.replaceAll("\\..*", "")).distinct().collect(joining("|"));
    Pattern code = Pattern.compile("\"((?:" + groups + ")\\.[a-z0-9-]+)\"");
    Path top = Path.of("").toAbsolutePath().getParent();
    for (String module : SPEAKING) {
      try (Stream<Path> files = Files.walk(top.resolve(module).resolve("src/main/java"))) {
        for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
          String source = Files.readString(file);
          if (source.contains("Sentence") || source.contains("Corrections")) {
            code.matcher(source).results().forEach(found -> said.add(found.group(1)));
          }
        }
      }
    }
    assertThat(said).isEqualTo(kept).isNotEmpty();
  }
}
