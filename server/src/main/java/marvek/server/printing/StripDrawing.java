package marvek.server.printing;

import static marvek.server.printing.CardContent.text;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Path;
import marvek.core.circuit.Side;
import marvek.core.mark.MarkReference;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import marvek.formats.PointCatalogue;

/**
 * The strip of a corner for paper: lines alone, so that it prints well without colour. Left of the
 * car's line the brake pressure as a comb of whole lines, right of it the throttle as a broken
 * edge. Letters stand over the drawing as text of the page.
 */
final class StripDrawing {
  private static final double WEDGE_MM = 5;
  private static final double LEAST_APART_MM = 3.6;
  private static final String INK = "#14171e";

  private final StripScale scale;
  private final Path path;
  private final Lap lap;
  private final Circuit circuit;
  private final CornerPage page;

  private StripDrawing(Reference reference, Circuit circuit, CornerPage page) {
    this.scale = StripScale.of(reference.path().road(), page);
    this.path = reference.path();
    this.lap = reference.lap();
    this.circuit = circuit;
    this.page = page;
  }

  /** The strip as XHTML, {@value StripScale#WIDTH_MM} mm wide. */
  static String of(Reference reference, Circuit circuit, CornerPage page) {
    StripDrawing drawing = new StripDrawing(reference, circuit, page);
    return "<div class=\"strip\">" + drawing.svg() + drawing.letters() + drawing.marks() + "</div>";
  }

  private String svg() {
    return String.format(
        Locale.ROOT,
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.0fmm\" height=\"%2$.0fmm\""
            + " viewBox=\"0 0 %1$.0f %2$.0f\">%3$s</svg>",
        StripScale.WIDTH_MM,
        StripScale.HEIGHT_MM,
        road() + kerbs() + comb() + throttle() + line());
  }

  private double stepM() {
    return Math.max(scale.road().stepM(), scale.lengthM() / 160);
  }

  private String points(IntToDoubleFunction offset, boolean backwards) {
    StringBuilder points = new StringBuilder();
    int count = (int) Math.ceil(scale.lengthM() / stepM());
    for (int k = 0; k <= count; k++) {
      double d = Math.min(scale.lengthM(), stepM() * (backwards ? count - k : k));
      points.append(point(scale.x(offset.applyAsDouble(scale.indexAt(d))), scale.y(d)));
    }
    return points.toString();
  }

  private static String point(double x, double y) {
    return String.format(Locale.ROOT, "%.2f,%.2f ", x, y);
  }

  private String road() {
    String left = points(i -> scale.road().widthLeftAt(i), false);
    String right = points(i -> -scale.road().widthRightAt(i), true);
    return "<polygon points=\"%s%s\" fill=\"#e9e5db\" stroke=\"%s\" stroke-width=\"0.2\"/>"
        .formatted(left, right, INK);
  }

  private String line() {
    return "<polyline points=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"0.6\"/>"
        .formatted(points(path::offsetAt, false), INK);
  }

  private String kerbs() {
    StringBuilder kerbs = new StringBuilder();
    for (Kerb kerb : circuit.kerbs()) {
      double from = scale.place(kerb.fromM());
      double to = scale.place(kerb.toM());
      // What runs into the strip or out of it is drawn to its end.
      double begin = Double.isNaN(from) ? 0 : from;
      double end = Double.isNaN(to) ? scale.lengthM() : to;
      if (!(Double.isNaN(from) && Double.isNaN(to)) && end > begin) {
        kerbs.append(kerb(kerb.side(), begin, end));
      }
    }
    return kerbs.toString();
  }

  private String kerb(Side side, double from, double to) {
    StringBuilder points = new StringBuilder();
    for (double d = from; d <= to; d += stepM()) {
      int i = scale.indexAt(d);
      double edge = side == Side.LEFT ? scale.road().widthLeftAt(i) : -scale.road().widthRightAt(i);
      points.append(point(scale.x(edge), scale.y(d)));
    }
    return "<polyline points=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"1.3\" stroke-dasharray=\"0.9 0.7\"/>"
        .formatted(points, INK);
  }

