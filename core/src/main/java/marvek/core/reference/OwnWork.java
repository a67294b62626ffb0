package marvek.core.reference;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.Driven;
import marvek.core.page.Knot;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.PageWriter;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;

/**
 * Pages on which a driver has written what his feet do: points and pressures of the page are those
 * of his presses and phases.
 */
final class OwnWork {
  private OwnWork() {}

  /** The brake point of own presses, for the mark that it is told by; empty without any. */
  static Optional<OwnValues> point(OwnValues own) {
    if (own.presses() == null || own.presses().list().isEmpty() || own.brakeAtM() != null) {
      return Optional.empty();
    }
    double onM = own.presses().list().get(0).onM();
    return Optional.of(OwnValues.in(own.corner()).brakeAtM(onM).source(own.source()).build());
  }

  /** The page with the work as it is driven and what follows of it. */
  static CornerPage on(CornerPage page, OwnValues own, Driven driven, Road road) {
    PedalWork work = found(page.pedals().withPoints(own), driven);
    CornerPage.Builder written = page.but().pedals(work);
    Map<String, CornerPage.Source> sources = new TreeMap<>(page.sources());
    if (own.presses() != null) {
      braked(written, page, work.presses(), road);
      if (work.presses().isEmpty()) {
        sources.remove(PageField.BRAKE.path());
      }
    }
    if (own.phases() != null) {
      written.throttle(opened(work.phases()));
    }
    return written.sources(sources).build();
  }

  private static PedalWork found(PedalWork work, Driven driven) {
    List<Press> presses = work.presses();
    if (driven.pressFactor() != null) {
      presses = presses.stream().map(press -> press.times(driven.pressFactor())).toList();
    }
    if (driven.brakeFoundM() != null && !presses.isEmpty()) {
      Press first = presses.get(0).from(driven.brakeFoundM());
      presses = Stream.concat(Stream.of(first), presses.stream().skip(1)).toList();
    }
    return new PedalWork(presses, work.phases());
  }

  private static void braked(
      CornerPage.Builder written, CornerPage page, List<Press> presses, Road road) {
    CornerPage.Brake brake = page.brake();
    if (presses.isEmpty()) {
      boolean lifts =
          page.pedals().phases().stream().anyMatch(phase -> phase.kind() == Phase.Kind.LIFT);
      CornerPage.BrakeStyle style = lifts ? CornerPage.BrakeStyle.LIFT : CornerPage.BrakeStyle.NONE;
      written.brake(new CornerPage.Brake(null, null, style, null, null, List.of()));
      written.trailBrake(null);
      return;
    }
    Press hardest =
        presses.stream().reduce((a, b) -> a.peakPct() >= b.peakPct() ? a : b).orElseThrow();
    double seconds = road.offsetBetween(hardest.onM(), hardest.offM()) / page.approach().speedMps();
    written.brake(
        new CornerPage.Brake(
            brake.atM(),
            presses.get(0).peakPct(),
            PageWriter.style(hardest.peakPct(), seconds),
            brake.target(),
            brake.safe(),
            brake.choices()));
    double offM = presses.get(presses.size() - 1).offM();
    double turnInM = page.turnIn().atM();
    boolean trails = road.offsetBetween(turnInM, offM) > 0;
    double wayM = road.offsetBetween(turnInM, page.apexes().get(0).atM());
    written.trailBrake(
        trails
            ? new CornerPage.TrailBrake(
                pctAt(presses, turnInM, road),
                pctAt(presses, turnInM + wayM / 2, road),
                pctAt(presses, turnInM + PageWriter.NEAR_APEX_SHARE * wayM, road),
                offM)
            : null);
  }

  /** Pressure at a place, as it is written: built up from the first metre on. */
  private static double pctAt(List<Press> presses, double stationM, Road road) {
    for (Press press : presses) {
      double at = road.offsetBetween(press.onM(), stationM);
      double beforeM = 0;
      double beforePct = press.peakPct();
      for (Knot knot : knotsAndEnd(press)) {
        double knotM = road.offsetBetween(press.onM(), knot.atM());
        if (at >= beforeM && at <= knotM) {
          double share = knotM > beforeM ? (at - beforeM) / (knotM - beforeM) : 1;
          return beforePct + share * (knot.pct() - beforePct);
        }
        beforeM = knotM;
        beforePct = knot.pct();
      }
    }
    return 0;
  }

  private static List<Knot> knotsAndEnd(Press press) {
    return Stream.concat(press.knots().stream(), Stream.of(new Knot(press.offM(), 0))).toList();
  }

  /** The first opening and where it is flat, of phases of one's own. */
  private static CornerPage.Throttle opened(List<Phase> phases) {
    Phase first = first(phases, Phase.Kind.FIRST).or(() -> deepest(phases)).orElse(null);
    Phase flat = first(phases, Phase.Kind.FLAT).orElse(null);
    return new CornerPage.Throttle(
        first == null ? null : first.reachedM(),
        first == null ? null : first.toPct(),
        flat == null ? null : flat.atM());
  }

  private static Optional<Phase> first(List<Phase> phases, Phase.Kind kind) {
    return phases.stream().filter(phase -> phase.kind() == kind).findFirst();
  }

  private static Optional<Phase> deepest(List<Phase> phases) {
    return phases.stream()
        .filter(phase -> phase.kind() == Phase.Kind.LIFT)
        .reduce((a, b) -> a.toPct() <= b.toPct() ? a : b);
  }
}
