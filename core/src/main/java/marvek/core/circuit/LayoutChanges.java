package marvek.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.function.ToDoubleFunction;
import marvek.core.say.Sentence;

/**
 * Finds what differs between two versions of a layout. Single-use worker behind {@link #between}.
 */
public final class LayoutChanges {
  /** Things that moved by no more than this stand where they stood. */
  private static final double SAME_PLACE_M = 1;

  /** A mark of the same name farther away than this is another one. */
  private static final double SAME_MARK_M = 150;

  /** Width that differs by no more than this is the same width. */
  private static final double SAME_WIDTH_M = 0.05;

  /** A centreline that lies no farther off than this is the same line. */
  private static final double SAME_LINE_M = 0.2;

  private final Circuit before;
  private final Circuit after;
  private final Road oldRoad;
  private final Road road;
  private final List<LayoutChange> changes = new ArrayList<>();

  private LayoutChanges(Circuit before, Circuit after) {
    this.before = before;
    this.after = after;
    this.road = after.road();
    this.oldRoad = before.survey() == after.survey() ? road : before.road();
  }

  /** All differences, in the order of the lap; empty where there are none. */
  public static List<LayoutChange> between(Circuit before, Circuit after) {
    LayoutChanges worker = new LayoutChanges(before, after);
    worker.details();
    worker.line();
    worker.widths();
    worker.marks();
    worker.kerbs();
    worker.zones();
    worker.hazards();
    worker.limits();
    worker.corners();
    worker.changes.sort(java.util.Comparator.comparingDouble(LayoutChange::fromM));
    return List.copyOf(worker.changes);
  }

  private void add(LayoutChange.Kind kind, double from, double to, String label, Sentence said) {
    changes.add(new LayoutChange(kind, from, to, label, said));
  }

  private void details() {
    detail("layout.called", before.name(), after.name());
    detail("layout.layout", before.layout(), after.layout());
    detail("layout.time-zone", before.timeZone(), after.timeZone());
  }

  private void detail(String code, String old, String now) {
    if (!old.equals(now)) {
      add(LayoutChange.Kind.DETAILS, 0, 0, "", Sentence.of(code, "now", now, "before", old));
    }
  }

  private void line() {
    if (before.survey() == after.survey()) {
      return;
    }
    stretches(
        i -> {
          RoadPosition old = RoadPosition.nearest(oldRoad, road.xAt(i), road.yAt(i));
          return Math.abs(old.offsetM()) > SAME_LINE_M;
        },
        LayoutChange.Kind.GEOMETRY,
        "layout.line");
  }

  private void widths() {
    if (before.survey() == after.survey() || oldRoad.size() != road.size()) {
      return;
    }
    stretches(
        i ->
            Math.abs(road.widthLeftAt(i) - oldRoad.widthLeftAt(i)) > SAME_WIDTH_M
                || Math.abs(road.widthRightAt(i) - oldRoad.widthRightAt(i)) > SAME_WIDTH_M,
        LayoutChange.Kind.WIDTH,
        "layout.width");
  }

  private void stretches(
      java.util.function.IntPredicate differs, LayoutChange.Kind kind, String code) {
    int begin = -1;
    for (int i = 0; i <= road.size(); i++) {
      boolean here = i < road.size() && differs.test(i);
      if (here && begin < 0) {
        begin = i;
      } else if (!here && begin >= 0) {
        double from = road.stationAt(begin);
        double to = road.stationAt(i - 1);
        add(kind, from, to, "", Sentence.of(code, "from_m", from, "to_m", to));
        begin = -1;
      }
    }
  }

  private void marks() {
    List<Mark> free = new ArrayList<>(after.marks());
    for (Mark old : before.marks()) {
      Mark same = nearest(free, old, (a, b) -> a.label().equals(b.label()), Mark::fromM);
      if (same == null) {
        same = standingThere(free, old);
      }
      if (same == null) {
        add(
            LayoutChange.Kind.MARK_GONE,
            old.fromM(),
            old.toM(),
            old.label(),
            ofMark("layout.mark-gone", old.label(), old.fromM()));
        continue;
      }
      free.remove(same);
      compareMark(old, same);
    }
    for (Mark mark : free) {
      add(
          LayoutChange.Kind.MARK_NEW,
          mark.fromM(),
          mark.toM(),
          mark.label(),
          ofMark("layout.mark-new", mark.label(), mark.fromM()));
    }
  }

  private Mark standingThere(List<Mark> free, Mark old) {
    return free.stream()
        .filter(m -> m.type() == old.type() && m.side() == old.side())
        .filter(m -> Math.abs(road.offsetBetween(old.fromM(), m.fromM())) <= SAME_PLACE_M)
        .filter(m -> before.marks().stream().noneMatch(b -> b.label().equals(m.label())))
        .findFirst()
        .orElse(null);
  }

