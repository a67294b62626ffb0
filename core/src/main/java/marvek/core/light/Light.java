package marvek.core.light;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Sun;
import marvek.core.corner.Corner;
import marvek.core.say.Sentence;

/**
 * The light on a circuit at one hour. Shadows are those of upright things on level ground: the edge
 * that was noted is the shadow's tip, its caster of the mark's height stands where the sun of that
 * hour says.
 */
public final class Light {
  /** A driver is blinded by a low sun within this angle of where the road leads (assumed). */
  private static final double GLARE_DEG = 30;

  /** The glare of a corner is looked for this far before its first metre. */
  private static final double BEFORE_M = 120;

  /** Things lower than this throw no shadow worth speaking of. */
  private static final double LEAST_CASTER_M = 3;

  /** Half the width of a tree's crown as a share of its height (assumed). */
  private static final double CROWN_SHARE = 0.25;

  private final Circuit circuit;
  private final Road road;
  private final Conditions conditions;
  private final Sun sun;

  private Light(Circuit circuit, Road road, Conditions conditions, Sun sun) {
    this.circuit = circuit;
    this.road = road;
    this.conditions = conditions;
    this.sun = sun;
  }

  /**
   * The light at the conditions' hour, in the circuit's own time zone.
   *
   * @return empty where no hour is said, or the circuit has no place on the earth, or it is wet: in
   *     the rain no sun dazzles and nothing throws a shadow
   */
  public static Optional<Light> of(Circuit circuit, Road road, Conditions conditions) {
    boolean rain = conditions.surface() == Conditions.Surface.WET;
    if (rain || conditions.at() == null || circuit.origin() == null) {
      return Optional.empty();
    }
    Sun sun = sun(circuit, conditions, atCircuit(circuit, conditions.at()));
    return Optional.of(new Light(circuit, road, conditions, sun));
  }

  private static ZonedDateTime atCircuit(Circuit circuit, LocalDateTime time) {
    try {
      return time.atZone(ZoneId.of(circuit.timeZone()));
    } catch (DateTimeException e) {
      return time.atZone(ZoneId.of("UTC"));
    }
  }

  private static Sun sun(Circuit circuit, Conditions conditions, ZonedDateTime time) {
    GeoPoint place = circuit.origin();
    return Sun.at(
        time,
        place.latDeg(),
        place.lonDeg(),
        circuit.survey().zAt(0),
        conditions.pressureHpa(),
        conditions.airTemperatureC());
  }

  public Sun sun() {
    return sun;
  }

  /** Corners at which one drives towards a low sun, between the approach and the corner's end. */
  public List<Corner> cornersIntoTheSun(List<Corner> corners) {
    return sun.isLow() ? corners.stream().filter(this::intoTheSun).toList() : List.of();
  }

  private boolean intoTheSun(Corner corner) {
    double length = BEFORE_M + corner.lengthM();
    for (double way = 0; way <= length; way += 10) {
      int i = road.indexOf(road.wrapStation(corner.fromM() - BEFORE_M + way));
      double heading = Math.toDegrees(Math.atan2(road.normalYAt(i), -road.normalXAt(i)));
      if (Math.abs(Math.IEEEremainder(heading - sun.azimuthDeg(), 360)) < GLARE_DEG) {
        return true;
      }
    }
    return false;
  }

  /** Every shadow mark at this hour. */
  public List<MovedShadow> shadows() {
    return circuit.marks().stream()
        .filter(mark -> mark.type() == MarkType.SHADOW)
        .map(this::moved)
        .toList();
  }

  /** A shadow mark at this hour. */
  public MovedShadow moved(Mark mark) {
    if (mark.notedAt() == null || mark.heightM() == null) {
      return gone(mark, Sentence.of("light.not-noted"));
    }
    if (sun.elevationDeg() < Sun.LEAST_FOR_SHADOW_DEG) {
      return gone(mark, Sentence.of("light.sun-low"));
    }
    Sun noted = sun(circuit, conditions, zoned(mark.notedAt()));
    if (noted.elevationDeg() < Sun.LEAST_FOR_SHADOW_DEG) {
      return gone(mark, Sentence.of("light.sun-was-down"));
    }
    double[] tip = new RoadPosition(mark.fromM(), mark.offsetM()).toPlane(road);
    double before = mark.heightM() * noted.shadowPerMetre();
    double[] caster = {tip[0] - before * noted.shadowX(), tip[1] - before * noted.shadowY()};
    return edgeOnRoad(mark, caster, mark.heightM() * sun.shadowPerMetre());
  }

