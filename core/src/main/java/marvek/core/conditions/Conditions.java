package marvek.core.conditions;

import java.time.LocalDateTime;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * Conditions of a reference. Made from others with {@link #but()}.
 *
 * @param surface of the lap, but for its parts
 * @param parts of the lap with another surface; of two that overlap the later one counts
 * @param coldLap which lap it is since the tyres were cold, 1 to 9; of cold tyres only
 * @param wear share of the laps that a set stays good for, 0 to 2; of worn tyres only
 * @param gripUsed share of the limit that the driver uses, 0.3 to 1; 0.85 learning, 0.92 club, 0.97
 *     expert (common practice)
 * @param pedalChangeS time from throttle to brake; 0.05 s left foot, 0.25 s right foot (common
 *     practice)
 * @param brakeBuildUpS time from first touch to full pressure, 0.15 to 0.4 s (common practice)
 * @param trackTemperatureC temperature of the surface, or null where it is not known; the model
 *     does not use it, the plan for warming the tyres does
 * @param windFromDeg direction the wind comes from, clockwise from north
 * @param humidityPct relative humidity of the air
 * @param at date and hour on the circuit's own clocks, or null where the light does not matter
 * @param marginM distance kept to the white lines, 0 to 2 m
 * @param airShare share of the downforce of clean air that is left behind others, 0.3 to 1
 * @param model whether a car's axles are told apart
 * @param start how an open road is begun; a lap of a closed one is flying
 */
public record Conditions(
    Surface surface,
    List<SurfacePart> parts,
    TyreState tyres,
    int coldLap,
    double wear,
    double gripUsed,
    double fuelKg,
    double pedalChangeS,
    double brakeBuildUpS,
    double airTemperatureC,
    Double trackTemperatureC,
    double pressureHpa,
    double windSpeedMps,
    double windFromDeg,
    double humidityPct,
    LocalDateTime at,
    double marginM,
    double airShare,
    Model model,
    Start start) {
  /**
   * State of the road's surface. Wet 0.7 and damp 0.85 of dry from the ranges 0.8–0.9 dry and
   * 0.5–0.7 wet of J. Y. Wong, <i>Theory of Ground Vehicles</i>, table of road adhesion (from
   * memory).
   */
  public enum Surface {
    DRY(1.0),
    DAMP(0.85),
    WET(0.70);

    private final double gripFactor;

    Surface(double gripFactor) {
      this.gripFactor = gripFactor;
    }

    public double gripFactor() {
      return gripFactor;
    }
  }

  /** Which forces the lap is worked out with. */
  public enum Model {
    /**
     * Each axle of a car against its own load, which moves in the bend too, the yaw that the bend
     * asks for, and the engine's braking.
     */
    AXLES,
    /** A car as a whole in the bend, without yaw, and no engine braking: as other programs do. */
    PLAIN
  }

  /** How a run along an open road begins. */
  public enum Start {
    /** At the speed that its first place allows. */
    FLYING,
    /** From rest, the clutch slipping. */
    STANDING
  }

  /** State of the tyres. */
  public enum TyreState {
    COLD,
    WARM,
    WORN
  }

  /** Grip that tyres lack on the first lap from cold: 0.90 of warm (common practice). */
  private static final double COLD_LACK = 0.10;

  /** Each lap halves what is lacking: 0.95 on the second (common practice). */
  private static final double LACK_KEPT_A_LAP = 0.5;

  /** Grip that a set has lost when its good laps are over (own assumption). */
  private static final double WORN_LACK = 0.04;

  /** Distance that a careful driver leaves to a white line (own assumption). */
  public static final double DEFAULT_MARGIN_M = 0.15;

  /** More parts than anybody types for a lap. */
  private static final int MOST_PARTS = 40;

  /** A dry day at sea level, warm tyres, an expert on the right foot; the plain model. */
  public static final Conditions DEFAULT =
      new Conditions(Surface.DRY, TyreState.WARM, 0.97, 0, 0.15, 0.25, 18, 1013.25, 0, 0, 0);

  /** The same day with the axles of a car told apart: what new books begin with. */
  public static final Conditions OF_NEW_BOOKS = DEFAULT.but().model(Model.AXLES).build();

  public Conditions {
    parts = List.copyOf(parts);
    if (parts.size() > MOST_PARTS) {
      throw new InvalidValueException(
          "parts", Sentence.of("refused.parts-count", "given", parts.size(), "most", MOST_PARTS));
    }
    Require.within("coldLap", coldLap, 1, 9);
    Require.within("wear", wear, 0, 2);
    Require.within("gripUsed", gripUsed, 0.3, 1);
    Require.within("fuel_kg", fuelKg, 0, 500);
    Require.within("pedalChange_s", pedalChangeS, 0, 2);
    Require.within("brakeBuildUp_s", brakeBuildUpS, 0, 2);
    Require.within("airTemperature_c", airTemperatureC, -40, 60);
    if (trackTemperatureC != null) {
      Require.within("trackTemperature_c", trackTemperatureC, -40, 90);
    }
    Require.within("pressure_hpa", pressureHpa, 500, 1100);
    Require.within("windSpeed_mps", windSpeedMps, 0, 40);
    Require.within("windFrom_deg", windFromDeg, 0, 360);
    Require.within("humidity_pct", humidityPct, 0, 100);
    Require.within("margin_m", marginM, 0, 2);
    Require.within("airShare", airShare, 0.3, 1);
  }

  /** Conditions of no hour in particular, the same all round the lap. */
  public Conditions(
      Surface surface,
      TyreState tyres,
      double gripUsed,
      double fuelKg,
      double pedalChangeS,
      double brakeBuildUpS,
      double airTemperatureC,
      double pressureHpa,
      double windSpeedMps,
      double windFromDeg,
      double humidityPct) {
    this(
        surface,
        List.of(),
        tyres,
        1,
        1,
        gripUsed,
        fuelKg,
        pedalChangeS,
        brakeBuildUpS,
        airTemperatureC,
        null,
        pressureHpa,
        windSpeedMps,
        windFromDeg,
        humidityPct,
        null,
        DEFAULT_MARGIN_M,
        1,
        Model.PLAIN,
        Start.FLYING);
  }

  /** Factor on the tyres' friction from road, tyres and the share of the limit that is used. */
  public double gripFactor() {
    return surface.gripFactor() * tyreFactor() * gripUsed;
  }

  /** Factor on friction from the tyres' state alone. */
  public double tyreFactor() {
    return switch (tyres) {
      case WARM -> 1;
      case COLD -> 1 - COLD_LACK * Math.pow(LACK_KEPT_A_LAP, coldLap - 1.0);
      case WORN -> 1 - WORN_LACK * wear;
    };
  }

  /** Surface at a station. */
  public Surface surfaceAt(double stationM) {
    Surface there = surface;
    for (SurfacePart part : parts) {
      if (part.contains(stationM)) {
        there = part.surface();
      }
    }
    return there;
  }

  /** Whether less of the tyres' friction is there to be used at a station than on another day. */
  public boolean lessGripThan(Conditions other, double stationM) {
    double here = surfaceAt(stationM).gripFactor() * tyreFactor() * gripUsed;
    double there = other.surfaceAt(stationM).gripFactor() * other.tyreFactor() * other.gripUsed;
    return here < there - 1e-9;
  }

  /**
   * Checks that every part lies on a lap.
   *
   * @throws InvalidValueException naming the part
   */
  public Conditions checkedOn(double lapM) {
    for (int p = 0; p < parts.size(); p++) {
      double farthest = Math.max(parts.get(p).fromM(), parts.get(p).toM());
      if (farthest > lapM) {
        throw new InvalidValueException(
            "parts", p, Sentence.of("refused.beyond-lap", "at_m", farthest, "lap_m", lapM));
      }
    }
    return this;
  }

  /** Density of the air [kg/m³]. */
  public double airDensityKgM3() {
    return Air.densityKgM3(airTemperatureC, pressureHpa, humidityPct);
  }

  /** Whether the lap is wet, but for its parts. */
  public boolean isWet() {
    return surface == Surface.WET;
  }

  /** Whether kerbs at a station are used as in the wet. */
  public boolean isWetAt(double stationM) {
    return surfaceAt(stationM) == Surface.WET;
  }

  /** Begins other conditions from these. */
  public Builder but() {
    return new Builder(this);
  }

  /** The same at a date and hour of the circuit's own clocks. */
  public Conditions at(LocalDateTime hour) {
    return but().at(hour).build();
  }

  public Conditions withGripUsed(double share) {
    return but().gripUsed(share).build();
  }

  public Conditions withFuelKg(double kg) {
    return but().fuelKg(kg).build();
  }

  /** Another surface, the same all round the lap. */
  public Conditions withSurface(Surface other) {
    return but().surface(other).parts(List.of()).build();
  }

  public Conditions withTyres(TyreState other) {
    return but().tyres(other).build();
  }

  /** Collects changes to conditions. See {@link Conditions}. */
  public static final class Builder {
    private Surface surface;
    private List<SurfacePart> parts;
    private TyreState tyres;
    private int coldLap;
    private double wear;
    private double gripUsed;
    private double fuelKg;
    private double pedalChangeS;
    private double brakeBuildUpS;
    private double airTemperatureC;
    private Double trackTemperatureC;
    private double pressureHpa;
    private double windSpeedMps;
    private double windFromDeg;
    private double humidityPct;
    private LocalDateTime at;
    private double marginM;
    private double airShare;
    private Model model;
    private Start start;

    private Builder(Conditions from) {
      surface = from.surface;
      parts = from.parts;
      tyres = from.tyres;
      coldLap = from.coldLap;
      wear = from.wear;
      gripUsed = from.gripUsed;
      fuelKg = from.fuelKg;
      pedalChangeS = from.pedalChangeS;
      brakeBuildUpS = from.brakeBuildUpS;
      airTemperatureC = from.airTemperatureC;
      trackTemperatureC = from.trackTemperatureC;
      pressureHpa = from.pressureHpa;
      windSpeedMps = from.windSpeedMps;
      windFromDeg = from.windFromDeg;
      humidityPct = from.humidityPct;
      at = from.at;
      marginM = from.marginM;
      airShare = from.airShare;
      model = from.model;
      start = from.start;
    }

    public Builder surface(Surface value) {
      surface = value;
      return this;
    }

    public Builder parts(List<SurfacePart> value) {
      parts = value;
      return this;
    }

    public Builder tyres(TyreState value) {
      tyres = value;
      return this;
    }

    public Builder coldLap(int value) {
      coldLap = value;
      return this;
    }

    public Builder wear(double value) {
      wear = value;
      return this;
    }

    public Builder gripUsed(double value) {
      gripUsed = value;
      return this;
    }

    public Builder fuelKg(double value) {
      fuelKg = value;
      return this;
    }

    public Builder pedalChangeS(double value) {
      pedalChangeS = value;
      return this;
    }

    public Builder brakeBuildUpS(double value) {
      brakeBuildUpS = value;
      return this;
    }

    public Builder airTemperatureC(double value) {
      airTemperatureC = value;
      return this;
    }

    public Builder trackTemperatureC(Double value) {
      trackTemperatureC = value;
      return this;
    }

    public Builder pressureHpa(double value) {
      pressureHpa = value;
      return this;
    }

    public Builder windSpeedMps(double value) {
      windSpeedMps = value;
      return this;
    }

    public Builder windFromDeg(double value) {
      windFromDeg = value;
      return this;
    }

    public Builder humidityPct(double value) {
      humidityPct = value;
      return this;
    }

    public Builder at(LocalDateTime value) {
      at = value;
      return this;
    }

    public Builder marginM(double value) {
      marginM = value;
      return this;
    }

    public Builder airShare(double value) {
      airShare = value;
      return this;
    }

    public Builder model(Model value) {
      model = value;
      return this;
    }

    public Builder start(Start value) {
      start = value;
      return this;
    }

    /**
     * The conditions.
     *
     * @throws InvalidValueException naming the first value that cannot be
     */
    public Conditions build() {
      return new Conditions(
          surface,
          parts,
          tyres,
          coldLap,
          wear,
          gripUsed,
          fuelKg,
          pedalChangeS,
          brakeBuildUpS,
          airTemperatureC,
          trackTemperatureC,
          pressureHpa,
          windSpeedMps,
          windFromDeg,
          humidityPct,
          at,
          marginM,
          airShare,
          model,
          start);
    }
  }
}