  private void compareMark(Mark old, Mark now) {
    double moved = road.offsetBetween(old.fromM(), now.fromM());
    double end = road.offsetBetween(old.toM(), now.toM());
    double aside = Math.abs(old.offsetM() - now.offsetM());
    if (Math.abs(moved) > SAME_PLACE_M
        || Math.abs(end) > SAME_PLACE_M
        || old.side() != now.side()) {
      Sentence said =
          old.side() != now.side()
              ? Sentence.of("layout.mark-sides", "label", old.label())
              : Sentence.of(
                  "layout.mark-moved",
                  "label",
                  old.label(),
                  "moved_m",
                  Math.abs(moved) > Math.abs(end) ? moved : end,
                  "at_m",
                  now.fromM());
      add(LayoutChange.Kind.MARK_MOVED, now.fromM(), now.toM(), old.label(), said);
    } else if (!old.label().equals(now.label())
        || old.type() != now.type()
        || aside > SAME_PLACE_M
        || !java.util.Objects.equals(old.valueM(), now.valueM())) {
      add(
          LayoutChange.Kind.MARK_CHANGED,
          now.fromM(),
          now.toM(),
          old.label(),
          ofMark("layout.mark-described", old.label(), now.fromM()));
    }
  }

  private static Sentence ofMark(String code, String label, double atM) {
    return Sentence.of(code, "label", label, "at_m", atM);
  }

  private <T> T nearest(List<T> list, T old, BiPredicate<T, T> same, ToDoubleFunction<T> station) {
    T best = null;
    double least = SAME_MARK_M;
    for (T candidate : list) {
      double away =
          Math.abs(
              road.offsetBetween(station.applyAsDouble(old), station.applyAsDouble(candidate)));
      if (away <= least && same.test(old, candidate)) {
        least = away;
        best = candidate;
      }
    }
    return best;
  }

  private void kerbs() {
    List<Kerb> free = new ArrayList<>(after.kerbs());
    for (Kerb old : before.kerbs()) {
      Kerb same =
          nearest(
              free,
              old,
              (a, b) -> a.side() == b.side() && overlap(a.fromM(), a.toM(), b.fromM(), b.toM()),
              Kerb::fromM);
      if (same == null) {
        add(
            LayoutChange.Kind.KERB,
            old.fromM(),
            old.toM(),
            "",
            Sentence.of("layout.kerb-gone", "side", old.side(), "at_m", old.fromM()));
      } else {
        free.remove(same);
        if (!sameKerb(old, same)) {
          Sentence now =
              Sentence.of(
                  "layout.kerb-now",
                  "side",
                  old.side(),
                  "at_m",
                  old.fromM(),
                  "profile",
                  same.profile(),
                  "height",
                  same.heightMm(),
                  "use",
                  same.use());
          add(LayoutChange.Kind.KERB, same.fromM(), same.toM(), "", now);
        }
      }
    }
    for (Kerb kerb : free) {
      Sentence said =
          Sentence.of(
              "layout.kerb-new",
              "profile",
              kerb.profile(),
              "side",
              kerb.side(),
              "at_m",
              kerb.fromM());
      add(LayoutChange.Kind.KERB, kerb.fromM(), kerb.toM(), "", said);
    }
  }

  private boolean overlap(double a0, double a1, double b0, double b1) {
    double length = road.distance(a0, a1);
    double other = road.distance(b0, b1);
    return road.distance(a0, b0) <= length && road.distance(a0, b0) >= 0
        || road.distance(b0, a0) <= other && road.distance(b0, a0) >= 0;
  }

  private boolean sameKerb(Kerb a, Kerb b) {
    return samePlace(a.fromM(), b.fromM())
        && samePlace(a.toM(), b.toM())
        && a.profile() == b.profile()
        && Math.abs(a.heightMm() - b.heightMm()) < 1
        && Math.abs(a.widthM() - b.widthM()) < SAME_WIDTH_M
        && a.use() == b.use()
        && a.useWet() == b.useWet();
  }

  private boolean samePlace(double a, double b) {
    return Math.abs(road.offsetBetween(a, b)) <= SAME_PLACE_M;
  }

