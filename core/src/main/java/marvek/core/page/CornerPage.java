package marvek.core.page;

import java.util.List;
import java.util.Map;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Side;
import marvek.core.circuit.TrackLimits;

/**
 * What a driver does in one corner. Stations in metres, offsets positive to the left, pressures in
 * per cent of full brake, speeds in m/s. A part that does not apply is null.
 *
 * @param timeS from the brake point (without one: turn-in) to the next corner's
 * @param confidence 0 (never driven) to 5, as the driver sees it; null if not said
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
    Exit exit,
    double timeS,
    double lowestSpeedMps,
    double lowestSpeedAtM,
    Map<String, Source> sources,
    Integer confidence,
    String notes,
    String wayOut) {

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
  }

  public record Gears(int approach, int corner, List<Double> downshiftsM) {
    public Gears {
      downshiftsM = List.copyOf(downshiftsM);
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
  }

  /** Pressures while turning; null as a whole where the car turns off the brake. */
  public record TrailBrake(
      double atTurnInPct, double halfPct, double nearApexPct, double releaseM) {}

  public record Apex(double atM, double offsetM, ApexKind kind, double speedMps) {}

  public record Kerbs(Kerb.Use entry, Kerb.Use apex, Kerb.Use exit) {}

  /**
   * What the track limits allow in the corner: at its entry and exit outside, at its apex inside.
   */
  public record Limits(TrackLimits rule, Edge entry, Edge apex, Edge exit) {}

  /**
   * What lies beyond the white line at a place and how far the rule lets the car's body out there.
   *
   * @param allowedM metres that the body's outer edge may be beyond the line; null without a bound
   * @param kerb the kerb that lies there, or null
   */
  public record Edge(Double allowedM, Kerb kerb) {}

  /** Null members where the throttle is never shut. */
  public record Throttle(Double firstM, Double firstPct, Double fullM) {}

  public record Exit(double trackOutM, double offsetM, double speedMps) {}

  public CornerPage {
    apexes = List.copyOf(apexes);
    sources = Map.copyOf(sources);
    notes = notes == null ? "" : notes;
    wayOut = wayOut == null ? "" : wayOut;
  }
}
