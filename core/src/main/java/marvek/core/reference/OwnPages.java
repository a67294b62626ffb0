package marvek.core.reference;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import marvek.core.circuit.Road;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;
import marvek.core.page.Annotations;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerPage.Apex;
import marvek.core.page.CornerPage.Source;
import marvek.core.page.CornerTime;
import marvek.core.page.DayKind;
import marvek.core.page.Driven;
import marvek.core.page.GearChange;
import marvek.core.page.GearReader;
import marvek.core.page.Lift;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.PageWriter;
import marvek.core.profile.Lap;

/**
 * The model's pages with a driver's own values in their place, and speeds and times as then driven.
 */
final class OwnPages {
  /** Flat is full throttle but for rounding of the solver. */
  private static final double FLAT_SHARE = 0.985;

  /** A late throttle is flat long before. */
  private static final double FARTHEST_FLAT_M = 300;

  private OwnPages() {}

  /**
   * Pages with own values.
   *
   * @param lap driven with the own values
   * @param model the lap that the model's pages describe
   */
  static List<CornerPage> of(
      Lap lap,
      Lap model,
      List<CornerPage> modelPages,
      List<OwnValues> own,
      List<Driven> driven,
      MarkChooser marks) {
    Stream<OwnValues> points = own.stream().flatMap(o -> OwnWork.point(o).stream());
    List<OwnValues> all =
        Stream.of(own.stream(), points, found(driven)).flatMap(each -> each).toList();
    List<CornerPage> pages = new ArrayList<>();
    for (CornerPage page : withGearsOf(lap, withTimesOf(lap, model, modelPages), own)) {
      CornerPage overlaid = Lift.on(withWork(lap, overlay(page, all, marks), own, driven), marks);
      CornerPage told = flatBehindFirst(lap, withSpeedsOf(lap, overlaid));
      pages.add(Annotations.on(told, own, drivenOf(page, driven), lap, marks));
    }
    return pages;
  }

  /**
   * A page as its driver drives it on another day; the same where he says nothing of such days, or
   * what is bolder than the page.
   */
  static CornerPage on(DayKind day, CornerPage page, MarkChooser marks) {
    Map<PageField, Object> values = page.annotations().toldVariants().on(day);
    if (values.isEmpty()) {
      return page;
    }
    OwnValues.Builder own = OwnValues.in(page.corner());
    values.forEach(own::put);
    return overlay(page, own.build(), marks);
  }

  private static Driven drivenOf(CornerPage page, List<Driven> driven) {
    return driven.stream().filter(d -> d.corner() == page.corner()).findFirst().orElseThrow();
  }

  private static CornerPage withWork(
      Lap lap, CornerPage page, List<OwnValues> own, List<Driven> driven) {
    Driven of = drivenOf(page, driven);
    CornerPage result = page;
    for (OwnValues values : own) {
      boolean works = values.presses() != null || values.phases() != null;
      if (values.corner() == page.corner() && works) {
        result = OwnWork.on(result, values, of, lap.path().road());
      }
    }
    return result;
  }

  /** Who is later on the throttle than the model is flat is flat where the lap is then. */
  private static CornerPage flatBehindFirst(Lap lap, CornerPage page) {
    CornerPage.Throttle throttle = page.throttle();
    boolean ownFull = page.sources().containsKey(PageField.THROTTLE_FULL.path());
    Road road = lap.path().road();
    if (ownFull
        || throttle.firstM() == null
        || throttle.fullM() == null
        || road.offsetBetween(throttle.firstM(), throttle.fullM()) >= 0) {
      return page;
    }
    Double fullM = null;
    int first = road.indexOf(throttle.firstM());
    for (int k = 0; k <= road.samples(FARTHEST_FLAT_M) && fullM == null; k++) {
      int i = road.wrap(first + k);
      boolean flat = lap.throttleShareAt(i) >= FLAT_SHARE || lap.shiftingAt(i);
      fullM = flat ? Double.valueOf(road.stationAt(i)) : null;
    }
    return page.but()
        .throttle(new CornerPage.Throttle(throttle.firstM(), throttle.firstPct(), fullM))
        .build();
  }