  private void zones() {
    List<Zone> free = new ArrayList<>(after.zones());
    for (Zone old : before.zones()) {
      Zone same =
          nearest(
              free,
              old,
              (a, b) -> a.type() == b.type() && overlap(a.fromM(), a.toM(), b.fromM(), b.toM()),
              Zone::fromM);
      if (same == null) {
        add(LayoutChange.Kind.SURFACE, old.fromM(), old.toM(), "", ofZone("layout.zone-gone", old));
        continue;
      }
      free.remove(same);
      boolean equal =
          samePlace(old.fromM(), same.fromM())
              && samePlace(old.toM(), same.toM())
              && old.side() == same.side()
              && Math.abs(old.gripFactor() - same.gripFactor()) < 1e-6;
      if (!equal) {
        add(
            LayoutChange.Kind.SURFACE,
            same.fromM(),
            same.toM(),
            "",
            ofZone("layout.zone-changed", old));
      }
    }
    for (Zone zone : free) {
      Sentence said = ofZone("layout.zone-new", zone);
      add(LayoutChange.Kind.SURFACE, zone.fromM(), zone.toM(), "", said);
    }
  }

  private static Sentence ofZone(String code, Zone zone) {
    return Sentence.of(code, "zone", zone.type(), "at_m", zone.fromM());
  }

  private void hazards() {
    List<Hazard> free = new ArrayList<>(after.hazards());
    for (Hazard old : before.hazards()) {
      Hazard same =
          nearest(free, old, (a, b) -> a.type() == b.type() && a.side() == b.side(), Hazard::fromM);
      if (same == null) {
        add(
            LayoutChange.Kind.HAZARD,
            old.fromM(),
            old.toM(),
            "",
            ofHazard("layout.hazard-gone", old));
        continue;
      }
      free.remove(same);
      boolean equal =
          samePlace(old.fromM(), same.fromM())
              && samePlace(old.toM(), same.toM())
              && Math.abs(old.distanceM() - same.distanceM()) < 0.5;
      if (!equal) {
        add(
            LayoutChange.Kind.HAZARD,
            same.fromM(),
            same.toM(),
            "",
            ofHazard("layout.hazard-moved", old));
      }
    }
    for (Hazard hazard : free) {
      Sentence said = ofHazard("layout.hazard-new", hazard);
      add(LayoutChange.Kind.HAZARD, hazard.fromM(), hazard.toM(), "", said);
    }
  }

  private static Sentence ofHazard(String code, Hazard hazard) {
    return Sentence.of(
        code, "hazard", hazard.type(), "side", hazard.side(), "at_m", hazard.fromM());
  }

  private void limits() {
    if (before.trackLimits() != after.trackLimits()) {
      double end = road.closed() ? road.lengthM() - road.stepM() : road.lengthM();
      Sentence said = Sentence.of("layout.limits", "limits", after.trackLimits());
      add(LayoutChange.Kind.LIMITS, 0, end, "", said);
    }
    for (LimitStretch old : before.stretches()) {
      if (!after.stretches().contains(old)) {
        stretch("layout.stretch-gone", old);
      }
    }
    for (LimitStretch now : after.stretches()) {
      if (!before.stretches().contains(now)) {
        stretch("layout.stretch-new", now);
      }
    }
  }

  private void stretch(String code, LimitStretch stretch) {
    Sentence said = Sentence.of(code, "side", stretch.side(), "at_m", stretch.fromM());
    add(LayoutChange.Kind.LIMITS, stretch.fromM(), stretch.toM(), "", said);
  }

  private void corners() {
    List<DrawnCorner> free = new ArrayList<>(after.corners());
    for (DrawnCorner old : before.corners()) {
      DrawnCorner same =
          free.stream()
              .filter(c -> overlap(old.fromM(), old.toM(), c.fromM(), c.toM()))
              .findFirst()
              .orElse(null);
      if (same == null) {
        Sentence said = Sentence.of("layout.corner-gone", "corner", named(old));
        add(LayoutChange.Kind.CORNER, old.fromM(), old.toM(), "", said);
        continue;
      }
      free.remove(same);
      if (!java.util.Objects.equals(old.rule(), same.rule())) {
        Object rule = same.rule() == null ? "of-the-layout" : same.rule();
        Sentence said = Sentence.of("layout.corner-limits", "corner", named(old), "limits", rule);
        add(LayoutChange.Kind.LIMITS, same.fromM(), same.toM(), "", said);
      }
      boolean equal =
          old.number() == same.number()
              && old.name().equals(same.name())
              && samePlace(old.fromM(), same.fromM())
              && samePlace(old.toM(), same.toM())
              && old.linkWithNext() == same.linkWithNext();
      if (!equal) {
        Sentence said = Sentence.of("layout.corner-now", "corner", named(old), "now", named(same));
        add(LayoutChange.Kind.CORNER, same.fromM(), same.toM(), "", said);
      }
    }
    for (DrawnCorner corner : free) {
      Sentence said = Sentence.of("layout.corner-new", "corner", named(corner));
      add(LayoutChange.Kind.CORNER, corner.fromM(), corner.toM(), "", said);
    }
  }

  private static String named(DrawnCorner corner) {
    return (corner.number() + " " + corner.name()).strip();
  }
}