  /** Brake pressure: the longer a tooth, the harder. */
  private String comb() {
    StringBuilder teeth = new StringBuilder();
    double every = scale.lengthM() / 62;
    for (double d = 0; d <= scale.lengthM(); d += every) {
      int i = scale.indexAt(d);
      double share = lap.brakeShareAt(i);
      if (share > 0.02) {
        double x = scale.x(path.offsetAt(i));
        teeth.append(
            String.format(
                Locale.ROOT,
                "<line x1=\"%.2f\" x2=\"%.2f\" y1=\"%.2f\" y2=\"%3$.2f\" stroke=\"%s\" stroke-width=\"0.35\"/>",
                x - WEDGE_MM * share,
                x,
                scale.y(d),
                INK));
      }
    }
    return teeth.toString();
  }

  /** The throttle's edge beside the line, as far from it as it is open. */
  private String throttle() {
    StringBuilder points = new StringBuilder();
    StringBuilder edges = new StringBuilder();
    for (double d = 0; d <= scale.lengthM(); d += stepM()) {
      int i = scale.indexAt(d);
      double share = lap.shiftingAt(i) ? 1 : lap.throttleShareAt(i);
      if (share > 0.02) {
        points.append(point(scale.x(path.offsetAt(i)) + 0.5 + WEDGE_MM * 0.45 * share, scale.y(d)));
      } else {
        edges.append(edge(points));
        points.setLength(0);
      }
    }
    return edges.append(edge(points)).toString();
  }

  private static String edge(CharSequence points) {
    return points.isEmpty()
        ? ""
        : "<polyline points=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"0.3\" stroke-dasharray=\"0.3 0.6\"/>"
            .formatted(points, INK);
  }

  private record Letter(String letter, double d) {}

  /** Letters at the points, in the order they are driven; moved apart along the road. */
  private String letters() {
    List<Letter> letters = new ArrayList<>();
    for (PageField field : PageField.values()) {
      if (field.isStation()) {
        add(letters, PointCatalogue.letter(field), field.amountOf(page));
      }
    }
    page.apexes().forEach(apex -> add(letters, "A", apex.atM()));
    letters.sort((a, b) -> Double.compare(a.d(), b.d()));
    StringBuilder html = new StringBuilder();
    double lowest = Double.POSITIVE_INFINITY;
    for (Letter letter : letters) {
      double x = scale.x(path.offsetAt(scale.indexAt(letter.d())));
      lowest = Math.min(scale.y(letter.d()), lowest - LEAST_APART_MM);
      html.append(
          String.format(
              Locale.ROOT,
              "<div class=\"plate\" style=\"left:%.1fmm;top:%.1fmm\">%s</div>",
              x - 1.7,
              Math.max(0, lowest - 1.7),
              letter.letter()));
    }
    return html.toString();
  }

  private void add(List<Letter> letters, String letter, Double stationM) {
    double d = stationM == null ? Double.NaN : scale.place(stationM);
    if (!Double.isNaN(d)) {
      letters.add(new Letter(letter, d));
    }
  }

  /** The marks of the points, beside the road at their place; each once. */
  private String marks() {
    Map<String, MarkReference> marks = new LinkedHashMap<>();
    Stream.concat(
            Stream.of(page.brake().target(), page.turnIn().target()),
            page.points().values().stream().map(CornerPage.OwnPoint::target))
        .filter(Objects::nonNull)
        .forEach(mark -> marks.putIfAbsent(mark.mark(), mark));
    return marks.values().stream().map(this::mark).collect(Collectors.joining());
  }

  private String mark(MarkReference mark) {
    if (mark == null || mark.weak() || mark.pointM() == null) {
      return "";
    }
    double d = scale.place(mark.pointM() - mark.offsetM());
    if (Double.isNaN(d)) {
      return "";
    }
    boolean right = mark.side() == Side.RIGHT;
    return String.format(
        Locale.ROOT,
        "<div class=\"mark %s\" style=\"top:%.1fmm\">%s</div>",
        right ? "right" : "left",
        Math.max(0, Math.min(scale.y(d) - 1.6, StripScale.HEIGHT_MM - 6)),
        text(mark.mark()));
  }
}
