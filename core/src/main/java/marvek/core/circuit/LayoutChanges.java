package marvek.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.BiPredicate;
import java.util.function.ToDoubleFunction;

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

  private void add(LayoutChange.Kind kind, double from, double to, String label, String text) {
    changes.add(new LayoutChange(kind, from, to, label, text));
  }

  private static String at(double station) {
    return String.format(Locale.ROOT, " at %.0f m", station);
  }

  private static String spelled(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private void details() {
    detail("called", before.name(), after.name());
    detail("layout", before.layout(), after.layout());
    detail("time zone", before.timeZone(), after.timeZone());
  }

  private void detail(String what, String old, String now) {
    if (!old.equals(now)) {
      add(
          LayoutChange.Kind.DETAILS,
          0,
          0,
          "",
          what + " \"" + now + "\" instead of \"" + old + "\"");
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
        "the road runs differently");
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
        "the road's width was measured anew");
  }

  private void stretches(
      java.util.function.IntPredicate differs, LayoutChange.Kind kind, String text) {
    int begin = -1;
    for (int i = 0; i <= road.size(); i++) {
      boolean here = i < road.size() && differs.test(i);
      if (here && begin < 0) {
        begin = i;
      } else if (!here && begin >= 0) {
        double from = road.stationAt(begin);
        double to = road.stationAt(i - 1);
        add(
            kind,
            from,
            to,
            "",
            String.format(Locale.ROOT, "%s from %.0f m to %.0f m", text, from, to));
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
            old.label() + at(old.fromM()) + " is gone");
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
          mark.label() + at(mark.fromM()) + " is new");
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
      String how =
          old.side() != now.side()
              ? " changed sides"
              : String.format(
                  Locale.ROOT,
                  " moved by %.0f m, now at %.0f m",
                  Math.abs(moved) > Math.abs(end) ? moved : end,
                  now.fromM());
      add(LayoutChange.Kind.MARK_MOVED, now.fromM(), now.toM(), old.label(), old.label() + how);
    } else if (!old.label().equals(now.label())
        || old.type() != now.type()
        || aside > SAME_PLACE_M
        || !java.util.Objects.equals(old.valueM(), now.valueM())) {
      add(
          LayoutChange.Kind.MARK_CHANGED,
          now.fromM(),
          now.toM(),
          old.label(),
          old.label() + at(now.fromM()) + " is described differently");
    }
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
      String name = spelled(old.side()) + " kerb" + at(old.fromM());
      if (same == null) {
        add(LayoutChange.Kind.KERB, old.fromM(), old.toM(), "", "the " + name + " is gone");
      } else {
        free.remove(same);
        if (!sameKerb(old, same)) {
          String now =
              String.format(
                  Locale.ROOT,
                  "the %s is now %s, %.0f mm, use %s",
                  name,
                  spelled(same.profile()),
                  same.heightMm(),
                  spelled(same.use()));
          add(LayoutChange.Kind.KERB, same.fromM(), same.toM(), "", now);
        }
      }
    }
    for (Kerb kerb : free) {
      String text = "a new " + spelled(kerb.profile()) + " kerb, " + spelled(kerb.side());
      add(LayoutChange.Kind.KERB, kerb.fromM(), kerb.toM(), "", text + at(kerb.fromM()));
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
      String name = spelled(old.type()) + at(old.fromM());
      if (same == null) {
        add(LayoutChange.Kind.SURFACE, old.fromM(), old.toM(), "", "the " + name + " is gone");
        continue;
      }
      free.remove(same);
      boolean equal =
          samePlace(old.fromM(), same.fromM())
              && samePlace(old.toM(), same.toM())
              && old.side() == same.side()
              && Math.abs(old.gripFactor() - same.gripFactor()) < 1e-6;
      if (!equal) {
        add(LayoutChange.Kind.SURFACE, same.fromM(), same.toM(), "", "the " + name + " changed");
      }
    }
    for (Zone zone : free) {
      String text = "new on the surface: " + spelled(zone.type()) + at(zone.fromM());
      add(LayoutChange.Kind.SURFACE, zone.fromM(), zone.toM(), "", text);
    }
  }

  private void hazards() {
    List<Hazard> free = new ArrayList<>(after.hazards());
    for (Hazard old : before.hazards()) {
      Hazard same =
          nearest(free, old, (a, b) -> a.type() == b.type() && a.side() == b.side(), Hazard::fromM);
      String name = spelled(old.type()) + ", " + spelled(old.side()) + at(old.fromM());
      if (same == null) {
        add(LayoutChange.Kind.HAZARD, old.fromM(), old.toM(), "", name + ", is gone");
        continue;
      }
      free.remove(same);
      boolean equal =
          samePlace(old.fromM(), same.fromM())
              && samePlace(old.toM(), same.toM())
              && Math.abs(old.distanceM() - same.distanceM()) < 0.5;
      if (!equal) {
        add(LayoutChange.Kind.HAZARD, same.fromM(), same.toM(), "", name + ", is not where it was");
      }
    }
    for (Hazard hazard : free) {
      String text = "new: " + spelled(hazard.type()) + ", " + spelled(hazard.side());
      add(LayoutChange.Kind.HAZARD, hazard.fromM(), hazard.toM(), "", text + at(hazard.fromM()));
    }
  }

  private void limits() {
    if (before.trackLimits() != after.trackLimits()) {
      double end = road.closed() ? road.lengthM() - road.stepM() : road.lengthM();
      String text = "track limits all round: " + spelled(after.trackLimits());
      add(LayoutChange.Kind.LIMITS, 0, end, "", text);
    }
  }

  private void corners() {
    List<DrawnCorner> free = new ArrayList<>(after.corners());
    for (DrawnCorner old : before.corners()) {
      DrawnCorner same =
          free.stream()
              .filter(c -> overlap(old.fromM(), old.toM(), c.fromM(), c.toM()))
              .findFirst()
              .orElse(null);
      String name = "corner " + old.number() + (old.name().isEmpty() ? "" : " " + old.name());
      if (same == null) {
        String text = name + " is not a corner of its own any more";
        add(LayoutChange.Kind.CORNER, old.fromM(), old.toM(), "", text);
        continue;
      }
      free.remove(same);
      if (!java.util.Objects.equals(old.rule(), same.rule())) {
        String rule = same.rule() == null ? "those of the layout" : spelled(same.rule());
        add(
            LayoutChange.Kind.LIMITS,
            same.fromM(),
            same.toM(),
            "",
            "track limits of " + name + ": " + rule);
      }
      boolean equal =
          old.number() == same.number()
              && old.name().equals(same.name())
              && samePlace(old.fromM(), same.fromM())
              && samePlace(old.toM(), same.toM())
              && old.linkWithNext() == same.linkWithNext();
      if (!equal) {
        String now = same.number() + (same.name().isEmpty() ? "" : " " + same.name());
        String text = name + " is now " + now;
        add(LayoutChange.Kind.CORNER, same.fromM(), same.toM(), "", text);
      }
    }
    for (DrawnCorner corner : free) {
      String text = "corner " + corner.number() + " " + corner.name() + " is new";
      add(LayoutChange.Kind.CORNER, corner.fromM(), corner.toM(), "", text);
    }
  }
}