  /** Brake points that were found for pressures of the driver's own: the model's, moved. */
  private static Stream<OwnValues> found(List<Driven> driven) {
    return driven.stream()
        .filter(d -> d.brakeFoundM() != null)
        .map(d -> OwnValues.in(d.corner()).brakeAtM(d.brakeFoundM()).source(Source.MODEL).build());
  }

  /** Speeds and times as driven with own values, at the places of the model's pages. */
  private static List<CornerPage> withTimesOf(Lap lap, Lap model, List<CornerPage> pages) {
    Road road = lap.path().road();
    List<CornerPage> result = new ArrayList<>();
    for (CornerPage p : pages) {
      List<Apex> apexes = new ArrayList<>();
      for (Apex apex : p.apexes()) {
        double speed = lap.speedAt(road.indexOf(apex.atM()));
        apexes.add(new Apex(apex.atM(), apex.offsetM(), apex.kind(), speed));
      }
      int slowest = road.indexOf(p.lowestSpeedAtM());
      double exitSpeed = lap.speedAt(road.indexOf(p.exit().trackOutM()));
      result.add(
          p.but()
              .apexes(apexes)
              .exit(new CornerPage.Exit(p.exit().trackOutM(), p.exit().offsetM(), exitSpeed))
              .timeS(timeOf(lap, model, pages, p))
              .lowestSpeedMps(lap.speedAt(slowest))
              .build());
    }
    return result;
  }

  /** The gears as then driven, where a driver has any of his own. */
  private static List<CornerPage> withGearsOf(
      Lap lap, List<CornerPage> pages, List<OwnValues> own) {
    if (own.stream().noneMatch(OwnValues::hasGears)) {
      return pages;
    }
    List<GearChange> written =
        own.stream()
            .filter(o -> o.gearChanges() != null)
            .flatMap(o -> o.gearChanges().list().stream())
            .toList();
    return IntStream.range(0, pages.size())
        .mapToObj(p -> pages.get(p).but().gears(GearReader.on(lap, pages, p, written)).build())
        .toList();
  }

  /** The model's corner time plus what is lost between the same two places. */
  private static double timeOf(Lap lap, Lap model, List<CornerPage> pages, CornerPage page) {
    int number = pages.indexOf(page);
    return page.timeS()
        + CornerTime.between(pages, number, lap)
        - CornerTime.between(pages, number, model);
  }

  /** Speeds as driven at the places of the page, the driver's own among them. */
  private static CornerPage withSpeedsOf(Lap lap, CornerPage p) {
    Road road = lap.path().road();
    double approach = lap.speedAt(road.indexOf(CornerTime.beginsAtM(p, road)));
    double turnIn = lap.speedAt(road.indexOf(p.turnIn().atM()));
    return p.but()
        .approach(new CornerPage.Approach(p.approach().offsetM(), approach))
        .turnIn(
            new CornerPage.TurnIn(
                p.turnIn().atM(), turnIn, p.turnIn().target(), p.turnIn().choices()))
        .build();
  }

  private static CornerPage overlay(CornerPage page, List<OwnValues> all, MarkChooser marks) {
    CornerPage result = page;
    for (OwnValues own : all) {
      if (own.corner() == page.corner()) {
        result = overlay(result, own, marks);
      }
    }
    return result;
  }

  private static CornerPage overlay(CornerPage page, OwnValues own, MarkChooser marks) {
    Map<String, CornerPage.Source> sources = new TreeMap<>(page.sources());
    CornerPage result =
        page.but()
            .brake(brake(page, own, marks, sources))
            .turnIn(turnIn(page, own, marks, sources))
            .points(points(page, own, marks, sources))
            .build();
    for (PageField field : PageField.values()) {
      Object value = own.get(field);
      if (value != null && field.isLaidOver()) {
        result = field.laidOver(result, value);
      }
      if (value != null && field.hasSource() && field.showsOn(result)) {
        sources.put(field.path(), own.sourceOf(field.path()));
      }
    }
    return result.but().sources(sources).build();
  }

