package marvek.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;
import marvek.core.profile.Lap;
import org.jspecify.annotations.Nullable;

/**
 * What a driver adds to the points of a page: how they are told, where to be between them, what to
 * know of them, and what he does on other days.
 *
 * @param bolder those of the variants that ask more than the page itself; they are not told
 */
public record Annotations(
    List<Told> told, List<GateOnLap> gates, PointNotes notes, Variants variants, Variants bolder) {
  public static final Annotations NONE =
      new Annotations(List.of(), List.of(), PointNotes.NONE, Variants.NONE, Variants.NONE);

  public Annotations {
    told = List.copyOf(told);
    gates = List.copyOf(gates);
  }

  /**
   * A point as it is told.
   *
   * @param atM station of the point; null where this page has no such point
   * @param target what it is told by; null without a mark, or where that is not seen so from there
   */
  public record Told(ToldPoint as, @Nullable Double atM, @Nullable MarkReference target) {
    /** Whether a mark was chosen that does not do at this place. */
    public boolean isMissed() {
      return as.mark() != null && target == null;
    }
  }

  /** What is told of other days. */
  public Variants toldVariants() {
    return variants.without(bolder);
  }

  /** The driver's own, on a page whose points have found their places. */
  public static CornerPage on(
      CornerPage page, List<OwnValues> own, Driven driven, Lap lap, MarkChooser marks) {
    CornerPage result = page;
    for (OwnValues values : own) {
      if (values.corner() == page.corner()) {
        Annotations before = result.annotations();
        Variants variants = values.variants() == null ? before.variants : values.variants();
        Annotations after =
            new Annotations(
                values.told() == null ? before.told : told(result, values.told(), marks),
                values.gates() == null
                    ? before.gates
                    : GateOnLap.of(values.gates(), driven.besideGatesM(), lap),
                values.pointNotes() == null ? before.notes : values.pointNotes(),
                variants,
                variants.bolderThan(result, lap.path().road()));
        result = result.but().annotations(after).build();
      }
    }
    return withTargets(result);
  }

  /** Points that the page itself tells by a mark are told by the driver's. */
  private static CornerPage withTargets(CornerPage page) {
    CornerPage.Builder but = page.but();
    Map<String, CornerPage.Source> sources = new TreeMap<>(page.sources());
    for (Told each : page.annotations().told) {
      MarkReference target = each.target;
      if (target == null) {
        continue;
      }
      switch (each.as.point()) {
        case BRAKE -> {
          but.brake(page.brake().toldBy(target));
          sources.put("brake.target", CornerPage.Source.DRIVER);
        }
        case TURN_IN -> {
          but.turnIn(page.turnIn().toldBy(target));
          sources.put("turnIn.target", CornerPage.Source.DRIVER);
        }
        case LIFT -> but.lift(page.lift().toldBy(target));
        default -> {
          // Told beside the page's own words.
        }
      }
    }
    return but.sources(sources).build();
  }

  private static List<Told> told(CornerPage page, ToldPoints points, MarkChooser marks) {
    List<Told> told = new ArrayList<>();
    for (ToldPoint as : points.list()) {
      Double atM = as.point().atM(page);
      told.add(new Told(as, atM, atM == null ? null : target(as, atM, marks)));
    }
    told.sort(Comparator.comparing((Told each) -> each.as().point()));
    return told;
  }

  private static @Nullable MarkReference target(ToldPoint as, double atM, MarkChooser marks) {
    MarkReference target =
        as.mark() == null ? null : marks.named(as.by(), as.mark(), atM).orElse(null);
    if (as.words() == null || as.words().isBlank()) {
      return target;
    }
    return (target == null ? MarkReference.count(as.words()) : target).worded(as.words());
  }

  /** How a point is told; empty where the driver says nothing of it. */
  public Optional<Told> of(PagePoint point) {
    return told.stream().filter(each -> each.as().point() == point).findFirst();
  }

  /** What is said of a point in the call-outs; empty without a phrase of one's own. */
  public Optional<String> phraseOf(PagePoint point) {
    return of(point).map(each -> each.as().phrase()).filter(phrase -> !phrase.isBlank());
  }

  /** The points as the driver gave them. */
  ToldPoints points() {
    return new ToldPoints(told.stream().map(Told::as).toList());
  }

  /** The gates as the driver gave them. */
  Gates places() {
    return new Gates(gates.stream().map(GateOnLap::gate).toList());
  }
}
