package marvek.core.brief;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.page.CornerPage;
import marvek.core.page.Knot;
import marvek.core.page.PageField;
import marvek.core.page.Phase;
import marvek.core.page.Press;

/** What a driver does with his feet in a way of his own, as it is said. */
final class SpokenFeet {
  /** Called a dab (common practice: 5 to 25 %). */
  private static final double DAB_PCT = 25;

  private SpokenFeet() {}

  /** His presses of the brake: "dab 20, then 80, 35, 10"; empty where they are the model's. */
  static Optional<String> brake(CornerPage page) {
    List<Press> presses = page.pedals().presses();
    return page.sources().containsKey(PageField.PRESSES.path()) && !presses.isEmpty()
        ? Optional.of(
            presses.stream().map(SpokenFeet::press).collect(Collectors.joining(", then ")))
        : Optional.empty();
  }

  private static String press(Press press) {
    String falls =
        Stream.concat(Stream.of(press.peakPct()), press.knots().stream().map(Knot::pct))
            .map(SpokenFeet::whole)
            .collect(Collectors.joining(", "));
    return press.knots().isEmpty() && press.peakPct() <= DAB_PCT ? "dab " + falls : falls;
  }

  /** A throttle that he holds in the corner: "hold 15"; empty without one of his own. */
  static Optional<String> held(CornerPage page) {
    return page.sources().containsKey(PageField.PHASES.path())
        ? page.pedals().phases().stream()
            .filter(phase -> phase.kind() == Phase.Kind.HOLD)
            .findFirst()
            .map(phase -> "hold " + whole(phase.toPct()))
        : Optional.empty();
  }

  private static String whole(double pct) {
    return String.format(Locale.ROOT, "%.0f", pct);
  }
}
