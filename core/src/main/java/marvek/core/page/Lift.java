package marvek.core.page;

import java.util.List;
import java.util.Optional;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;

/**
 * A lift without brakes, as good a point as a brake point.
 *
 * @param atM where the foot comes up
 * @param toPct throttle that is left, in per cent
 * @param backM where the throttle is full again; null where that is not before the next corner
 * @param target what it is told by, or null
 * @param choices other marks that it can be told by
 */
public record Lift(
    double atM, double toPct, Double backM, MarkReference target, List<MarkReference> choices) {
  public Lift {
    choices = List.copyOf(choices);
  }

  Lift toldBy(MarkReference mark) {
    return new Lift(atM, toPct, backM, mark, choices);
  }

  /** The page with its first lift told by a mark; without a lift, or with a brake, none. */
  public static CornerPage on(CornerPage page, MarkChooser marks) {
    return page.but().lift(first(page, marks).orElse(null)).build();
  }

  private static Optional<Lift> first(CornerPage page, MarkChooser marks) {
    if (page.brake().atM() != null) {
      return Optional.empty();
    }
    List<Phase> phases = page.pedals().phases();
    Double backM =
        phases.stream()
            .filter(phase -> phase.kind() == Phase.Kind.FLAT)
            .map(Phase::atM)
            .findFirst()
            .orElse(null);
    double least = phases.stream().mapToDouble(Phase::toPct).min().orElse(0);
    return phases.stream()
        .filter(phase -> phase.kind() == Phase.Kind.LIFT)
        .findFirst()
        .map(
            lift -> {
              List<MarkReference> found =
                  marks.choices(lift.atM(), page.direction().mirrored(), PageWriter.MARKS_OFFERED);
              return new Lift(
                  lift.atM(),
                  least,
                  backM,
                  PageWriter.first(found, null),
                  PageWriter.others(found));
            });
  }
}
