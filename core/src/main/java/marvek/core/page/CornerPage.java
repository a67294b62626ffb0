package marvek.core.page;

import java.util.List;
import java.util.Map;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.Side;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Footwork;
import marvek.core.mark.MarkReference;

/**
 * What a driver does in one corner. Stations in metres, offsets positive to the left, pressures in
 * per cent of full brake, speeds in m/s. A part that does not apply is null.
 *
 * @param timeS from the brake point (without one: turn-in) to the next corner's
 * @param confidence 0 (never driven) to 5, as the driver sees it; null if not said
 * @param pedals what the feet do, in driving order
 * @param feet which foot brakes
 * @param lift where the throttle closes without a brake; null where it does not
 * @param points places that the driver gave and the model knows nothing of
 * @param annotations what he tells, steers by and notes at its points
 * @param sources where each value comes from, by its name in the book format; the model where
 *     absent
 */
public record CornerPage(
    int corner,
    String name,
    Side direction,
    double fromM,
    double toM,
    Approach approach,
    Brake brake,
    Gears gears,
    TurnIn turnIn,
    TrailBrake trailBrake,
    List<Apex> apexes,
    Kerbs kerbs,
    Limits limits,
    Throttle throttle,
    PedalWork pedals,
    Footwork feet,
    Lift lift,
    Exit exit,
    double timeS,
    double lowestSpeedMps,
    double lowestSpeedAtM,
    Map<String, Source> sources,
    Integer confidence,
    String notes,
    String wayOut,
    Map<PageField, OwnPoint> points,
    Annotations annotations) {

  /** Where a value comes from. */
  public enum Source {
    MODEL,
    MEASURED,
    DRIVER,
    COACH
  }

  /** How the brake is used. */
  public enum BrakeStyle {
    HARD,
    SQUEEZE,
    DAB,
    LIFT,
    NONE
  }

  /** Where the apex lies in the turn. */
  public enum ApexKind {
    EARLY,
    MID,
    LATE
  }

  /** Where the car is and how fast where the corner's work begins. */
  public record Approach(double offsetM, double speedMps) {}

  /**
   * @param atM where the driver has to act; null without braking
   * @param initialPct first pressure; null without braking
   * @param choices other marks that the point can be told by
   */
  public record Brake(
      Double atM,
      Double initialPct,
      BrakeStyle style,
      MarkReference target,
      MarkReference safe,
      List<MarkReference> choices) {
    public Brake {
      choices = List.copyOf(choices);
    }

    Brake toldBy(MarkReference mark) {
      return new Brake(atM, initialPct, style, mark, safe, choices);
    }

    Brake pressed(double firstPct) {
      return new Brake(atM, firstPct, style, target, safe, choices);
    }
  }

  /**
   * Gears by their numbers.
   *
   * @param approach before the corner's first point
   * @param in on the way in, between turn-in and apex
   * @param corner at the slowest place
   * @param out where the throttle is flat or the car out at the edge
   * @param downshiftsM places of the changes down on the way in
   * @param changes all of them up to the next corner's first point
   */
  public record Gears(
      int approach,
      int in,
      int corner,
      int out,
      List<Double> downshiftsM,
      List<GearChange> changes) {
    public Gears {
      downshiftsM = List.copyOf(downshiftsM);
      changes = List.copyOf(changes);
    }

    Gears atEntry(int gear) {
      return new Gears(approach, gear, corner, out, downshiftsM, changes);
    }

    Gears atApex(int gear) {
      return new Gears(approach, in, gear, out, downshiftsM, changes);
    }

    Gears atExit(int gear) {
      return new Gears(approach, in, corner, gear, downshiftsM, changes);
    }

    Gears changed(GearChanges others) {
      return new Gears(approach, in, corner, out, downshiftsM, others.list());
    }
  }

  /**
   * @param choices other marks that the point can be told by
   */
  public record TurnIn(
      double atM, double speedMps, MarkReference target, List<MarkReference> choices) {
    public TurnIn {
      choices = List.copyOf(choices);
    }

    TurnIn toldBy(MarkReference mark) {
      return new TurnIn(atM, speedMps, mark, choices);
    }
  }

  /** Pressures while turning; null as a whole where the car turns off the brake. */
  public record TrailBrake(
      double atTurnInPct, double halfPct, double nearApexPct, double releaseM) {
    /** The same with the brake off at a place; without trailing before, no pressure until there. */
    static TrailBrake off(TrailBrake before, double releaseM) {
      return before == null
          ? new TrailBrake(0, 0, 0, releaseM)
          : new TrailBrake(before.atTurnInPct, before.halfPct, before.nearApexPct, releaseM);
    }

    TrailBrake pressed(double turnInPct) {
      return new TrailBrake(turnInPct, halfPct, nearApexPct, releaseM);
    }
  }

  public record Apex(double atM, double offsetM, ApexKind kind, double speedMps) {}

  public record Kerbs(Kerb.Use entry, Kerb.Use apex, Kerb.Use exit) {
    Kerbs inside(Kerb.Use use) {
      return new Kerbs(entry, use, exit);
    }

    Kerbs outside(Kerb.Use use) {
      return new Kerbs(entry, apex, use);
    }
  }

  /**
   * What the track limits allow in the corner: at its entry and exit outside, at its apex inside.
   *
   * @param notices of the organiser's on its part of the road
   */
  public record Limits(
      TrackLimits rule, Edge entry, Edge apex, Edge exit, List<LimitStretch> notices) {
    public Limits {
      notices = List.copyOf(notices);
    }
  }

  /**
   * What lies beyond the white line at a place and how far the rule lets the car's body out there.
   *
   * @param allowedM metres that the body's outer edge may be beyond the line; null without a bound
   * @param kerb the kerb that lies there, or null
   */
  public record Edge(Double allowedM, Kerb kerb) {}

  /** Null members where the throttle is never shut. */
  public record Throttle(Double firstM, Double firstPct, Double fullM) {
    Throttle from(double stationM) {
      return new Throttle(stationM, firstPct, fullM);
    }

    Throttle fullFrom(double stationM) {
      return new Throttle(firstM, firstPct, stationM);
    }
  }

  /**
   * A place that only a driver gives.
   *
   * @param target what it is told by, or null
   * @param choices other marks that it can be told by
   */
  public record OwnPoint(double atM, MarkReference target, List<MarkReference> choices) {
    public OwnPoint {
      choices = List.copyOf(choices);
    }
  }

  public record Exit(double trackOutM, double offsetM, double speedMps) {}

  public CornerPage {
    apexes = List.copyOf(apexes);
    sources = Map.copyOf(sources);
    points = Map.copyOf(points);
    notes = notes == null ? "" : notes;
    wayOut = wayOut == null ? "" : wayOut;
  }

  /** The same page with some parts in others' places. */
  public Builder but() {
    return new Builder(this);
  }

  /** Collects parts of a page that become others; the rest stays. */
  public static final class Builder {
    private final CornerPage page;
    private Approach approach;
    private Brake brake;
    private Gears gears;
    private TurnIn turnIn;
    private TrailBrake trailBrake;
    private List<Apex> apexes;
    private Kerbs kerbs;
    private Throttle throttle;
    private PedalWork pedals;
    private Footwork feet;
    private Lift lift;
    private Exit exit;
    private double timeS;
    private double lowestSpeedMps;
    private Map<String, Source> sources;
    private Integer confidence;
    private String notes;
    private String wayOut;
    private Map<PageField, OwnPoint> points;
    private Annotations annotations;

    private Builder(CornerPage page) {
      this.page = page;
      approach = page.approach;
      brake = page.brake;
      gears = page.gears;
      turnIn = page.turnIn;
      trailBrake = page.trailBrake;
      apexes = page.apexes;
      kerbs = page.kerbs;
      throttle = page.throttle;
      pedals = page.pedals;
      feet = page.feet;
      lift = page.lift;
      exit = page.exit;
      timeS = page.timeS;
      lowestSpeedMps = page.lowestSpeedMps;
      sources = page.sources;
      confidence = page.confidence;
      notes = page.notes;
      wayOut = page.wayOut;
      points = page.points;
      annotations = page.annotations;
    }

    public Builder approach(Approach value) {
      approach = value;
      return this;
    }

    public Builder brake(Brake value) {
      brake = value;
      return this;
    }

    public Builder gears(Gears value) {
      gears = value;
      return this;
    }

    public Builder turnIn(TurnIn value) {
      turnIn = value;
      return this;
    }

    public Builder trailBrake(TrailBrake value) {
      trailBrake = value;
      return this;
    }

    public Builder apexes(List<Apex> value) {
      apexes = value;
      return this;
    }

    public Builder kerbs(Kerbs value) {
      kerbs = value;
      return this;
    }

    public Builder throttle(Throttle value) {
      throttle = value;
      return this;
    }

    public Builder pedals(PedalWork value) {
      pedals = value;
      return this;
    }

    public Builder feet(Footwork value) {
      feet = value;
      return this;
    }

    public Builder lift(Lift value) {
      lift = value;
      return this;
    }

    public Builder exit(Exit value) {
      exit = value;
      return this;
    }

    public Builder timeS(double value) {
      timeS = value;
      return this;
    }

    public Builder lowestSpeedMps(double value) {
      lowestSpeedMps = value;
      return this;
    }

    public Builder sources(Map<String, Source> value) {
      sources = value;
      return this;
    }

    public Builder confidence(Integer value) {
      confidence = value;
      return this;
    }

    public Builder notes(String value) {
      notes = value;
      return this;
    }

    public Builder wayOut(String value) {
      wayOut = value;
      return this;
    }

    public Builder points(Map<PageField, OwnPoint> value) {
      points = value;
      return this;
    }

    public Builder annotations(Annotations value) {
      annotations = value;
      return this;
    }

    public CornerPage build() {
      return new CornerPage(
          page.corner,
          page.name,
          page.direction,
          page.fromM,
          page.toM,
          approach,
          brake,
          gears,
          turnIn,
          trailBrake,
          apexes,
          kerbs,
          page.limits,
          throttle,
          pedals,
          feet,
          lift,
          exit,
          timeS,
          lowestSpeedMps,
          page.lowestSpeedAtM,
          sources,
          confidence,
          notes,
          wayOut,
          points,
          annotations);
    }
  }
}