  private ZonedDateTime zoned(Instant instant) {
    return instant.atZone(ZoneId.of("UTC"));
  }

  private static MovedShadow gone(Mark mark, Sentence why) {
    return new MovedShadow(mark, mark.fromM(), 0, false, why);
  }

  /**
   * The edge to drive by: the shadow's tip where that lies on the road, else where the shadow
   * crosses the middle of it.
   */
  private MovedShadow edgeOnRoad(Mark mark, double[] caster, double length) {
    RoadPosition edge = along(mark, caster, length);
    if (!onRoad(edge)) {
      for (double way = 0; way <= length; way += Math.max(0.25, length / 400)) {
        RoadPosition here = along(mark, caster, way);
        if (Math.abs(here.offsetM()) < Math.abs(edge.offsetM())) {
          edge = here;
        }
      }
    }
    double moved = road.offsetBetween(mark.fromM(), edge.stationM());
    if (!onRoad(edge) || Math.abs(moved) > SEARCH_M - 1) {
      return gone(mark, Sentence.of("light.off-road"));
    }
    return new MovedShadow(mark, edge.stationM(), moved, true, null);
  }

  /** Place on the shadow at a distance from the foot of its caster. */
  private RoadPosition along(Mark mark, double[] caster, double way) {
    double x = caster[0] + way * sun.shadowX();
    double y = caster[1] + way * sun.shadowY();
    return RoadPosition.near(road, x, y, mark.fromM(), SEARCH_M);
  }

  private boolean onRoad(RoadPosition place) {
    int i = road.indexOf(place.stationM());
    return place.offsetM() < road.widthLeftAt(i) && place.offsetM() > -road.widthRightAt(i);
  }

  /** Shadows of things farther up or down the road are too long to be sharp. */
  private static final double SEARCH_M = 150;

  /** Whether a fixed mark stands in the shadow of something else that is known here. */
  public boolean inShade(Mark mark) {
    if (sun.elevationDeg() < Sun.LEAST_FOR_SHADOW_DEG || mark.type() == MarkType.SHADOW) {
      return false;
    }
    double[] place = new RoadPosition(mark.fromM(), mark.offsetM()).toPlane(road);
    return circuit.marks().stream()
        .filter(other -> other != mark && casts(other))
        .anyMatch(other -> reaches(other, mark, place));
  }

  private static boolean casts(Mark mark) {
    boolean tall = mark.heightM() != null && mark.heightM() >= LEAST_CASTER_M;
    return tall
        && switch (mark.type()) {
          case BUILDING, TREE, BRIDGE, WALL_END, BANNER -> true;
          default -> false;
        };
  }

  private boolean reaches(Mark caster, Mark mark, double[] place) {
    double own = mark.heightM() == null ? 0 : mark.heightM();
    double length = (caster.heightM() - own) * sun.shadowPerMetre();
    double half = caster.type() == MarkType.TREE ? CROWN_SHARE * caster.heightM() : 2;
    for (double[] foot : feet(caster)) {
      double x = place[0] - foot[0];
      double y = place[1] - foot[1];
      double along = x * sun.shadowX() + y * sun.shadowY();
      double aside = Math.abs(x * sun.shadowY() - y * sun.shadowX());
      if (along > 0 && along < length && aside < half) {
        return true;
      }
    }
    return false;
  }

  /** Places from which a caster throws its shadow: along its length, or across the road. */
  private List<double[]> feet(Mark caster) {
    List<double[]> feet = new ArrayList<>();
    double length = caster.hasLength() ? road.distance(caster.fromM(), caster.toM()) : 0;
    for (double way = 0; way <= length; way += 2) {
      double station = road.wrapStation(caster.fromM() + way);
      feet.add(new RoadPosition(station, caster.offsetM()).toPlane(road));
    }
    if (caster.side() == Side.OVER) {
      int i = road.indexOf(caster.fromM());
      for (double d = -road.widthRightAt(i); d <= road.widthLeftAt(i); d += 2) {
        feet.add(new RoadPosition(caster.fromM(), d).toPlane(road));
      }
    }
    return feet;
  }
}
