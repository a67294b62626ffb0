package marvek.formats;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Metadata;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Mark;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.page.CornerPage;
import marvek.core.page.Knot;
import marvek.core.page.PageField;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.say.Sentence;

/** Writes GPX 1.1: marks and action points as waypoints, for any device that shows such. */
public final class GpxWriter {
  private GpxWriter() {}

  /** The marks of a circuit. */
  public static byte[] marks(Circuit circuit, Road road) {
    LocalPlane plane = planeOf(circuit);
    List<WayPoint> points = new ArrayList<>();
    for (Mark mark : circuit.marks()) {
      double middle = mark.fromM() + road.distance(mark.fromM(), mark.toM()) / 2;
      String type = Spelled.of(mark.type());
      points.add(
          point(
              plane,
              road,
              new RoadPosition(road.wrapStation(middle), mark.offsetM()),
              mark.label(),
              mark.note(),
              type));
    }
    return write(circuit.name() + ", marks", points);
  }

  /** The action points of pages on the line that they are driven on. */
  public static byte[] actionPoints(
      String name, Circuit circuit, marvek.core.circuit.Path path, List<CornerPage> pages) {
    LocalPlane plane = planeOf(circuit);
    Road road = path.road();
    List<WayPoint> points = new ArrayList<>();
    for (CornerPage page : pages) {
      for (Action action : actions(page)) {
        double offset = path.offsetAt(road.indexOf(action.stationM()));
        points.add(
            point(
                plane,
                road,
                new RoadPosition(action.stationM(), offset),
                page.corner() + " " + action.name(),
                action.words(),
                "action point"));
      }
    }
    return write(name, points);
  }

  private record Action(String name, double stationM, String words) {}

  private static List<Action> actions(CornerPage page) {
    List<Action> actions = new ArrayList<>();
    CornerPage.Brake brake = page.brake();
    if (brake.atM() != null) {
      String words = brake.target() == null ? "" : brake.target().text();
      actions.add(new Action("brake", brake.atM(), words));
    }
    CornerPage.TurnIn turnIn = page.turnIn();
    actions.add(
        new Action("turn in", turnIn.atM(), turnIn.target() == null ? "" : turnIn.target().text()));
    for (PageField field : PageField.typed()) {
      CornerPage.OwnPoint point = page.points().get(field);
      if (point != null) {
        String words = point.target() == null ? "" : point.target().text();
        actions.add(new Action(PointCatalogue.said(field), point.atM(), words));
      }
    }
    boolean shaped = page.sources().containsKey(PageField.PRESSES.path());
    if (page.lift() != null) {
      String words = page.lift().target() == null ? "" : page.lift().target().text();
      actions.add(new Action("lift to " + pct(page.lift().toPct()), page.lift().atM(), words));
    }
    if (shaped) {
      page.pedals().presses().forEach(press -> addPress(actions, press));
    } else if (page.trailBrake() != null) {
      actions.add(new Action("release", page.trailBrake().releaseM(), ""));
    }
    page.apexes().forEach(apex -> actions.add(new Action("apex", apex.atM(), "")));
    if (page.sources().containsKey(PageField.PHASES.path())) {
      page.pedals().phases().stream()
          .filter(phase -> phase.kind() != Phase.Kind.LIFT)
          .forEach(phase -> actions.add(new Action(phaseName(phase), phase.atM(), "")));
      return actions;
    }
    if (page.throttle().firstM() != null) {
      actions.add(new Action("throttle", page.throttle().firstM(), ""));
    }
    if (page.throttle().fullM() != null) {
      actions.add(new Action("flat", page.throttle().fullM(), ""));
    }
    return actions;
  }

  /** The pressures of a press of one's own and where it ends; its begin is a brake point. */
  private static void addPress(List<Action> actions, Press press) {
    for (Knot knot : press.knots()) {
      actions.add(new Action("brake " + pct(knot.pct()), knot.atM(), ""));
    }
    actions.add(new Action("release", press.offM(), ""));
  }

  private static String phaseName(Phase phase) {
    return switch (phase.kind()) {
      case HOLD -> "hold " + pct(phase.toPct());
      case FLAT -> "flat";
      default -> "throttle " + pct(phase.toPct());
    };
  }

  private static String pct(double value) {
    return Math.round(value) + " %";
  }

  private static LocalPlane planeOf(Circuit circuit) {
    if (circuit.origin() == null) {
      throw BadFileException.whole(Sentence.of("file.gpx-no-place"));
    }
    return new LocalPlane(circuit.origin());
  }

  private static WayPoint point(
      LocalPlane plane,
      Road road,
      RoadPosition position,
      String name,
      String description,
      String type) {
    double[] xy = position.toPlane(road);
    GeoPoint place = plane.toEarth(xy[0], xy[1]);
    double height = road.zAt(road.indexOf(position.stationM()));
    WayPoint.Builder builder =
        WayPoint.builder()
            .lat(place.latDeg())
            .lon(place.lonDeg())
            .ele(height)
            .name(name)
            .type(type);
    return (description.isBlank() ? builder : builder.desc(description)).build();
  }

  private static byte[] write(String name, List<WayPoint> points) {
    GPX gpx =
        GPX.builder("Marvek")
            .metadata(Metadata.builder().name(name).build())
            .wayPoints(points)
            .build();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      GPX.Writer.of(new GPX.Writer.Indent("  "), 9).write(gpx, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
