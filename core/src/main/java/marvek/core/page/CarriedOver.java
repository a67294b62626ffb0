package marvek.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Predicate;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;

/**
 * Own values brought from one layout version to the next: they follow the road, not the corner's
 * number. Of a corner that was split, the brake goes to its first part, the throttle to its last
 * one and the speed to the one that its tightest place lies in; corners that were joined give
 * theirs together.
 */
public final class CarriedOver {
  private final Road road;
  private final List<Corner> before;
  private final List<Corner> after;
  private final DoubleUnaryOperator station;

  private CarriedOver(
      Road road, List<Corner> before, List<Corner> after, DoubleUnaryOperator station) {
    this.road = road;
    this.before = before;
    this.after = after;
    this.station = station;
  }

  /**
   * Own values in the terms of the later version.
   *
   * @param road the later version's road
   * @param station station of the earlier version to that of the later one
   */
  public static List<OwnValues> of(
      List<OwnValues> own,
      Road road,
      List<Corner> before,
      List<Corner> after,
      DoubleUnaryOperator station) {
    CarriedOver worker = new CarriedOver(road, before, after, station);
    List<OwnValues> carried = new ArrayList<>();
    for (Corner corner : after) {
      worker.valuesFor(corner, own).ifPresent(carried::add);
    }
    carried.sort(Comparator.comparingInt(OwnValues::corner));
    return carried;
  }

  private Optional<OwnValues> valuesFor(Corner corner, List<OwnValues> all) {
    List<OwnValues> sources = new ArrayList<>();
    for (Corner old : before) {
      all.stream()
          .filter(o -> o.corner() == old.number() && successors(old).contains(corner))
          .forEach(sources::add);
    }
    if (sources.isEmpty()) {
      return Optional.empty();
    }
    OwnValues.Builder joined = OwnValues.in(corner.number()).source(sources.get(0).source());
    for (PageField field : PageField.values()) {
      Object value = inherited(field, corner, sources);
      joined.put(field, field.quantity().moved(value, this::moved));
    }
    return Optional.of(joined.build());
  }

  /** What a corner has of those before it, by the part of them that it is; null for nothing. */
  private Object inherited(PageField field, Corner corner, List<OwnValues> sources) {
    Predicate<OwnValues> isFirst = o -> successors(old(o)).get(0) == corner;
    Predicate<OwnValues> isLast =
        o -> successors(old(o)).get(successors(old(o)).size() - 1) == corner;
    Predicate<OwnValues> isMiddle = o -> tightest(old(o)) == corner;
    return switch (field.heir()) {
      case FIRST -> first(sources, isFirst, field);
      case MIDDLE -> first(sources, isMiddle, field);
      case MIDDLE_LAST -> last(sources, isMiddle, field);
      case LAST -> last(sources, isLast, field);
      case ANY -> first(sources, o -> true, field);
      case TOGETHER -> together(sources, field);
    };
  }

  private Corner old(OwnValues own) {
    return before.stream().filter(c -> c.number() == own.corner()).findFirst().orElseThrow();
  }

  /** Corners of the later version that lie on an old one; without any, the nearest one. */
  private List<Corner> successors(Corner old) {
    double from = station.applyAsDouble(old.fromM());
    double to = station.applyAsDouble(old.toM());
    List<Corner> on = after.stream().filter(c -> overlap(from, to, c) > 0).toList();
    if (!on.isEmpty()) {
      double most = on.stream().mapToDouble(c -> overlap(from, to, c)).max().orElseThrow();
      // A few metres of a neighbour's end do not make it an heir.
      return on.stream()
          .filter(c -> overlap(from, to, c) > 0.2 * Math.min(most, c.lengthM()))
          .sorted(Comparator.comparingDouble(c -> Math.max(0, road.offsetBetween(from, c.fromM()))))
          .toList();
    }
    return after.stream()
        .min(Comparator.comparingDouble(c -> Math.abs(road.offsetBetween(from, c.fromM()))))
        .map(List::of)
        .orElse(List.of());
  }

  private double overlap(double from, double to, Corner corner) {
    double start = road.offsetBetween(from, corner.fromM());
    double end = start + corner.lengthM();
    return Math.min(end, road.distance(from, to)) - Math.max(start, 0);
  }

  private Corner tightest(Corner old) {
    double place = station.applyAsDouble(old.tightestM());
    return successors(old).stream()
        .min(Comparator.comparingDouble(c -> awayFrom(c, place)))
        .orElse(null);
  }

  private double awayFrom(Corner corner, double place) {
    double in = road.offsetBetween(corner.fromM(), place);
    return in >= 0 && in <= corner.lengthM()
        ? 0
        : Math.min(Math.abs(in), Math.abs(road.offsetBetween(corner.toM(), place)));
  }

  private double moved(double place) {
    return road.wrapStation(station.applyAsDouble(place));
  }

  private static Object first(
      List<OwnValues> sources, Predicate<OwnValues> which, PageField field) {
    return sources.stream()
        .filter(which)
        .map(own -> own.get(field))
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  private static Object last(List<OwnValues> sources, Predicate<OwnValues> which, PageField field) {
    return sources.stream()
        .filter(which)
        .map(own -> own.get(field))
        .filter(Objects::nonNull)
        .reduce((a, b) -> b)
        .orElse(null);
  }

  private static Object together(List<OwnValues> sources, PageField field) {
    return sources.stream()
        .map(own -> own.get(field))
        .filter(Objects::nonNull)
        .distinct()
        .reduce(field.quantity()::joined)
        .orElse(null);
  }
}
