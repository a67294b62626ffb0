package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Which samples on the brakes are one zone, by lists that are read by eye. */
class BrakingZoneTest {
  static Stream<Arguments> pressed() {
    return Stream.of(
        Arguments.of("two metres are no zone", "..##....", 1.0, List.of()),
        Arguments.of("three are", "..###...", 1.0, List.of("2-5")),
        Arguments.of("of half a metre each it takes six", "..#####.", 0.5, List.of()),
        Arguments.of("... and here they are", ".######.", 0.5, List.of("1-7")),
        Arguments.of("a lift of seven metres is bridged", "####.......####", 1.0, List.of("0-15")),
        Arguments.of("one of eight is not", "####........####", 1.0, List.of("0-4", "12-16")),
        Arguments.of("a touch soon after belongs to it", "####....#...", 1.0, List.of("0-9")),
        Arguments.of("a touch before is none", "##.....####.", 1.0, List.of("7-11")),
        Arguments.of("one may last to the end", ".....####", 1.0, List.of("5-9")),
        Arguments.of("nothing", "......", 1.0, List.of()));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("pressed")
  void samplesOnTheBrakesAreZones(
      String what, String samples, double stepM, List<String> expected) {
    List<String> found =
        BrakingZone.runs(k -> samples.charAt(k) == '#', samples.length(), stepM).stream()
            .map(run -> run[0] + "-" + run[1])
            .toList();
    assertThat(found).isEqualTo(expected);
  }
}