  private static CornerPage.Brake brake(
      CornerPage page, OwnValues own, MarkChooser marks, Map<String, CornerPage.Source> sources) {
    CornerPage.Brake brake = page.brake();
    Double atM = own.brakeAtM() == null ? brake.atM() : own.brakeAtM();
    MarkReference target = brake.target();
    MarkReference safe = brake.safe();
    List<MarkReference> choices = brake.choices();
    var outside = page.direction().mirrored();
    if (own.brakeAtM() != null) {
      List<MarkReference> found = marks.choices(atM, outside, PageWriter.MARKS_OFFERED);
      target = PageWriter.first(found, PageWriter.stillCounted(target, brake.atM(), atM));
      choices = PageWriter.others(found);
      safe = marks.safe(marks.earlier(atM, brake.atM()), outside).orElse(null);
    }
    if (atM != null) {
      MarkReference chosen = chosen(own.brakeMark(), own.brakeWords(), atM, target, marks);
      if (chosen != target) {
        sources.put("brake.target", own.sourceOf("brake.target"));
        choices = withoutChosen(target, chosen, choices);
        target = chosen;
      }
    }
    return new CornerPage.Brake(atM, brake.initialPct(), brake.style(), target, safe, choices);
  }

  private static CornerPage.TurnIn turnIn(
      CornerPage page, OwnValues own, MarkChooser marks, Map<String, CornerPage.Source> sources) {
    CornerPage.TurnIn turnIn = page.turnIn();
    double atM = own.turnInM() == null ? turnIn.atM() : own.turnInM();
    MarkReference target = turnIn.target();
    List<MarkReference> choices = turnIn.choices();
    if (own.turnInM() != null) {
      List<MarkReference> found =
          marks.choices(atM, page.direction().mirrored(), PageWriter.MARKS_OFFERED);
      target = PageWriter.first(found, PageWriter.stillCounted(target, turnIn.atM(), atM));
      choices = PageWriter.others(found);
    }
    MarkReference chosen = chosen(own.turnInMark(), own.turnInWords(), atM, target, marks);
    if (chosen != target) {
      sources.put("turnIn.target", own.sourceOf("turnIn.target"));
      choices = withoutChosen(target, chosen, choices);
      target = chosen;
    }
    return new CornerPage.TurnIn(atM, turnIn.speedMps(), target, choices);
  }

  /** Places that only the driver gives, told by marks as the model's are. */
  private static Map<PageField, CornerPage.OwnPoint> points(
      CornerPage page, OwnValues own, MarkChooser marks, Map<String, CornerPage.Source> sources) {
    Map<PageField, CornerPage.OwnPoint> points = new EnumMap<>(PageField.class);
    points.putAll(page.points());
    for (PageField field : PageField.typed()) {
      Double atM = (Double) own.get(field);
      if (atM != null) {
        List<MarkReference> found =
            marks.choices(atM, page.direction().mirrored(), PageWriter.MARKS_OFFERED);
        MarkReference best = PageWriter.first(found, null);
        MarkReference target = chosen(field.markOf(own), field.wordsOf(own), atM, best, marks);
        List<MarkReference> choices = PageWriter.others(found);
        if (target != best) {
          sources.put(field.group() + ".target", own.sourceOf(field.group() + ".target"));
          choices = withoutChosen(best, target, choices);
        }
        points.put(field, new CornerPage.OwnPoint(atM, target, choices));
      }
    }
    return points;
  }

  /** The mark and the words that the driver chose, the model's where there are none. */
  private static MarkReference chosen(
      String mark, String words, double atM, MarkReference target, MarkChooser marks) {
    MarkReference chosen = target;
    if (mark != null) {
      chosen = marks.named(mark, atM).orElse(target);
    }
    if (words != null && !words.isBlank()) {
      chosen = (chosen == null ? MarkReference.count(words) : chosen).worded(words);
    }
    return chosen;
  }

  /** What is offered beside a mark that the driver chose: the model's own among it. */
  private static List<MarkReference> withoutChosen(
      MarkReference model, MarkReference chosen, List<MarkReference> choices) {
    List<MarkReference> offered = new ArrayList<>();
    if (model != null && !model.mark().equals(chosen.mark())) {
      offered.add(model);
    }
    choices.stream().filter(c -> !c.mark().equals(chosen.mark())).forEach(offered::add);
    return offered;
  }
}
